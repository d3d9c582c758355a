import { DAY, MINUTE, type Instant } from './instant'

/** A calendar day, 'YYYY-MM-DD'. A day belongs to a kitchen's zone and is not always 24 hours long. */
export type Day = string

/** The calendar day of an instant in an IANA zone. RangeError for an unknown zone. */
export function dayOf(instant: Instant, zone: string): Day {
  return dayAt(instant + offsetMinutes(instant, zone) * MINUTE)
}

/** The day `count` days later (earlier when negative). */
export function addDays(day: Day, count: number): Day {
  return dayAt(parseDay('day', day) + count * DAY)
}

/** Whole days from one day to another; negative when `to` is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((parseDay('to', to) - parseDay('from', from)) / DAY)
}

/** The first instant of a day in a zone: midnight, or the end of the gap where the clocks skip midnight. */
export function startOfDay(day: Day, zone: string): Instant {
  const known = keptFor(starts, zone)
  const kept = known.get(day)
  if (kept !== undefined) return kept
  const found = firstOf(day, zone)
  known.set(day, found)
  return found
}

function firstOf(day: Day, zone: string): Instant {
  const wall = parseDay('day', day)
  // The offset before and after the day's change of clocks, if there is one: take the earliest instant that lies in it.
  const candidates = [wall - DAY, wall + DAY].map((near) => wall - offsetMinutes(near, zone) * MINUTE)
  const inside = candidates.filter((instant) => dayOf(instant, zone) === day)
  const first = Math.min(...(inside.length ? inside : candidates))
  return dayOf(first - 1, zone) === day ? firstInstantOf(day, zone, first) : first
}

/** Minutes that a zone's wall clock is ahead of UTC at an instant. RangeError for an unknown zone. */
export function offsetMinutes(instant: Instant, zone: string): number {
  if (instant < STEADY_SINCE) return offsetRead(instant, zone)
  const known = keptFor(offsets, zone)
  const quarter = Math.floor(instant / QUARTER)
  const kept = known.get(quarter)
  if (kept !== undefined) return kept
  const read = offsetRead(instant, zone)
  known.set(quarter, read)
  return read
}

// A store of items asks for the same few days over and over. Since 1980 clocks have changed on the quarter hour alone.
const STEADY_SINCE = Date.UTC(1980, 0, 1)
const QUARTER = 15 * MINUTE
const MOST_KEPT = 20_000
const offsets = new Map<string, Map<number, number>>()
const starts = new Map<string, Map<Day, Instant>>()

/** What was found of a zone so far; begun anew before it grows without end. */
function keptFor<K, V>(all: Map<string, Map<K, V>>, zone: string): Map<K, V> {
  const known = all.get(zone)
  if (known && known.size <= MOST_KEPT) return known
  const fresh = new Map<K, V>()
  all.set(zone, fresh)
  return fresh
}

function offsetRead(instant: Instant, zone: string): number {
  const parts: Record<string, number> = {}
  for (const { type, value } of formatOf(zone).formatToParts(instant)) {
    if (type !== 'literal') parts[type] = Number(value)
  }
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = parts
  const wall = Date.UTC(year, month - 1, day, hour, minute, second)
  return Math.round((wall - instant) / MINUTE)
}

/** The day of its week, 0 for Monday to 6 for Sunday. */
export function weekdayOf(day: Day): number {
  // The first of January 1970 was a Thursday.
  return (((parseDay('day', day) / DAY + 3) % 7) + 7) % 7
}

/** The number of a day in its year, 1 to 366. */
export function dayOfYear(day: Day): number {
  return daysBetween(`${day.slice(0, 4)}-01-01`, day) + 1
}

/** The UTC midnight of a well-formed day; RangeError that names the argument otherwise. */
export function parseDay(argument: string, day: Day): Instant {
  const known = midnights.get(day)
  if (known !== undefined) return known
  const [year, month, date] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day)?.slice(1).map(Number) ?? []
  const instant = year === undefined ? NaN : Date.UTC(year, month! - 1, date)
  const found = new Date(instant)
  if (found.getUTCFullYear() !== year || found.getUTCMonth() + 1 !== month || found.getUTCDate() !== date)
    throw new RangeError(`${argument}: ${day} is not a day, YYYY-MM-DD`)
  if (midnights.size > MOST_KEPT) midnights.clear()
  midnights.set(day, instant)
  return instant
}

const midnights = new Map<Day, Instant>()

/** The day that a UTC midnight or any instant of that UTC day lies in. */
function dayAt(utc: Instant): Day {
  const date = new Date(utc)
  const two = (value: number) => (value < 10 ? `0${value}` : String(value))
  return `${String(date.getUTCFullYear()).padStart(4, '0')}-${two(date.getUTCMonth() + 1)}-${two(date.getUTCDate())}`
}

function firstInstantOf(day: Day, zone: string, inside: Instant): Instant {
  let before = inside - DAY
  let within = inside
  while (within - before > 1) {
    const middle = Math.floor((before + within) / 2)
    if (dayOf(middle, zone) === day) within = middle
    else before = middle
  }
  return within
}

// Making a formatter costs far more than using it; there are a handful of zones in a process.
const formats = new Map<string, Intl.DateTimeFormat>()

function formatOf(zone: string): Intl.DateTimeFormat {
  const known = formats.get(zone)
  if (known) return known
  let format: Intl.DateTimeFormat
  try {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      second: '2-digit',
    })
  } catch {
    throw new RangeError(`zone: ${zone} is not a known time zone`)
  }
  formats.set(zone, format)
  return format
}
