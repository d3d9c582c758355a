import { object, whole } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { needsOpenBatch } from './openBatch'

/** What is served at once went out; what was left went to discard. Only of a method that is not kept. */
export const served: KindOf<'served'> = {
  kind: 'served',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { discarded } = object(body, ['discarded'])
    return { discarded: discarded.value === null ? null : whole(discarded, 0, 100_000) }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit(claim, read) {
    const refusal = needsOpenBatch(claim, read)
    if (refusal) return refusal
    const kept = read('batch', claim.about.id)?.method.cooling !== 'none'
    return kept ? { code: 'kept, not served', field: 'about.id' } : null
  },
}
