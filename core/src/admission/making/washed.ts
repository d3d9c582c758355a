import type { Bodies } from '../../ledger/entry'
import { asEntered, type KindOf } from '../guard/kindOf'
import { tick } from './tick'

declare module '../../ledger/entry' {
  interface Bodies {
    /** Fresh fruit, herbs and flowers of that step, in running water. */
    washed: { step: string }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    washed: Bodies['washed']
  }
}

/** One tick for the fresh fruit, herbs and flowers of a step: washed in running water before they went in. */
export const washed: KindOf<'washed'> = { kind: 'washed', ...tick, fact: asEntered }
