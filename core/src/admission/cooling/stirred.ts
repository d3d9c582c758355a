import { object } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'

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
