import { MINUTE, type Instant } from '../../ground/instant'
import type { Mark, StepMark } from '../../rules/rule'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { standing } from '../../state/fact'

/** Put back on the heat within this of the last hot reading, or of the mark: the same heat goes on, ms. House figure. */
const BACK_WITHIN = 10 * MINUTE

/** When an edge of a step was first marked, of the marks that stand from an instant on; null while it was not. */
export function firstMark(
  mark: Mark,
  batch: Pick<BatchState, 'facts' | 'startedAt'>,
  since = -Infinity,
): Instant | null {
  if (mark === 'batch started') return batch.startedAt
  return marksOf(mark, batch, since)[0] ?? null
}

/** The last one: of steps that are gone through again. */
export function lastMark(mark: Mark, batch: Pick<BatchState, 'facts' | 'startedAt'>): Instant | null {
  if (mark === 'batch started') return batch.startedAt
  return marksOf(mark, batch).at(-1) ?? null
}

/**
 * When a heat was marked as ended: by its first mark, which no second one moves. Back on the heat while the core was
 * never read under where the cooling clock starts, the heat goes on, to the next mark. Infinity while it goes on.
 * @param hot where the cooling clock starts, °C
 */
export function heatMark(mark: StepMark, batch: BatchState, hot: number, since: Instant): Instant {
  const ends = marksOf(mark, batch, since)
  let end = ends[0]
  if (end === undefined) return Infinity
  for (const again of marksOf({ step: mark.step, edge: 'started' }, batch, since)) {
    if (again < end || !isStillHot(batch, hot, end, again)) continue
    const next = ends.find((at) => at > again)
    if (next === undefined) return Infinity
    end = next
  }
  return end
}

/** Whether it went back on the heat before it had left it: no reading under the line, and the last hot one not long ago. */
export function isStillHot(
  { facts: { 'reading-taken': readings } }: BatchState,
  hot: number,
  since: Instant,
  at: Instant,
): boolean {
  const read = standing(readings).filter(
    (each) => each.value.of === 'mixture' && each.value.where === 'core' && each.at >= since && each.at <= at,
  )
  const celsius = read.map(({ value }) => celsiusOf(value.typed))
  if (celsius.some((each) => each < hot - SAME_DEGREE)) return false
  return at - Math.max(since, ...read.map((each) => each.at)) <= BACK_WITHIN
}

function marksOf(
  { step, edge }: StepMark,
  { facts: { 'step-marked': marks } }: Pick<BatchState, 'facts'>,
  since = -Infinity,
): Instant[] {
  return standing(marks)
    .filter(({ at, value }) => value.step === step && value.edge === edge && at >= since)
    .map(({ at }) => at)
    .sort((a, b) => a - b)
}
