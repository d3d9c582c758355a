import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { object } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    stirred: Record<string, never>
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    stirred: Bodies['stirred']
  }
}

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
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: needsOpenBatch,
  lateAfter: 30 * MINUTE,
  fact: asEntered,
}
