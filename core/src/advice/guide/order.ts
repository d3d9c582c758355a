import type { Instant } from '../../ground/instant'
import type { Edge } from '../../rules/rule'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { StepKind } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { timelineOf } from '../../judgement/timeline/timeline'
import { waitOf } from '../../judgement/timeline/stepLeft'

/** Why a step cannot be marked without a word: something that matters comes first, or would be left out. */
export type OutOfOrder =
  | { code: 'before'; step: string; kind: StepKind }
  | { code: 'left out'; step: string; kind: StepKind }
  /** It has not waited as long as the method says, or longer. */
  | { code: 'cut short'; step: string; kind: StepKind; ready: Instant }
  | { code: 'too long'; step: string; kind: StepKind; until: Instant }

/** Steps that the next ones rest on; all others may overlap and change places. */
const MATTERS: readonly StepKind[] = ['temper', 'combine', 'cook', 'boil out', 'bake', 'reheat']
const KILLS: readonly StepKind[] = ['cook', 'boil out', 'bake']
/** Work on the parts, before anything is together: in whatever order. */
const PREPARES: readonly StepKind[] = ['mise', 'eggs', 'infuse', 'heat dairy', 'whip']

/**
 * Whether marking a step now is out of order where that is not harmless: then a reason is asked for. Beginning a step
 * never is; ending one is where an earlier step that matters has not ended, or what waits ends too soon or too late;
 * leaving out is where the step matters.
 * @param at when it is said to have been
 */
export function outOfOrder(batch: BatchState, step: string, edge: Edge, at: Instant): OutOfOrder | null {
  const { steps } = batch.method
  const index = steps.findIndex(({ key }) => key === step)
  const own = steps[index]
  if (!own || edge === 'started') return null
  if (edge === 'skipped') return matters(batch, own.key, own.kind) ? { code: 'left out', step, kind: own.kind } : null
  const wait = waitOf(batch, step)
  if (wait && at < wait.ready) return { code: 'cut short', step, kind: own.kind, ready: wait.ready }
  if (wait && at > wait.until) return { code: 'too long', step, kind: own.kind, until: wait.until }
  if (PREPARES.includes(own.kind)) return null
  const sameHeat = KILLS.includes(own.kind)
  const before = steps
    .slice(0, index)
    .find(
      ({ key, kind }) =>
        matters(batch, key, kind) && !(sameHeat && KILLS.includes(kind)) && timelineOf(batch).stepEnded(key) === null,
    )
  return before ? { code: 'before', step: before.key, kind: before.kind } : null
}

/** The last heat matters even where it only warms dairy: the cooling clock hangs on it. So does what waits for so long. */
function matters({ method, terms }: BatchState, key: string, kind: StepKind): boolean {
  return MATTERS.includes(kind) || heatPlan(method).lastHeat?.step === key || terms.waits[key] !== undefined
}
