import type { Id } from '../../ledger/subject'
import { factOf } from '../../state/fact'
import { withItemFact } from '../../state/itemChanges'
import { id, object, oneOf, text } from '../../ground/field'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** `item`: what is held of it, which goes on with it. */
    'lot-decided': { verdict: 'accept' | 'refuse'; reason: string; item: Id | null }
  }
}

/** The lead decides about a lot that was held at the door. */
export const lotDecided: KindOf<'lot-decided'> = {
  kind: 'lot-decided',
  v: 1,
  about: 'lot',
  ...BY_THE_LEAD,
  parse(body) {
    const { verdict, reason, item } = object(body, ['verdict', 'reason', 'item'])
    return {
      verdict: oneOf(verdict, ['accept', 'refuse'] as const),
      reason: text(reason, 300),
      item: item.value === null ? null : id(item),
    }
  },
  writes: ({ about, body: { item } }) => (item === null ? [about] : [about, { type: 'item', id: item }]),
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  refuse({ about, body }, read) {
    const lot = read('lot', about.id)
    if (!lot) return { code: 'not there', field: 'about.id', what: 'lot' }
    if ((lot.held?.item ?? null) !== body.item) return { code: 'other lineage', field: 'body' }
    // What the door refused went back: no reason takes it in.
    return lot.verdict === 'refuse' && body.verdict === 'accept'
      ? { code: 'lot refused', field: 'body.verdict', lot: lot.code }
      : null
  },
  folds: {
    lot: (state, entry) => ({ ...state, decided: factOf(entry, entry.claim.at, entry.claim.body) }),
    item: (state, entry) => {
      const { verdict, reason } = entry.claim.body
      return withItemFact(state, 'holds', entry, { held: verdict === 'refuse', reason, recall: null })
    },
  },
}
