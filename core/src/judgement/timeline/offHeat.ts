import type { Instant } from '../../ground/instant'
import { stageOf } from '../../rules/compared'
import type { Check } from '../../recipe/checks/checksFor'
import type { Mark, StepMark } from '../../rules/rule'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { standing } from '../../state/fact'
import { legStart } from './legs'
import { firstMark, heatMark } from './marks'
import { slowestPan } from './pans'
import { reopenedAt } from './rawIn'
import { rewarmedAt } from './rewarming'

/**
 * When an edge of a step happened: its first mark. For the end of the heat also by the readings: the last hot reading
 * before it was read cold.
 */
export function instantOf(mark: Mark, batch: BatchState, since = legStart(batch)): Instant | null {
  if (mark === 'batch started' || mark.edge !== 'done') return firstMark(mark, batch)
  const hot = hotOf(mark, batch)
  const end = heatMark(mark, batch, hot, since)
  const pan = slowestPan(batch)
  const upTo = standing(batch.facts['reading-taken'])
    .filter(({ at, value }) => {
      const { of, where, portion } = value
      return (
        of === 'mixture' && where === 'core' && (portion === undefined || portion === pan) && at >= since && at <= end
      )
    })
    .sort((a, b) => a.at - b.at)
    .map(({ at, value }) => ({ at, celsius: celsiusOf(value.typed) }))
  const last = upTo.at(-1)
  const lastHot =
    last && last.celsius < hot - SAME_DEGREE ? upTo.findLast(({ celsius }) => celsius >= hot - SAME_DEGREE) : null
  return lastHot?.at ?? (end === Infinity ? null : end)
}

/** Since when the heat of the mixture counts that is asked of hands now: the present leg, and anew from what went in raw. */
export function heatSince(batch: BatchState): Instant {
  return Math.max(legStart(batch), reopenedAt(batch), standing(batch.reworks).at(-1)?.at ?? -Infinity)
}

/** When the heat ended that is asked of hands now; null while it goes on, or has to begin anew. */
export function heatEnded(mark: StepMark, batch: BatchState): Instant | null {
  return instantOf(mark, batch, heatSince(batch))
}

/** The temperature at which a cooling clock may start once a heat step has ended, °C; Infinity where none does. */
export function hotOf(mark: StepMark, batch: Pick<BatchState, 'checks'>): number {
  const starts = batch.checks.flatMap((check) => {
    const { rule } = check.limit
    const { from } = check.evidence
    const ours =
      rule.kind === 'reach' && rule.direction === 'falling' && from !== 'batch started' && from.step === mark.step
    const stage = ours ? stageOf(check.key, rule, check) : null
    return stage?.clock === 'from' ? [stage.from] : []
  })
  return starts.length ? Math.max(...starts) : Infinity
}

/** Since when it cools under a check: the end of the heat, or when it was only warmed again; null before. */
export function cooledSince({ limit, evidence }: Check, batch: BatchState): Instant | null {
  return limit.key === 'rewarmed' ? rewarmedAt(batch) : instantOf(evidence.from, batch)
}
