import { foodIn } from '../../recipe/ingredient/own'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { BatchState } from '../../state/batch'
import { valid, type Fact } from '../../state/fact'
import { timelineOf } from './timeline'

/** Kept dry until something went in that needs the cold: after the heat by whatever entry, and a filling at any time. */
export function isMoistened(batch: BatchState): boolean {
  const { killed } = heatPlan(batch.method)
  const end = killed && timelineOf(batch).marks.first(killed)
  // What was only entered after the oven went in after it, for all that anybody knows.
  const after = ({ at, knownAt }: Fact<unknown>) => end !== null && Math.max(at, knownAt) > end
  return (
    valid(batch.facts.added).some((fact) => after(fact) && foodIn(fact.value)?.needsCold !== false) ||
    valid(batch.facts['part-used']).some(({ value }) => value.part.facts.needsCold)
  )
}

/** Frozen fruit that nobody treated is in it, and its method has no boil for it. */
export function holdsUntreatedFruit(batch: BatchState): boolean {
  const boiled = batch.checks.some(({ limit, evidence }) => limit.key === 'fruit-boil' && evidence.of === 'mixture')
  const parts = valid(batch.facts['part-used']).some(({ value }) => value.part.facts.untreatedFruit === true)
  return (
    batch.terms.untreatedFruit || (!boiled && (parts || timelineOf(batch).raw.some(({ what }) => what === 'fruit')))
  )
}
