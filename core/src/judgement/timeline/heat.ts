import { MINUTE, type Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Check } from '../../recipe/checks/checksFor'
import { stageOf } from '../../rules/compared'
import type { Mark, StepMark } from '../../rules/rule'
import type { CoreReading } from './core'
import type { Marks } from './marks'
import type { Pans } from './pans'

/** Put back on the heat within this of the last hot reading, or of the mark: the same heat goes on, ms. House figure. */
const BACK_WITHIN = 10 * MINUTE

/** When the heat began and ended, as it is asked of hands now. */
export interface HeatTimes {
  marks: Marks
  /** Since when a heat counts. */
  heatSince: Instant
  /** When an edge of a step happened; null while it did not. */
  at(mark: Mark): Instant | null
  /** When the heat of a step ended; null while it goes on, or has to begin anew. */
  heatEnded(mark: StepMark): Instant | null
}

/**
 * When a heat was marked as ended: by its first mark, which no second one moves. Back on the heat while the core was
 * never read under where the cooling clock starts, the heat goes on, to the next mark. Infinity while it goes on.
 * @param hot where the cooling clock starts, °C
 */
export function heatMark(
  { marks, core }: { marks: Marks; core: readonly CoreReading[] },
  { step }: StepMark,
  hot: number,
  since: Instant,
): Instant {
  const ends = marks.all({ step, edge: 'done' }, since)
  let end = ends[0]
  if (end === undefined) return Infinity
  for (const again of marks.all({ step, edge: 'started' }, since)) {
    if (again < end || !isStillHot(core, hot, end, again)) continue
    const next = ends.find((at) => at > again)
    if (next === undefined) return Infinity
    end = next
  }
  return end
}

/** Whether it went back on the heat before it had left it: no reading under the line, and the last hot one not long ago. */
export function isStillHot(core: readonly CoreReading[], hot: number, since: Instant, at: Instant): boolean {
  const read = core.filter((each) => each.at >= since && each.at <= at)
  if (read.some(({ celsius }) => celsius < hot - SAME_DEGREE)) return false
  return at - Math.max(since, ...read.map((each) => each.at)) <= BACK_WITHIN
}

/**
 * When a heat ended: by its mark, or by the readings where they say so sooner, which is the last hot one before the core
 * was read cold. null while it goes on.
 * @param hot where the cooling clock starts, °C
 */
export function heatEnd(
  timeline: { marks: Marks; core: readonly CoreReading[]; pans: Pans },
  mark: StepMark,
  hot: number,
  since: Instant,
): Instant | null {
  const end = heatMark(timeline, mark, hot, since)
  const { slowest } = timeline.pans
  const read = timeline.core.filter(({ at, pan }) => (pan === undefined || pan === slowest) && at >= since && at <= end)
  const last = read.at(-1)
  const isCold = last !== undefined && last.celsius < hot - SAME_DEGREE
  const lastHot = isCold ? read.findLast(({ celsius }) => celsius >= hot - SAME_DEGREE) : undefined
  return lastHot?.at ?? (end === Infinity ? null : end)
}

/** The temperature at which a cooling clock may start once a heat step has ended, °C; Infinity where none does. */
export function hotOf(step: string, checks: readonly Check[]): number {
  return hottestStart(checks.filter(({ evidence: { from } }) => from !== 'batch started' && from.step === step))
}

/** The hottest at which a cooling clock of these checks starts, °C; Infinity where none does. */
export function hottestStart(checks: readonly Check[]): number {
  const starts = checks.flatMap((check) => {
    const { rule } = check.limit
    if (rule.kind !== 'reach' || rule.direction !== 'falling') return []
    const stage = stageOf(check.key, rule, check)
    return stage.clock === 'from' ? [stage.from] : []
  })
  return starts.length ? Math.max(...starts) : Infinity
}
