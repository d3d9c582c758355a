import { MINUTE } from '../../ground/instant'
import type { CoolingStage } from '../../rules/compared'
import type { Bounded } from '../../physics/trace/reading'
import { sAt } from '../../physics/conduction/response'
import { posteriorOf } from '../../physics/projection/posterior'
import type { Prospect } from '../../physics/cooling/prospect'

/** How one stage of a cooling will go, before anything is read. Minutes from the start of its clock; Infinity: never. */
export interface PlannedStage {
  stage: CoolingStage
  minutes: Bounded
  /** How likely it takes longer than it may, and what that is called. */
  miss: number
  says: 'makes it' | 'too close' | 'misses'
}

/** Above this a plan is too close. */
export const PLAN_MISSES = 0.2
/** More likely than not. */
export const LIKELY_MISS = 0.5

/**
 * How the stages of a cooling will go from a temperature, °C, throughout. A clock that starts at a temperature starts
 * as it is passed, or at once from under it; one that follows another starts at the end of that.
 */
export function plannedStages(prospect: Prospect, celsius: number, stages: readonly CoolingStage[]): PlannedStage[] {
  const { ways } = posteriorOf({ ...prospect, readings: [], begin: { at: 0, celsius, spread: 1 } })
  return stages.map((stage, i) => {
    const before = stages[i - 1]
    const from =
      stage.clock === 'event'
        ? celsius
        : stage.clock === 'previous' && before
          ? before.to
          : Math.min(stage.from, celsius)
    const took = ways
      .map(({ weight, curve, tauMs, start, end }) => {
        const at = (level: number) =>
          level >= start ? 0 : level <= end ? Infinity : tauMs * sAt(curve, Math.log((level - end) / (start - end)))
        return { weight, minutes: (at(stage.to) - at(from)) / MINUTE }
      })
      .sort((a, b) => a.minutes - b.minutes)
    const quantile = (share: number) => {
      let sum = 0
      return took.find(({ weight }) => (sum += weight) >= share - 1e-9)?.minutes ?? Infinity
    }
    const miss = took.reduce((sum, { weight, minutes }) => sum + (minutes > stage.withinMinutes ? weight : 0), 0)
    return {
      stage,
      minutes: { least: quantile(0.05), likely: quantile(0.5), most: quantile(0.95) },
      miss,
      says: saysOf(miss),
    }
  })
}

function saysOf(miss: number): PlannedStage['says'] {
  if (miss > LIKELY_MISS) return 'misses'
  return miss > PLAN_MISSES ? 'too close' : 'makes it'
}

/** The stage that tells most of a plan: the first that may be missed, else the first. */
export function tellingStage(stages: readonly PlannedStage[]): PlannedStage | null {
  return stages.find(({ says }) => says !== 'makes it') ?? stages[0] ?? null
}

/** Whether every stage is made, as far as a plan can say. */
export function planMakesIt(stages: readonly PlannedStage[]): boolean {
  return stages.every(({ says }) => says === 'makes it')
}

const SHALLOWEST = 0.01
const DEEPEST = 0.3

/** The largest depth, m, at which every stage is still made; null where not even a centimetre makes it. */
export function largestDepth(
  prospectAt: (depth: number) => Prospect,
  celsius: number,
  stages: readonly CoolingStage[],
): number | null {
  const makes = (depth: number) => planMakesIt(plannedStages(prospectAt(depth), celsius, stages))
  if (!makes(SHALLOWEST)) return null
  let [low, high] = [SHALLOWEST, DEEPEST]
  if (makes(high)) return high
  while (high - low > 0.001) {
    const middle = (low + high) / 2
    if (makes(middle)) low = middle
    else high = middle
  }
  return Math.floor(low * 1000) / 1000
}
