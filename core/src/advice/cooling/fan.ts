import { MINUTE, type Instant } from '../../ground/instant'
import type { CoolingPlan } from '../../ledger/entry'
import type { BatchState } from '../../state/batch'
import { filledTo } from '../../physics/cooling/vessel'
import { timelineOf } from '../../judgement/timeline/timeline'
import type { Action } from './action'
import { afterwards, prospectIn, settledSince, type Forecast, type Means } from './forecast'
import { expectedAt, posteriorOf, type Posterior } from '../../physics/projection/posterior'
import { prospectOf } from '../../physics/cooling/prospect'

/** Where a forecast goes: the expected core and its 90 % range, °C. */
export interface FanPoint {
  at: Instant
  celsius: number
  least: number
  most: number
}

const POINTS = 28

/** A forecast from an instant to another, closer together near its beginning. */
export function fanOf(posterior: Posterior, from: Instant, until: Instant): FanPoint[] {
  if (until <= from) return []
  return Array.from({ length: POINTS }, (_, i) => {
    const at = from + (until - from) * (i / (POINTS - 1)) ** 1.7
    const { mean, spread } = expectedAt(posterior, at)
    return { at, celsius: mean, least: mean - 1.645 * spread, most: mean + 1.645 * spread }
  })
}

/** What is to be expected of it when an action is done at an instant. */
export function ifDone({ setting, posterior }: Forecast, action: Action, at: Instant, means: Means): Posterior {
  const { prospect } = prospectIn(afterwards(setting, action), settledSince(setting, posterior), means)
  const { mean, spread } = expectedAt(posterior, at)
  return posteriorOf({
    ...prospect,
    readings: [],
    begin: { at: Math.floor(at / MINUTE) * MINUTE, celsius: mean, spread },
  })
}

/** How a plan would have gone from when its batch came off the heat; empty before that, or where nothing says what it holds. */
export function outcomeFan(batch: BatchState, plan: CoolingPlan, until: Instant): FanPoint[] {
  const gate = batch.checks.find(({ limit: { rule } }) => rule.kind === 'reach' && rule.direction === 'falling')
  const timeline = timelineOf(batch)
  const from = gate ? timeline.at(gate.evidence.from) : null
  const celsius = from === null ? null : timeline.lastRead(from)
  const { product: load } = batch.terms
  if (from === null || celsius === null || !load) return []
  const { vessel, depth, place, cover } = plan
  const product = { shape: filledTo(vessel.inside, depth), composition: load.composition, wall: vessel.wall }
  const begin = { at: from, celsius, spread: 1 }
  return fanOf(posteriorOf({ ...prospectOf(product, place, cover), readings: [], begin }), from, until)
}
