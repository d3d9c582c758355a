import type { Mark } from '../limits/rule'
import type { Of } from '../method/method'
import type { BatchState } from '../state/batch'
import { instantOf } from './offHeat'

/** Where a batch is in its method: which step runs, what a reading is of, and which tap moves it on. */
export interface Phase {
  step: string
  of: Of
  /** The mark that ends it; null when only readings do. */
  next: Mark | null
}

/** The phase of a batch as far as it is known from its marks and readings. */
export function phaseOf(batch: BatchState): Phase {
  const { steps } = batch.method
  const named = (kind: (typeof steps)[number]['kind']) => steps.find((step) => step.kind === kind)
  const dairy = named('heat dairy')
  const temper = named('temper')
  const cook = named('cook')
  const cool = named('cool')
  if (temper && instantOf({ step: temper.key, edge: 'combined' }, batch) === null) {
    const first = dairy ?? temper
    return { step: first.key, of: first.measures, next: { step: temper.key, edge: 'combined' } }
  }
  if (cook && instantOf({ step: cook.key, edge: 'done' }, batch) === null) {
    return { step: cook.key, of: cook.measures, next: { step: cook.key, edge: 'done' } }
  }
  return { step: cool?.key ?? steps.at(-1)?.key ?? '', of: 'mixture', next: null }
}
