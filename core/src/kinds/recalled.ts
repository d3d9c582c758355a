import { flag, id, list, object, text } from '../ledger/parse'
import type { Id, Subject } from '../ledger/entry'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'

/** As many as one recall holds at once. */
const MOST = 20_000

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
  touches: ({ about, body }) => [about, ...heldBy(body)],
  reads: () => [],
  admit({ about, body }, read) {
    const lot = read('lot', about.id)
    if (!lot) return { code: 'not there', field: 'about.id', what: 'lot' }
    if (lot.recall) return { code: 'recalled already', field: 'about.id', lot: lot.code }
    return unknownOf(body, read)
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
  read: Parameters<KindOf<'recalled'>['admit']>[1],
) {
  if (items.some((item) => !read('item', item)))
    return { code: 'not there' as const, field: 'body.items', what: 'item' as const }
  return batches.some((batch) => !read('batch', batch))
    ? { code: 'not there' as const, field: 'body.batches', what: 'batch' as const }
    : null
}
