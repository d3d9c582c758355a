import { HOUR, MINUTE, type Instant } from '../../ground/instant'
import type { Practice } from '../../rules/practice'
import { isOutside, lastCounted, type StoreUnit } from '../warmth/air'
import type { Course } from './course'
import { reheatingOf, type ReheatLines, type Reheating } from './reheating'
import type { Level } from '../../recipe/checks/unitKind'

/** What is asked of food that is held hot. */
export interface HotLines {
  level: Level
  reheat: ReheatLines
}

/** How an item that is held hot stands against the hot line. */
export interface HotCheck {
  /**
   * reheat: it was cold and is not proven to have been through the heat. use now: under the line within the one period
   * that the rule set allows. lead decides: it allows none.
   */
  asks: 'nothing' | 'reheat' | 'read it' | 'use now' | 'lead decides' | 'discard'
  level: Level
  /** Its core as last read in the well; null: not yet. */
  read: { at: Instant; celsius: number } | null
  /** When it has to be read next, or when the allowed period ends; null: neither. */
  by: Instant | null
  /** Its way from the cold through the heat; null: none is asked. */
  reheating: Reheating | null
}

/**
 * Hot holding from readings of its own core: once when it went in, and again by half of its hours. A well that shows less
 * than the line asks for one too. What was cold is reheated first, in the time that the rule set gives. Under the line it is a matter of the rule set: one period where it allows one, counted
 * from when it was last known to be hot until it was again; else the lead's.
 * @param since when it went into the well
 */
export function hotCheck(
  course: Pick<Course, 'reads' | 'moves' | 'coldAt' | 'released'>,
  since: Instant,
  units: readonly StoreUnit[],
  { level, reheat }: HotLines,
  { hotHours }: Pick<Practice, 'hotHours'>,
  now: Instant,
): HotCheck {
  const { reads, moves, released } = course
  // What the lead let go on is read anew.
  const letGo = released !== null && released >= since
  const reheating = letGo ? null : reheatingOf(course, since, units, reheat, now)
  const from = Math.max(since, released ?? -Infinity, reheating?.doneAt ?? -Infinity)
  const own = reads.filter(({ at }) => at >= from)
  const { grace } = level.limit.rule
  const told = (last: Course['reads'][number] | undefined) => (last ? { at: last.at, celsius: last.celsius } : null)
  const check = (asks: HotCheck['asks'], by: Instant | null, last = own.at(-1)): HotCheck => ({
    asks,
    level,
    read: told(last),
    by,
    reheating,
  })
  if (reheating?.doneAt === null) {
    const late = reheating.by !== null && now >= reheating.by
    return late ? check('lead decides', null) : check('reheat', reheating.by)
  }
  // One period that a law allows is one, whoever let it go on meanwhile.
  const counted = grace ? Math.max(since, reheating?.doneAt ?? since) : from
  const [lapse, ...others] = lapsesOf(
    reads.filter(({ at }) => at >= counted),
    counted,
    level,
  )
  if (lapse) {
    const { last } = others.at(-1) ?? lapse
    // Hot again in the well is no proof of what it was in between.
    if (!grace) return check('lead decides', null, last)
    const ends = lapse.hotUntil + grace.minutes * MINUTE
    if (others.length > 0 || (lapse.hotAgain ?? now) >= ends) return check('discard', ends, last)
    if (lapse.hotAgain === null) return check('use now', ends, last)
  }
  // A number that no probe stands behind proves nothing.
  const proven = own.findLast(({ by }) => by === 'probe')
  if (!proven) return check('read it', null)
  const unit = units.find(({ id }) => id === moves.at(-1)?.unit)
  const look = unit && lastCounted(unit, level)
  if (look && look.at > proven.at && isOutside(look.celsius, level)) return check('read it', null)
  const again = proven.at + (hotHours * HOUR) / 2
  return check(now < again ? 'nothing' : 'read it', again)
}

/** A time under the line: when it was last known to be hot, when it was again; its last reading under the line. */
interface Lapse {
  hotUntil: Instant
  hotAgain: Instant | null
  last: Course['reads'][number]
}

function lapsesOf(reads: Course['reads'], from: Instant, level: Level): Lapse[] {
  const lapses: Lapse[] = []
  let hotUntil = from
  for (const read of reads) {
    const open = lapses.at(-1)?.hotAgain === null ? lapses.at(-1)! : null
    if (isOutside(read.celsius, level)) {
      if (open) open.last = read
      else lapses.push({ hotUntil, hotAgain: null, last: read })
    } else if (read.by === 'probe') {
      if (open) open.hotAgain = read.at
      hotUntil = read.at
    }
  }
  return lapses
}
