import type { Id } from '../../ledger/subject'
import { withItemFact } from '../../state/itemChanges'
import { id, list, object, text } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'
import { heldBy, unknownOf } from './recalled'

declare module '../../ledger/entry' {
  interface Bodies {
    'recall-ended': { items: Id[]; batches: Id[]; reason: string }
  }
}

/** The lead ends a recall: what it held, and was not thrown away, goes on as it was. */
export const recallEnded: KindOf<'recall-ended'> = {
  kind: 'recall-ended',
  v: 1,
  about: 'lot',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { items, batches, reason } = object(body, ['items', 'batches', 'reason'])
    return { items: list(items, id, 20_000), batches: list(batches, id, 20_000), reason: text(reason, 300) }
  },
  writes: ({ about, body }) => [about, ...heldBy(body)],
  reads: () => [],
  refuse({ about, body }, read) {
    const lot = read('lot', about.id)
    if (!lot) return { code: 'not there', field: 'about.id', what: 'lot' }
    return lot.recall ? unknownOf(body, read) : { code: 'not there', field: 'about.id', what: 'entry' }
  },
  folds: {
    lot: (state) => ({ ...state, recall: null }),
    item: (state, entry) => {
      const { about, body } = entry.claim
      return withItemFact(state, 'holds', entry, { held: false, reason: body.reason, recall: about.id })
    },
    batch: (state, { claim: { about } }) => ({
      ...state,
      recalls: state.recalls.filter(({ value }) => value.lot !== about.id),
    }),
  },
}
