import type { Instant } from '../../ground/instant'
import type { Edge } from '../../rules/rule'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Step, StepKind } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { lastMark } from './marks'
import { heatEnded, heatSince } from './offHeat'

/** The edge that ends a step: what joins the parts ends when they are together. */
export function endEdge(
  { method, facts: { 'step-marked': marks } }: Pick<BatchState, 'method' | 'facts'>,
  step: string,
): Edge {
  const isMarked = marks.some(({ void: gone, value }) => !gone && value.step === step && value.edge === 'combined')
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
export function endOf(batch: BatchState, step: string): Instant | null {
  const next = nextHeat(batch, step)
  const begun = next && since(batch, lastMark({ step: next.key, edge: 'started' }, batch))
  if (begun) return begun
  const { killed, lastHeat } = heatPlan(batch.method)
  const heat = [killed, lastHeat].find((mark) => mark?.step === step)
  if (heat) return heatEnded(heat, batch) ?? since(batch, lastMark({ step, edge: 'skipped' }, batch))
  const ends = (['done', 'combined', 'skipped'] as const).map((edge) => lastMark({ step, edge }, batch))
  const ended = Math.max(-Infinity, ...ends.map((at) => at ?? -Infinity))
  if (ended === -Infinity) return null
  return isAfterHeat(batch, step) ? since(batch, ended) : ended
}

/** From the heat of the mixture on: when that begins anew, so does all that follows. */
function isAfterHeat({ method: { steps } }: BatchState, step: string): boolean {
  const heat = steps.findIndex(({ kind, measures }) => HEATS.includes(kind) && measures === 'mixture')
  return heat >= 0 && steps.findIndex(({ key }) => key === step) >= heat
}

/** The step that goes on with the heat of this one, without a break; null where none does. */
export function nextHeat({ method: { steps } }: Pick<BatchState, 'method'>, step: string): Step | null {
  const at = steps.findIndex(({ key }) => key === step)
  const [own, next] = [steps[at], steps[at + 1]]
  return own && next && HEATS.includes(own.kind) && HEATS.includes(next.kind) ? next : null
}

function since(batch: BatchState, at: Instant | null): Instant | null {
  return at !== null && at >= heatSince(batch) ? at : null
}
