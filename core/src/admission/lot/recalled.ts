import type { Id, Subject } from '../../ledger/subject'
import { factOf } from '../../state/fact'
import { withItemFact } from '../../state/itemChanges'
import { flag, id, list, object, text } from '../../ground/field'
import { isRecalledBy } from '../../state/item'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

/** As many as one recall holds at once. */
const MOST = 20_000

declare module '../../ledger/entry' {
  interface Bodies {
    recalled: { items: Id[]; batches: Id[]; reason: string; drill: boolean }
  }
}

/** A lot is called back, or that is practised: all that is left of everything it went into is held at once. */
export const recalled: KindOf<'recalled'> = {
  kind: 'recalled',
  v: 1,
  about: 'lot',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { items, batches, reason, drill } = object(body, ['items', 'batches', 'reason', 'drill'])
    return {
      items: list(items, id, MOST),
      batches: list(batches, id, MOST),
      reason: text(reason, 300),
      drill: flag(drill),
    }
  },
  writes: ({ about, body }) => [about, ...heldBy(body)],
  reads: () => [],
  refuse({ about, body }, read) {
    const lot = read('lot', about.id)
    if (!lot) return { code: 'not there', field: 'about.id', what: 'lot' }
    const unknown = unknownOf(body, read)
    const serious = lot.recall?.value.drill === true && !body.drill
    if (unknown || !lot.recall || serious) return unknown
    const already = { code: 'recalled already' as const, field: 'about.id' as const, lot: lot.code }
    if (body.drill !== lot.recall.value.drill) return already
    // Once more for what was put away in the same minute, or by a tablet that was away.
    const isHeld =
      body.items.every((item) => isRecalledBy(read('item', item)!, lot.id)) &&
      body.batches.every((batch) => read('batch', batch)!.recalls.some(({ value }) => value.lot === lot.id))
    return isHeld ? already : null
  },
  // A drill marks nothing real.
  folds: {
    lot: (state, entry) => {
      const { at, body } = entry.claim
      const { reason, drill } = body
      // Called back again for what was missed, it is the same recall; a drill that turns serious is another.
      if (state.recall?.value.drill === drill) return state
      return { ...state, recall: factOf(entry, at, { reason, drill }) }
    },
    item: (state, entry) => {
      const { about, body } = entry.claim
      return body.drill
        ? state
        : withItemFact(state, 'holds', entry, { held: true, reason: body.reason, recall: about.id })
    },
    batch: (state, entry) => {
      const { at, about, body } = entry.claim
      if (body.drill) return state
      return { ...state, recalls: [...state.recalls, factOf(entry, at, { reason: body.reason, lot: about.id })] }
    },
  },
}

export function heldBy({ items, batches }: { items: Id[]; batches: Id[] }): Subject[] {
  return [
    ...items.map((item): Subject => ({ type: 'item', id: item })),
    ...batches.map((batch): Subject => ({ type: 'batch', id: batch })),
  ]
}

/** Refused where it names what is not there. */
export function unknownOf(
  { items, batches }: { items: Id[]; batches: Id[] },
  read: Parameters<KindOf<'recalled'>['refuse']>[1],
) {
  if (items.some((item) => !read('item', item)))
    return { code: 'not there' as const, field: 'body.items', what: 'item' as const }
  return batches.some((batch) => !read('batch', batch))
    ? { code: 'not there' as const, field: 'body.batches', what: 'batch' as const }
    : null
}
