import { MINUTE, type Instant } from '../calendar/instant'
import type { CoolingStage } from '../limits/compared'
import { requireTemperature, SAME_DEGREE } from '../quantity/temperature'
import { crossingOf } from '../trace/crossing'
import { inOrder, type Bracket, type Point, type Reading } from '../trace/reading'
import type { Standing } from './standing'

export interface CoolingStanding {
  key: string
  standing: Standing
  start: Bracket | null
  end: Bracket | null
  /** The last instant at which the limit is certainly still met; provisional while the stage before is open. */
  deadline: Instant | null
  /** Past the deadline, unsettled, and nothing read since: a reading is asked for. */
  overdue: boolean
}

/**
 * Whether each stage of a cooling was made in time, from core readings alone. A later rise does not restart a clock.
 * @param options.after the end of the last heat step: the clock can only start after it
 * @param options.events instants for stages whose clock is 'event', by stage key
 */
export function judgeCooling(
  readings: readonly Reading[],
  stages: readonly CoolingStage[],
  now: Instant,
  options: { after?: Instant; events?: Record<string, Instant> } = {},
): CoolingStanding[] {
  if (!Number.isFinite(now)) throw new RangeError(`now: ${now} is not an instant`)
  for (const [i, stage] of stages.entries()) {
    requireTemperature(`stages[${i}].from`, stage.from)
    requireTemperature(`stages[${i}].to`, stage.to)
    if (!(stage.withinMinutes >= 0))
      throw new RangeError(`stages[${i}].withinMinutes: ${stage.withinMinutes} is not a duration`)
  }
  const points = inOrder(
    readings.filter((reading) => reading.where === 'core'),
    'warmer',
  )
  const judged: CoolingStanding[] = []
  for (const stage of stages) {
    const before = judged.at(-1) ?? null
    judged.push(judgeStage(points, stage, now, startOf(points, stage, before, options), before))
  }
  return judged
}

function startOf(
  points: readonly Point[],
  stage: CoolingStage,
  before: CoolingStanding | null,
  options: { after?: Instant; events?: Record<string, Instant> },
): Bracket | null {
  if (stage.clock === 'previous') return before?.end ?? null
  if (stage.clock === 'event') {
    const event = options.events?.[stage.key]
    return event === undefined ? null : { earliest: event, likely: event, latest: event }
  }
  return clockStart(points, stage.from, options.after ?? -Infinity)
}

/** The falling crossing of the start temperature; while the pot is still hot, the earliest it can have begun. */
function clockStart(points: readonly Point[], level: number, after: Instant): Bracket | null {
  const index = points.findIndex(({ at, celsius }) => at >= after && celsius <= level + SAME_DEGREE)
  if (index < 0) {
    // The forgotten pot: still hot when last read, and the clock may have started right then.
    const last = points.at(-1)
    return last && last.celsius >= level ? { earliest: Math.max(last.at, after), likely: null, latest: null } : null
  }
  // Walk back to the fall itself: the mark that the heat ended may have been set after it.
  let first = index
  while (first > 0 && points[first - 1]!.celsius <= level + SAME_DEGREE) first--
  return crossingOf(points, level, 'falling', points[first]!.at)
}

function judgeStage(
  points: readonly Point[],
  stage: CoolingStage,
  now: Instant,
  start: Bracket | null,
  before: CoolingStanding | null,
): CoolingStanding {
  const { key } = stage
  const within = stage.withinMinutes * MINUTE
  const lastAt = points.at(-1)?.at ?? -Infinity
  if (!start) {
    const deadline = stage.clock === 'previous' && before?.deadline != null ? before.deadline + within : null
    const late = deadline !== null && now > deadline
    return {
      key,
      standing: late ? 'unproven' : 'open',
      start,
      end: null,
      deadline,
      overdue: late && lastAt <= deadline,
    }
  }
  const { earliest, latest } = start
  const end = crossingOf(points, stage.to, 'falling', earliest ?? latest ?? -Infinity)
  const deadline = earliest === null ? null : earliest + within
  const settled = (standing: Standing): CoolingStanding => ({ key, standing, start, end, deadline, overdue: false })

  if (latest !== null && provenLate(points, stage.to, latest, latest + within, end)) return settled('missed')
  if (earliest === null || deadline === null) return settled('unproven')
  if (end?.latest != null && end.latest <= deadline) return settled('proven')
  if (now <= deadline) return settled('open')
  return { ...settled('unproven'), overdue: end === null && lastAt <= deadline }
}

/** Certainly too late: the end cannot lie before the limit, or a reading past the limit is still above. */
function provenLate(
  points: readonly Point[],
  level: number,
  from: Instant,
  limit: Instant,
  end: Bracket | null,
): boolean {
  if (end?.earliest != null && end.earliest > limit) return true
  const until = end?.latest ?? Infinity
  return points.some(({ at, celsius }) => at >= from && at > limit && at < until && celsius > level + SAME_DEGREE)
}
