import { MINUTE, type Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Check } from '../../recipe/checks/checksFor'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import type { CoreReading } from './core'
import { hottestStart } from './heat'

/** When a batch that was proven went into the warmth again. */
export interface Warmings {
  all: readonly Instant[]
  /** The last time; -Infinity while it never was. */
  last: Instant
  /**
   * Whether the last warming brought it back to where a cooling clock starts, while its way back to the cold was still in
   * time: then it cools under the limits of heat once more. A jelly that only melted has the shorter way, under a check of
   * its own; what missed that is not made good by more heat.
   */
  hot: boolean
}

export function warmingsOf(
  { checks, facts: { rewarmed } }: Pick<BatchState, 'checks' | 'facts'>,
  core: readonly CoreReading[],
): Warmings {
  const all = valid(rewarmed).map(({ at }) => at)
  const last = Math.max(-Infinity, ...all)
  if (last === -Infinity) return { all, last, hot: false }
  const line = hottestStart(checks) - SAME_DEGREE
  const by = last + minutesBack(checks) * MINUTE
  return { all, last, hot: core.some(({ at, celsius }) => at >= last && at <= by && celsius >= line) }
}

/** The check of a warming without heat: it is asked for once there is one. */
export function isOfRewarming({ limit }: Pick<Check, 'limit'>): boolean {
  return limit.key === 'rewarmed'
}

function minutesBack(checks: readonly Check[]): number {
  const rules = checks.filter(isOfRewarming).map(({ limit }) => limit.rule)
  return Math.min(...rules.map((rule) => (rule.kind === 'reach' ? rule.withinMinutes : Infinity)))
}
