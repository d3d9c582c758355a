import type { Instant } from '../calendar/instant'
import { stageOf } from '../limits/compared'
import type { Mark, StepMark } from '../limits/rule'
import { SAME_DEGREE } from '../quantity/temperature'
import type { BatchState } from '../state/batch'
import type { Heat } from './watch/watch'
import { mixtureTrace } from './evidence'
import type { Check } from '../limits/checksFor'
import { reopenedAt } from './reopened'
import { hotAgain, rewarmedAt } from './rewarming'
import { standing } from '../state/fact'

/**
 * When an edge of a step happened: its last mark. For the end of the heat also by the readings, as Heat says: the last
 * hot reading before it was read cold.
 */
export function instantOf(mark: Mark, batch: BatchState): Instant | null {
  if (mark === 'batch started') return batch.startedAt
  const marked = lastMark(mark, batch)
  if (mark.edge !== 'done') return marked
  const { hot, mark: end } = heatOf(mark, batch)
  const upTo = mixtureTrace(batch).filter(({ at }) => at >= legStart(batch) && at <= end)
  const last = upTo.at(-1)
  const lastHot =
    last && last.celsius < hot - SAME_DEGREE ? upTo.findLast(({ celsius }) => celsius >= hot - SAME_DEGREE) : null
  return lastHot?.at ?? (end === Infinity ? null : end)
}

/** What ends a heat step: its mark in the present leg, and the temperature at which a cooling clock may start. */
export function heatOf(mark: StepMark, batch: BatchState): Heat {
  const marked = lastMark(mark, batch)
  const restarted = lastMark({ step: mark.step, edge: 'started' }, batch)
  const holds = marked !== null && marked >= legStart(batch) && !(restarted !== null && restarted > marked)
  const starts = batch.checks.flatMap((check) => {
    const { rule } = check.limit
    const { from } = check.evidence
    const ours =
      rule.kind === 'reach' && rule.direction === 'falling' && from !== 'batch started' && from.step === mark.step
    const stage = ours ? stageOf(check.key, rule, check) : null
    return stage?.clock === 'from' ? [stage.from] : []
  })
  return { hot: starts.length ? Math.max(...starts) : Infinity, mark: holds ? marked : Infinity }
}

/** When the present heat began anew: with the last rework, when something raw went in or it was baked again; else long ago. */
export function legStart(batch: BatchState): Instant {
  const reworked = batch.reworks.findLast(({ void: gone }) => !gone)?.at ?? -Infinity
  return Math.max(reworked, reopenedAt(batch), hotAgain(batch) ? rewarmedAt(batch) : -Infinity)
}

/** Since when it cools under a check: the end of the heat, or when it was only warmed again; null before. */
export function cooledSince({ limit, evidence }: Check, batch: BatchState): Instant | null {
  return limit.key === 'rewarmed' ? rewarmedAt(batch) : instantOf(evidence.from, batch)
}

/** Which making of the batch it is: 1, and one more for each rework. */
export function legOf(batch: BatchState): number {
  return 1 + standing(batch.reworks).length
}

/** The last mark of an edge; null while there is none. */
export function lastMark(mark: Mark, { marks, startedAt }: BatchState): Instant | null {
  if (mark === 'batch started') return startedAt
  const { step, edge } = mark
  const same = marks.filter(({ void: gone, value }) => !gone && value.step === step && value.edge === edge)
  return same.length ? Math.max(...same.map(({ at }) => at)) : null
}
