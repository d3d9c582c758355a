import { heatPlan } from '../../recipe/method/heatPlan'
import type { Of } from '../../recipe/method/method'
import type { Mark, StepMark } from '../../rules/rule'
import type { BatchState } from '../../state/batch'
import type { HeatTimes } from './heat'
import { endOf } from './stepEnds'

/** Where a batch is in its method: which step runs, what a reading is of, and which tap moves it on. */
export interface Phase {
  step: string
  of: Of
  /** The mark that ends it; null when only readings do. */
  next: StepMark | null
  /** On the heat, or on the way there. */
  cooking: boolean
}

/** The phase of a batch as far as it is known from its marks and readings. */
export function phaseOf(method: BatchState['method'], times: HeatTimes): Phase {
  const { steps, cooling } = method
  const { combined, killed, lastHeat, assembled } = heatPlan(method)
  const at = (key: string) => steps.findIndex((step) => step.key === key)
  const waits = (mark: Mark | null): mark is StepMark =>
    mark !== null &&
    mark !== 'batch started' &&
    (mark.edge === 'done' ? times.heatEnded(mark) : times.at(mark)) === null

  if (waits(combined) && killed) return before(method, times, at(combined.step), combined)
  if (waits(killed)) return { step: killed.step, of: 'mixture', next: killed, cooking: true }
  if (!killed && cooling === 'stages' && waits(lastHeat))
    return { step: lastHeat.step, of: 'mixture', next: lastHeat, cooking: true }
  if (cooling === 'ambient' && waits(assembled))
    return { ...before(method, times, at(assembled.step), assembled), cooking: false }
  const rest = steps.find(({ kind }) => kind === 'cool' || kind === 'set') ?? steps.at(-1)
  return { step: rest?.key ?? '', of: 'mixture', next: null, cooking: false }
}

/** Before everything is together: readings are of the part that is at hand. */
function before(method: BatchState['method'], times: HeatTimes, index: number, next: StepMark): Phase {
  const { steps } = method
  const parts = steps.slice(0, index + 1).filter(({ measures }) => measures !== 'mixture')
  const step = parts.find(({ key }) => endOf(method, times, key) === null) ?? parts.at(-1) ?? steps[index]
  return { step: step?.key ?? next.step, of: step?.measures ?? 'mixture', next, cooking: true }
}
