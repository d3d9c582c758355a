import { HOUR, MINUTE, type Instant } from '../calendar/instant'
import { dayOf, daysBetween, type Day } from '../calendar/zone'
import type { Id } from '../ledger/entry'
import { limitsOf } from '../limits/checksFor'
import type { LimitSet, Source } from '../limits/limit'
import { eggOf, frozenOf, holdOf, isGone, openedAt, placeOf, type ItemState } from '../state/item'
import type { UnitState } from '../state/unit'
import { adviceOf, type Advice } from './advice'
import { wallsOf, type DateWall } from './dating'
import { exposureOf, type Exposure } from './exposure'
import { coldLevel, shellEggLevel, type Level } from './unitKind'

/** What an item is judged by: the kitchen's units, limits and zone. */
export interface Store {
  units: readonly UnitState[]
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

export interface ItemStanding {
  asks: ItemAsks
  why:
    | 'past its day'
    | 'undated'
    | 'time up'
    | 'exposure'
    | 'held'
    | 'recalled'
    | 'its own clock'
    | 'its day'
    | 'still cooling'
    | 'setting'
    | null
  /** Every date of it, the one that rules first. */
  walls: DateWall[]
  /** Usable before this instant: its date, or the end of its time without cold; null: nothing dates it, or it is frozen. */
  until: Instant | null
  /** Counted days that are left, today being one; null where `until` is. */
  daysLeft: number | null
  exposure: Exposure
  advice: Advice
  /** Time is its only control: it went out, and is thrown away then. */
  timeUp: { since: Instant; at: Instant; source: Source } | null
}

/** An item near its last day goes first, days. */
const USE_FIRST_DAYS = 2
/** Hot food is served within this, a house default, hours. */
const HOT_HOURS = 4

/** How an item stands at an instant. Facts in, words out: nothing of it is kept. */
export function itemStanding(item: ItemState, store: Store, now: Instant): ItemStanding {
  const { limits, zone, units } = store
  const day = dayOf(now, zone)
  const walls = wallsOf(item.dating, openedAt(item), frozenOf(item), zone)
  const level = itemLevel(item, limits, day)
  const exposure = level
    ? exposureOf(item, units, level, limits.practice.nightHours * HOUR, now)
    : { time: item.carried, periods: [], now: false, read: null }
  const advice = adviceOf(exposure, limits, day, now)
  const timeUp = timeControl(item, limits, day)
  const [wall] = walls
  const until = earliest(wall?.until ?? null, timeUp?.at ?? null)
  const daysLeft = wall?.lastDay ? daysBetween(day, wall.lastDay) + 1 : null
  const { asks, why } = asksOf(item, { walls, exposure, advice, timeUp, daysLeft, level }, now)
  return { asks, why, walls, until, daysLeft, exposure, advice, timeUp }
}

/** The cold limit of an item: that of shell eggs for them, none for what needs no cold. */
export function itemLevel(
  item: Pick<ItemState, 'facts' | 'ingredient' | 'what'>,
  limits: LimitSet,
  day: Day,
): Level | null {
  if (!item.facts.needsCold) return null
  return item.what === 'package' && eggOf(item) === 'whole' && item.facts.heat === 'raw'
    ? shellEggLevel(limits, day)
    : coldLevel(limits, day)
}

/** The order of the Cold Store: what has to go first, then what ends first. Lower is sooner. */
export function itemUrgency({ asks, until, advice }: ItemStanding): [rank: number, at: number] {
  const rank = ITEM_ASKS.indexOf(asks)
  return [rank, Math.min(advice.by ?? Infinity, until ?? Infinity)]
}

function asksOf(
  item: ItemState,
  {
    walls,
    exposure,
    advice,
    timeUp,
    daysLeft,
    level,
  }: Pick<ItemStanding, 'walls' | 'exposure' | 'advice' | 'timeUp' | 'daysLeft'> & { level: Level | null },
  now: Instant,
): Pick<ItemStanding, 'asks' | 'why'> {
  if (isGone(item)) return { asks: 'gone', why: null }
  const [wall] = walls
  if (!wall) return { asks: 'discard', why: 'undated' }
  if (wall.until !== null && now >= wall.until) return { asks: 'discard', why: 'past its day' }
  if (timeUp && now >= timeUp.at) return { asks: 'discard', why: 'time up' }
  if (advice.kind === 'discard') return { asks: 'discard', why: 'exposure' }
  const hold = holdOf(item)
  if (hold) return { asks: 'held', why: hold.value.recall ? 'recalled' : 'held' }
  if (timeUp) return { asks: 'use now', why: 'its own clock' }
  if (advice.kind !== 'nothing') return { asks: advice.kind, why: 'exposure' }
  if (level && item.coldAt === null && exposure.read === null) return { asks: 'read it', why: 'still cooling' }
  if (wall.lastDay === null) return { asks: 'frozen', why: null }
  if (daysLeft === 1) return { asks: 'use today', why: 'its day' }
  if (item.ready !== null && now < item.ready) return { asks: 'not ready', why: 'setting' }
  if (daysLeft !== null && daysLeft <= USE_FIRST_DAYS) return { asks: 'use first', why: 'its day' }
  return { asks: 'keep', why: null }
}

/** Out for service, or hot: until when, by the rule set in force, else the house. */
function timeControl(item: ItemState, limits: LimitSet, day: Day): ItemStanding['timeUp'] {
  const place = placeOf(item)
  if (!place || (place.value.how !== 'serve' && place.value.how !== 'hot')) return null
  const since = place.at
  if (place.value.how === 'hot') return { since, at: since + HOT_HOURS * HOUR, source: house('hot holding') }
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
    ? { since, at: since + limits.practice.serveMinutes * MINUTE, source: house('service without cold') }
    : { since, at: since + minutes * MINUTE, source: (bands ?? cold)!.source }
}

function house(section: string): Source {
  return { document: 'House default', section, edition: '1', confidence: 'medium' }
}

function earliest(a: Instant | null, b: Instant | null): Instant | null {
  return a === null ? b : b === null ? a : Math.min(a, b)
}

/** Items of one unit, or on the bench where `unit` is null. */
export function itemsIn(items: readonly ItemState[], unit: Id | null): ItemState[] {
  return items.filter((item) => (placeOf(item)?.value.unit ?? null) === unit)
}
