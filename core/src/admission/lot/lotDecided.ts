import { id, object, oneOf, text } from '../../ground/field'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

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
  touches: ({ about, body: { item } }) => (item === null ? [about] : [about, { type: 'item', id: item }]),
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  admit({ about, body }, read) {
    const lot = read('lot', about.id)
    if (!lot) return { code: 'not there', field: 'about.id', what: 'lot' }
    if ((lot.held?.item ?? null) !== body.item) return { code: 'other lineage', field: 'body' }
    // What the door refused went back: no reason takes it in.
    return lot.verdict === 'refuse' && body.verdict === 'accept'
      ? { code: 'lot refused', field: 'body.verdict', lot: lot.code }
      : null
  },
}
