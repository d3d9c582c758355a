import { type StoreUnit, excursionsOf, isOutside, lastCounted } from '../warmth/air'
import { HOUR, MINUTE, type Instant } from '../../ground/instant'
import { dayOf, daysBetween, type Day } from '../../ground/zone'
import type { Id } from '../../ledger/subject'
import type { MoveHow } from '../../ledger/storeEntries'
import { limitsOf } from '../../recipe/checks/checksFor'
import type { Source } from '../../rules/source'
import type { LimitSet } from '../../rules/limit'
import { practiceSource } from '../../rules/practice'
import { placeOf, type ItemState } from '../../state/item'
import { adviceOf, exposureLines, type Advice } from './advice'
import { courseOf, keptIn, type Course } from './course'
import { itemWalls, type DateWall } from '../dates/walls'
import { exposureOf, type Exposure } from '../warmth/exposure'
import { hotCheck, type HotCheck } from './hotHolding'
import { reheatLines } from './reheating'
import { coldLevel, levelOf, shellEggLevel, type Level } from '../../recipe/checks/unitKind'

/** What an item is judged by: the kitchen's units, limits and zone. */
export interface Store {
  units: readonly StoreUnit[]
  limits: LimitSet
  zone: string
}

/** What an item asks of somebody, what can still be saved before what only waits. */
export const ITEM_ASKS = [
  'discard',
  'chill again',
  'use now',
  'read it',
  'lead decides',
  'held',
  'use today',
  'use first',
  'not ready',
  'keep',
  'frozen',
  'gone',
] as const
export type ItemAsks = (typeof ITEM_ASKS)[number]

/** How an item stands, but for its dates one by one. */
export interface CourseStanding {
  asks: ItemAsks
  why:
    | 'past its day'
    | 'undated'
    | 'time up'
    | 'exposure'
    | 'held'
    | 'recalled'
    | 'lineage'
    | 'its own clock'
    | 'hot holding'
    | 'its day'
    | 'still cooling'
    | 'setting'
    | 'thawing'
    | 'went out'
    | 'label lacks'
    | null
  /** Usable before this instant: its date, or the end of its time without cold; null: nothing dates it, or it is frozen. */
  until: Instant | null
  /** Counted days that are left, today being one; null where `until` is. */
  daysLeft: number | null
  exposure: Exposure
  advice: Advice
  /** In a hot well: how it stands against the hot line; null: it is in none, or no line is printed. */
  hot: HotCheck | null
  /** Time is its only control: it went out, and is thrown away then. */
  timeUp: { since: Instant; at: Instant; source: Source } | null
}

export interface ItemStanding extends CourseStanding {
  /** Every date of it, the one that rules first. */
  walls: DateWall[]
}

/** An item near its last day goes first, days. */
const USE_FIRST_DAYS = 2

/** How an item stands at an instant. Facts in, words out: nothing of it is kept. */
export function itemStanding(item: ItemState, store: Store, now: Instant): ItemStanding {
  const walls = itemWalls(item, store.zone)
  return { walls, ...judging(store, now)(courseOf(item, walls)) }
}

/** Judges one item after the other by the same store at the same instant. */
export function judging({ limits, zone, units }: Store, now: Instant): (course: Course) => CourseStanding {
  const day = dayOf(now, zone)
  const lines = exposureLines(limits, day)
  const levels = { cold: coldLevel(limits, day), 'shell eggs': shellEggLevel(limits, day) }
  const hotLevel = levelOf('hot well', limits, day)
  const hotLines = hotLevel && { level: hotLevel, reheat: reheatLines(limits, day) }
  const nightMs = limits.practice.nightHours * HOUR
  const warmFreezers = freezersNowWarm(units, levelOf('freezer', limits, day), now)
  return (course) => {
    const { wall, kept, carried } = course
    const level = kept === null ? null : levels[kept]
    const exposure = level
      ? exposureOf(course, units, level, nightMs, now)
      : { time: carried, periods: [], now: false, answered: 0, read: null }
    const advice = adviceOf(exposure, lines, now)
    const timeUp = timeControl(course, limits, day)
    const inWell = hotLines && timeUp && course.moves.at(-1)?.how === 'hot'
    const hot = inWell ? hotCheck(course, timeUp.since, units, hotLines, limits.practice, now) : null
    const until = earliest(wall?.until ?? null, timeUp?.at ?? null)
    const daysLeft = wall?.lastDay ? daysBetween(day, wall.lastDay) + 1 : null
    const warmSince = warmFreezers.get(course.moves.at(-1)?.unit ?? '') ?? null
    const { asks, why } = asksOf(course, { exposure, advice, hot, timeUp, daysLeft, level, warmSince }, now)
    return { asks, why, until, daysLeft, exposure, advice, hot, timeUp }
  }
}

/** The cold limit of an item: that of shell eggs for them, none for what needs no cold. */
export function itemLevel(
  item: Pick<ItemState, 'facts' | 'ingredient' | 'what'>,
  limits: LimitSet,
  day: Day,
): Level | null {
  const kept = keptIn(item)
  if (kept === null) return null
  return kept === 'shell eggs' ? shellEggLevel(limits, day) : coldLevel(limits, day)
}

/** The order of the Cold Store: what has to go first, then what ends first. Lower is sooner. */
export function itemUrgency({ asks, until, advice, hot }: CourseStanding): [rank: number, at: number] {
  const rank = ITEM_ASKS.indexOf(asks)
  return [rank, Math.min(advice.by ?? Infinity, hot?.by ?? Infinity, until ?? Infinity)]
}

