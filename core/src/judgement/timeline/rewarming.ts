import { MINUTE, type Instant } from '../../ground/instant'
import { stageOf } from '../../rules/compared'
import type { Check } from '../../recipe/checks/checksFor'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { standing } from '../../state/fact'

/** When it went into the warmth again, each time. */
export function rewarmings({ facts: { rewarmed } }: Pick<BatchState, 'facts'>): Instant[] {
  return standing(rewarmed).map(({ at }) => at)
}

/** The last time; long ago while it never was. */
export function rewarmedAt(batch: Pick<BatchState, 'facts'>): Instant {
  return Math.max(-Infinity, ...rewarmings(batch))
}

/**
 * Whether the last warming brought it back to where a cooling clock starts, while its way back to the cold was still in
 * time: then it cools under the limits of heat once more. A jelly that only melted has the shorter way, under a check of
 * its own; what missed that is not made good by more heat.
 */
export function hotAgain(batch: BatchState): boolean {
  const since = rewarmedAt(batch)
  if (since === -Infinity) return false
  const hot = startsOf(batch.checks)
  const by = since + minutesBack(batch.checks) * MINUTE
  return batch.facts['reading-taken'].some(
    ({ void: gone, at, value }) =>
      !gone &&
      at >= since &&
      at <= by &&
      value.of === 'mixture' &&
      value.where === 'core' &&
      celsiusOf(value.typed) >= hot - SAME_DEGREE,
  )
}

function minutesBack(checks: readonly Check[]): number {
  const rules = checks.filter(isOfRewarming).map(({ limit }) => limit.rule)
  return Math.min(...rules.map((rule) => (rule.kind === 'reach' ? rule.withinMinutes : Infinity)))
}

/** The check of a warming without heat: it is asked for once there is one. */
export function isOfRewarming({ limit }: Pick<Check, 'limit'>): boolean {
  return limit.key === 'rewarmed'
}

/** The hottest at which a cooling clock of this batch starts, °C; never, where none does. */
function startsOf(checks: readonly Check[]): number {
  const starts = checks.flatMap((check) => {
    const { rule } = check.limit
    if (rule.kind !== 'reach' || rule.direction !== 'falling') return []
    const stage = stageOf(check.key, rule, check)
    return stage.clock === 'from' ? [stage.from] : []
  })
  return starts.length ? Math.max(...starts) : Infinity
}
