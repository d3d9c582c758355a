import { object } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { needsOpenBatch } from './openBatch'

/** Stirred through: what was warm in the middle is spread over the whole. */
export const stirred: KindOf<'stirred'> = {
  kind: 'stirred',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    object(body, [])
    return {}
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit: needsOpenBatch,
}