function asksOf(
  { gone, wentOut, lacks, wall, hold, coldAt, ready, reads, noted }: Course,
  {
    exposure,
    advice,
    hot,
    timeUp,
    daysLeft,
    level,
    warmSince,
  }: Pick<CourseStanding, 'exposure' | 'advice' | 'hot' | 'timeUp' | 'daysLeft'> & {
    level: Level | null
    /** Of the freezer it is in: since when that is too warm; null: it is not. */
    warmSince: Instant | null
  },
  now: Instant,
): Pick<CourseStanding, 'asks' | 'why'> {
  if (gone) return wentOut ? { asks: 'lead decides', why: 'went out' } : { asks: 'gone', why: null }
  if (!wall) return noted ? { asks: 'keep', why: null } : { asks: 'discard', why: 'undated' }
  if (wall.until !== null && now >= wall.until) return { asks: 'discard', why: 'past its day' }
  if (timeUp && now >= timeUp.at) return { asks: 'discard', why: 'time up' }
  if (advice.kind === 'discard') return { asks: 'discard', why: 'exposure' }
  if (hot?.asks === 'discard') return { asks: 'discard', why: 'hot holding' }
  if (wentOut) return { asks: 'lead decides', why: 'went out' }
  // A hold hides nothing that hands must do: what is warm goes into the cold also while it is held.
  if (hold && advice.kind !== 'chill again') return { asks: 'held', why: hold }
  if (lacks && advice.kind !== 'chill again') return { asks: 'lead decides', why: 'label lacks' }
  if (hot && hot.asks !== 'nothing') return { asks: hot.asks === 'reheat' ? 'read it' : hot.asks, why: 'hot holding' }
  if (timeUp) return { asks: 'use now', why: 'its own clock' }
  if (advice.kind !== 'nothing') return { asks: advice.kind, why: 'exposure' }
  if (level && coldAt === null && exposure.read === null) return { asks: 'read it', why: 'still cooling' }
  if (wall.lastDay === null) {
    const hard = warmSince === null || reads.some(({ at, by }) => by === 'probe' && at >= warmSince)
    if (!hard) return { asks: 'read it', why: 'thawing' }
    // Hardening, with its date clock stopped.
    return ready !== null && now < ready ? { asks: 'not ready', why: 'setting' } : { asks: 'frozen', why: null }
  }
  if (daysLeft === 1) return { asks: 'use today', why: 'its day' }
  if (ready !== null && now < ready) return { asks: 'not ready', why: 'setting' }
  if (daysLeft !== null && daysLeft <= USE_FIRST_DAYS) return { asks: 'use first', why: 'its day' }
  return { asks: 'keep', why: null }
}

/** Freezers that are warmer than they are held to, and since when; a door that stood open for a moment is not. */
function freezersNowWarm(units: readonly StoreUnit[], level: Level | null, now: Instant): Map<Id, Instant> {
  const warm = new Map<Id, Instant>()
  for (const unit of units) {
    const last = unit.kind === 'freezer' && level && lastCounted(unit, level)
    if (!level || !last || !isOutside(last.celsius, level)) continue
    const open = excursionsOf(unit, level, now).at(-1)
    if (open?.until === null && open.open) warm.set(unit.id, open.since.latest)
  }
  return warm
}

/** Out for service, or hot: until when, by the rule set in force, else the house. */
function timeControl({ moves }: Course, limits: LimitSet, day: Day): CourseStanding['timeUp'] {
  const place = moves.at(-1)
  if (place?.how !== 'serve' && place?.how !== 'hot') return null
  // From one counter to the next the clock runs on; for the guests it began on the bench, where nothing was heated.
  const out: MoveHow[] = place.how === 'serve' ? ['serve', 'hot', 'out'] : ['serve', 'hot']
  const inside = moves.findLastIndex(({ how }) => !out.includes(how))
  const since = moves[inside + 1]!.at
  const { hotHours, serveMinutes } = limits.practice
  if (place.how === 'hot') return { since, at: since + hotHours * HOUR, source: practiceSource('hot holding', limits) }
  const [limit] = limitsOf(limits, 'time-control', day)
  if (limit?.rule.kind === 'hours') return { since, at: since + limit.rule.hours * HOUR, source: limit.source }
  const [bands] = limitsOf(limits, 'exposure', day)
  const [cold] = limitsOf(limits, 'cold-holding', day)
  const minutes =
    bands?.rule.kind === 'exposure'
      ? bands.rule.bands.find(({ then }) => then === 'discard')?.fromMinutes
      : cold?.rule.kind === 'stay'
        ? cold.rule.grace?.minutes
        : undefined
  // Where the rule set gives no time outside the cold, the house's service time is all there is.
  return minutes === undefined
    ? { since, at: since + serveMinutes * MINUTE, source: practiceSource('service without cold', limits) }
    : { since, at: since + minutes * MINUTE, source: (bands ?? cold)!.source }
}

function earliest(a: Instant | null, b: Instant | null): Instant | null {
  return a === null ? b : b === null ? a : Math.min(a, b)
}

/** Items of one unit, or on the bench where `unit` is null. */
export function itemsIn(items: readonly ItemState[], unit: Id | null): ItemState[] {
  return items.filter((item) => (placeOf(item)?.value.unit ?? null) === unit)
}
