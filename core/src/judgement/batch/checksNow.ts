import { MINUTE } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import { heatPlan } from '../../recipe/method/heatPlan'
import { SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { hotOf, hottestStart } from '../timeline/heat'
import { holdsUntreatedFruit, isMoistened } from '../timeline/contents'
import { timelineOf } from '../timeline/timeline'
import { isOfRewarming } from '../timeline/warmings'

/**
 * What a batch is held to as it stands: the checks it began with, and of those foreseen the ones that came to light. Raw
 * egg asks for its floor in every family; how warm it was says under which limits it cools.
 */
export function checksNow(batch: BatchState): Check[] {
  const { leg, warmings } = timelineOf(batch)
  const warmed = warmings.last > -Infinity && !warmings.hot
  const own = batch.checks.filter(
    (check) => (check.limit.key !== 'rework' || leg.number > 1) && (!isOfRewarming(check) || warmed),
  )
  return withFruit(batch, withMoist(batch, withRaw(batch, byWarmth(batch, own))))
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
  const { core: read, marks, leg } = timelineOf(batch)
  const core = read.filter(({ at }) => at >= leg.from)
  const isUnder = (line: number) => core.every(({ celsius }) => celsius < line - SAME_DEGREE)
  if (ifHot.length && !isUnder(hottestStart(ifHot)))
    return inPlaceOf(checks, ({ limit }) => limit.key === 'cool-ambient', ifHot)
  const { lastHeat } = heatPlan(batch.method)
  if (!ifNeverHot.length || !lastHeat) return [...checks]
  const end = marks.first(lastHeat)
  const near = core.some(({ at }) => end !== null && at >= end - NEAR_THE_END && at <= end + AFTER_THE_END)
  const never = near && isUnder(hotOf(lastHeat.step, batch.checks))
  return never ? inPlaceOf(checks, (check) => isCooling(check), ifNeverHot) : [...checks]
}

function withRaw(batch: BatchState, checks: Check[]): Check[] {
  const { raw } = timelineOf(batch)
  if (raw.length === 0) return checks
  const { floor, lot, hours } = batch.terms.ifRaw
  const has = (added: readonly Check[]) =>
    added.some(({ limit }) => checks.some((check) => check.limit.key === limit.key))
  const more = [...(has(floor) || raw.every(({ what }) => what === 'fruit') ? [] : floor)]
  // Nothing heats it, and it is not meant to be raw.
  const unheated = lot.length > 0 && raw.some((each) => each.what !== 'fruit' && !each.onPurpose)
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
