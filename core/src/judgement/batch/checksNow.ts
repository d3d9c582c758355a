import { MINUTE } from '../../ground/instant'
import { catalogue } from '../../recipe/ingredient/catalogue'
import type { Check } from '../../recipe/checks/checksFor'
import { heatPlan } from '../../recipe/method/heatPlan'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { standing, type Fact } from '../../state/fact'
import type { ReadingBody } from '../../ledger/entry'
import { legOf, legStart } from '../timeline/legs'
import { firstMark } from '../timeline/marks'
import { hotOf } from '../timeline/offHeat'
import { isRawOnPurpose, rawInsOf } from '../timeline/rawIn'
import { hotAgain, isOfRewarming, rewarmedAt } from '../timeline/rewarming'
import { stageOf } from '../../rules/compared'

/**
 * What a batch is held to as it stands: the checks it began with, and of those foreseen the ones that came to light. Raw
 * egg asks for its floor in every family; how warm it was says under which limits it cools.
 */
export function checksNow(batch: BatchState): Check[] {
  const warmed = rewarmedAt(batch) > -Infinity && !hotAgain(batch)
  const own = batch.checks.filter(
    (check) => (check.limit.key !== 'rework' || legOf(batch) > 1) && (!isOfRewarming(check) || warmed),
  )
  return withFruit(batch, withMoist(batch, withRaw(batch, byWarmth(batch, own))))
}

/** Kept dry until something went in that needs the cold: after the heat by whatever entry, and a filling at any time. */
export function isMoistened(batch: BatchState): boolean {
  const { killed } = heatPlan(batch.method)
  const end = killed && firstMark(killed, batch)
  // What was only entered after the oven went in after it, for all that anybody knows.
  const after = ({ at, knownAt }: Fact<unknown>) => end !== null && Math.max(at, knownAt) > end
  return (
    standing(batch.facts.added).some((fact) => after(fact) && catalogue[fact.value.ingredient]?.needsCold !== false) ||
    standing(batch.facts['part-used']).some(({ value }) => value.part.facts.needsCold)
  )
}

/** Frozen fruit that nobody treated is in it, and its method has no boil for it. */
export function holdsUntreatedFruit(batch: BatchState): boolean {
  const boiled = batch.checks.some(({ limit, evidence }) => limit.key === 'fruit-boil' && evidence.of === 'mixture')
  const parts = standing(batch.facts['part-used']).some(({ value }) => value.part.facts.untreatedFruit === true)
  return batch.terms.untreatedFruit || (!boiled && (parts || rawInsOf(batch).some(({ what }) => what === 'fruit')))
}

function withFruit(batch: BatchState, checks: Check[]): Check[] {
  return holdsUntreatedFruit(batch) ? [...checks, ...batch.terms.ifFruit] : checks
}

function withMoist(batch: BatchState, checks: Check[]): Check[] {
  const { ifMoist } = batch.terms
  return ifMoist.length && isMoistened(batch) ? [...checks, ...ifMoist] : checks
}

/** After the heat it is read once near its end: that is evidence of its warmest, ms. */
const NEAR_THE_END = 15 * MINUTE
const AFTER_THE_END = 5 * MINUTE

function byWarmth(batch: BatchState, checks: readonly Check[]): Check[] {
  const { ifHot, ifNeverHot } = batch.terms
  const core = coreOf(batch)
  if (ifHot.length && core.some(({ value }) => celsiusOf(value.typed) >= startOf(ifHot) - SAME_DEGREE))
    return inPlaceOf(checks, ({ limit }) => limit.key === 'cool-ambient', ifHot)
  const { lastHeat } = heatPlan(batch.method)
  if (!ifNeverHot.length || !lastHeat) return [...checks]
  const end = firstMark(lastHeat, batch)
  const hot = hotOf(lastHeat, batch)
  const near = core.some(({ at }) => end !== null && at >= end - NEAR_THE_END && at <= end + AFTER_THE_END)
  const never = near && core.every(({ value }) => celsiusOf(value.typed) < hot - SAME_DEGREE)
  return never ? inPlaceOf(checks, (check) => isCooling(check), ifNeverHot) : [...checks]
}

function withRaw(batch: BatchState, checks: Check[]): Check[] {
  const raw = rawInsOf(batch)
  if (raw.length === 0) return checks
  const { floor, lot, hours } = batch.terms.ifRaw
  const has = (added: readonly Check[]) =>
    added.some(({ limit }) => checks.some((check) => check.limit.key === limit.key))
  const more = [...(has(floor) || raw.every(({ what }) => what === 'fruit') ? [] : floor)]
  // Nothing heats it, and it is not meant to be raw.
  const unheated = lot.length > 0 && raw.some((each) => each.what !== 'fruit' && !isRawOnPurpose(batch, each))
  if (unheated && !has(lot)) more.push(...lot)
  if (unheated && !has(hours)) more.push(...hours)
  return [...more, ...checks]
}

function inPlaceOf(checks: readonly Check[], isReplaced: (check: Check) => boolean, by: readonly Check[]): Check[] {
  const at = checks.findIndex(isReplaced)
  const rest = checks.filter((check) => !isReplaced(check))
  return at < 0 ? [...rest, ...by] : [...rest.slice(0, at), ...by, ...rest.slice(at)]
}

function isCooling({ limit: { key, rule } }: Check): boolean {
  return rule.kind === 'reach' && rule.direction === 'falling' && key !== 'rewarmed' && key !== 'chill-total'
}

/** Where the clock of the first of these stages starts, °C. */
function startOf(checks: readonly Check[]): number {
  const starts = checks.flatMap((check) => {
    const { rule } = check.limit
    const stage = rule.kind === 'reach' ? stageOf(check.key, rule, check) : null
    return stage?.clock === 'from' ? [stage.from] : []
  })
  return starts.length ? Math.max(...starts) : Infinity
}

function coreOf(batch: BatchState): Fact<ReadingBody>[] {
  const since = legStart(batch)
  return standing(batch.facts['reading-taken']).filter(
    ({ at, value }) => value.of === 'mixture' && value.where === 'core' && at >= since,
  )
}
