import type { Bodies } from '../../ledger/entry'
import { asEntered, type KindOf } from '../guard/kindOf'
import { tick } from './tick'

declare module '../../ledger/entry' {
  interface Bodies {
    /** Hands, cloth, sieve and spatula clean, probe wiped: at the boundary from raw to cooked. */
    cleaned: { step: string }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    cleaned: Bodies['cleaned']
  }
}

/** One tick for all of it: hands, cloth, sieve and spatula clean, probe wiped. */
export const cleaned: KindOf<'cleaned'> = { kind: 'cleaned', ...tick, fact: asEntered }
