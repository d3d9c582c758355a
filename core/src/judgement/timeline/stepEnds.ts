import type { Instant } from '../../ground/instant'
import type { Edge } from '../../rules/rule'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Step, StepKind } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import type { Marks } from './marks'
import type { HeatTimes } from './heat'

/** The edge that ends a step: what joins the parts ends when they are together. */
export function endEdge(method: BatchState['method'], marks: Marks, step: string): Edge {
  const isMarked = marks.first({ step, edge: 'combined' }) !== null
  const { combined, killed, assembled } = heatPlan(method)
  // A syrup is poured in: first all is together, then the foam is read, then it is made.
  const poured = combined !== 'batch started' && combined.step === step && killed?.step === step
  if (killed?.step === step && (!poured || isMarked)) return 'done'
  const joins = [combined, assembled].some((mark) => mark !== 'batch started' && mark.step === step)
  return joins ? 'combined' : 'done'
}

/** Steps of one heat: the next one's beginning is the end of the one before. */
const HEATS: readonly StepKind[] = ['cook', 'boil out', 'bake']

/** When a step ended, by its marks or, for the last heat, by what was read; null while it goes on or never began. */
export function endOf(method: BatchState['method'], times: HeatTimes, step: string): Instant | null {
  const { marks, heatSince } = times
  const since = (at: Instant | null) => (at !== null && at >= heatSince ? at : null)
  const next = nextHeat(method, step)
  const begun = next && since(marks.last({ step: next.key, edge: 'started' }))
  if (begun) return begun
  const { killed, lastHeat } = heatPlan(method)
  const heat = [killed, lastHeat].find((mark) => mark?.step === step)
  if (heat) return times.heatEnded(heat) ?? since(marks.last({ step, edge: 'skipped' }))
  const ends = (['done', 'combined', 'skipped'] as const).map((edge) => marks.last({ step, edge }))
  const ended = Math.max(-Infinity, ...ends.map((at) => at ?? -Infinity))
  if (ended === -Infinity) return null
  return isAfterHeat(method, step) ? since(ended) : ended
}

/** The step that goes on with the heat of this one, without a break; null where none does. */
export function nextHeat({ steps }: BatchState['method'], step: string): Step | null {
  const at = steps.findIndex(({ key }) => key === step)
  const [own, next] = [steps[at], steps[at + 1]]
  return own && next && HEATS.includes(own.kind) && HEATS.includes(next.kind) ? next : null
}

/** From the heat of the mixture on: when that begins anew, so does all that follows. */
function isAfterHeat({ steps }: BatchState['method'], step: string): boolean {
  const heat = steps.findIndex(({ kind, measures }) => HEATS.includes(kind) && measures === 'mixture')
  return heat >= 0 && steps.findIndex(({ key }) => key === step) >= heat
}
