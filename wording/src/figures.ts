import {
  dayOf,
  daysBetween,
  inUnit,
  offsetMinutes,
  printedFahrenheit,
  roundAgainst,
  type ClockHours,
  type CodeUnit,
  type Day,
  type Degrees,
  type Instant,
  type Level,
  type TemperatureScale,
} from '@logged-thermal/core'
import { figuresMessages } from './catalogue/figures'
import { writtenLike, type Locale } from './catalogue/locale'
import { speaker, type Spoken } from './catalogue/say'

const say = speaker(figuresMessages)

/** How a person reads: in which temperature scale, by which wall clock, in which language. Every sentence is made for one. */
export interface Reader {
  scale: TemperatureScale
  /** IANA zone. */
  zone: string
  locale: Locale
  /** How the kitchen writes a time of day. */
  hours: ClockHours
  /** A clock time of another day carries that day; null: none does, where the day is said beside it. */
  today: Day | null
}

/** A reading to tenths, rounded against the kitchen: '68.4°'. */
export function degrees(celsius: number, { scale }: Reader, sense: 'reach' | 'under' = 'reach'): string {
  return `${roundAgainst(inUnit(celsius, scale), sense).toFixed(1)}°`
}

/** How far apart two temperatures are, °C, as so many degrees of the reader's: '0.8°', '+1.9°' where its side is told. */
export function difference(celsius: number, { scale }: Reader, side: 'told' | 'not told' = 'not told'): string {
  const value = scale === 'F' ? (celsius * 9) / 5 : celsius
  const tenths = Math.round(Math.abs(value) * 10) / 10
  const sign = side === 'not told' || tenths === 0 ? '' : value > 0 ? '+' : '−'
  return `${sign}${tenths.toFixed(1)}°`
}

/** A forecast of what has to come under something, in whole degrees: rounded up, against the kitchen. */
export function aboutDegrees(celsius: number, { scale }: Reader): string {
  return `${Math.ceil(inUnit(celsius, scale) - 1e-9)}°`
}

/**
 * A limit. In °F it is always the figure that its document prints; in °C too, but for a limit that is compared in °F: that
 * one exactly, rounded against the kitchen.
 */
export function limitDegrees(printed: Degrees, code: CodeUnit, { scale }: Reader, sense: 'reach' | 'under'): string {
  if (scale === 'F') return `${printed.f}°`
  return code === 'F' ? `${roundUp(((printed.f - 32) * 5) / 9, sense)}°` : `${printed.c}°`
}

/**
 * A limit by what it is compared as, °C, without a needless tenth: '68°'. In °F as documents print it, else rounded against
 * the kitchen: up where it has to be reached, down where it is to be stayed under.
 */
export function limitDegreesOf(celsius: number, { scale }: Reader, sense: 'reach' | 'under' = 'reach'): string {
  const printed = scale === 'F' ? printedFahrenheit(celsius) : null
  return `${printed ?? roundUp(inUnit(celsius, scale), sense)}°`
}

/** The level that the air of a unit, or what is held in it, keeps to, as its limit prints it. */
export function levelDegrees({ side, celsius, limit: { rule } }: Level, reader: Reader): string {
  const code = celsius === rule.level.c ? 'C' : 'F'
  return limitDegrees(rule.level, code, reader, side === 'under' ? 'under' : 'reach')
}

/** A moment as the kitchen's clock shows it: '14:44', and where it is not today 'Sat 14:44' or '27 Nov 14:44'. */
export function clock(instant: Instant, reader: Reader): string {
  return withDay(timeOfDay(instant, reader), instant, reader)
}

/** With its day, whatever day it is now: 'Tue 24 Nov 14:44'. */
export function dayAndTime(instant: Instant, reader: Reader): string {
  return `${dayName(dayOf(instant, reader.zone), reader)} ${timeOfDay(instant, reader)}`
}

/** '14:44', or '2:44 pm', on the kitchen's wall; the day is said beside it. */
export function timeOfDay(instant: Instant, reader: Reader): string {
  return hoursWritten(wall(instant, reader.zone).toISOString().slice(11, 16), reader)
}

/** The same to the second: '14:44:20', 'Sat 14:44:20'. */
export function clockWithSeconds(instant: Instant, reader: Reader): string {
  return withDay(hoursWritten(wall(instant, reader.zone).toISOString().slice(11, 19), reader), instant, reader)
}

function withDay(time: string, instant: Instant, reader: Reader): string {
  const { zone, today } = reader
  const day = dayOf(instant, zone)
  if (today === null || day === today) return time
  return `${Math.abs(daysBetween(today, day)) < 7 ? weekdayName(day, reader) : shortDate(day, reader)} ${time}`
}

/** A time of a 24 h clock, 'HH:MM' with or without seconds, as the kitchen writes it. */
export function hoursWritten(time: string, { hours }: Reader): string {
  if (hours === 24) return time
  const [hour = 0] = time.split(':').map(Number)
  return `${hour % 12 || 12}${time.slice(2)} ${hour < 12 ? 'am' : 'pm'}`
}

/** A day: 'Sun 12 Oct'. */
export function dayName(day: Day, reader: Reader): string {
  return `${weekdayName(day, reader)} ${shortDate(day, reader)}`
}

/** 'Sun'. */
export function weekdayName(day: Day, { locale }: Reader): string {
  return onCalendar(day, locale, { weekday: 'short' })
}

/** '12 Oct'. */
export function shortDate(day: Day, { locale }: Reader): string {
  return onCalendar(day, locale, { day: 'numeric', month: 'short' })
}

/** '12 Oct 2027': a day that may be in another year. */
export function fullDate(day: Day, { locale }: Reader): string {
  return onCalendar(day, locale, { day: 'numeric', month: 'short', year: 'numeric' })
}

function onCalendar(day: Day, locale: Locale, shown: Intl.DateTimeFormatOptions): string {
  const asked = `${locale} ${Object.keys(shown).join()}`
  let format = formats.get(asked)
  if (!format)
    formats.set(asked, (format = new Intl.DateTimeFormat(writtenLike(locale), { ...shown, timeZone: 'UTC' })))
  return format.format(new Date(`${day}T12:00:00Z`))
}

/** Making one costs more than a hundred uses. */
const formats = new Map<string, Intl.DateTimeFormat>()

/** A length of time, said shortly: '17 s', '4 min', '3 h 22 min', '2 days'. */
export function span(ms: number, reader: Spoken): string {
  const seconds = Math.round(Math.abs(ms) / 1000)
  if (seconds < 90) return say(reader, 'seconds', { seconds })
  const all = Math.round(seconds / 60)
  if (all < 100) return say(reader, 'minutes', { minutes: all })
  const hours = Math.floor(all / 60)
  if (hours >= 48) return say(reader, 'days', { days: Math.round(hours / 24) })
  return all % 60 ? say(reader, 'hoursMinutes', { hours, minutes: all % 60 }) : say(reader, 'hours', { hours })
}

/** Time that is left, said shortly and never too short: '17 s', '4 min'. A countdown and what stands beside it say the same. */
export function leftSpan(ms: number, reader: Spoken): string {
  return span(Math.ceil(Math.max(0, ms) / 1000) * 1000, reader)
}

/** The same as a large number with its unit: '39' and 'min', '1:49' and 'h', '2' and 'days'. */
export function largeSpan(ms: number, reader: Spoken): [number: string, unit: string] {
  const [first, unit, minutes] = span(Math.max(0, ms), reader).split(' ')
  return minutes === undefined ? [first!, unit!] : [`${first}:${minutes.padStart(2, '0')}`, unit!]
}

/** 'one' to 'nine', then figures. */
export function countWord(count: number, reader: Spoken): string {
  return say(reader, 'count', { count })
}

/** '38 s', '2.4 min': minutes as a span. */
export function minutesSpan(minutes: number, reader: Spoken): string {
  if (minutes < 1.5) return say(reader, 'seconds', { seconds: Math.round(minutes * 60) })
  if (minutes >= 10) return span(minutes * 60_000, reader)
  return say(reader, 'minutes', { minutes: minutes.toFixed(1).replace(/\.0$/, '') })
}

function wall(instant: Instant, zone: string): Date {
  return new Date(instant + offsetMinutes(instant, zone) * 60_000)
}

// A limit shown in the other unit: higher to reach, lower to stay under, so that what is read off never flatters.
function roundUp(exact: number, sense: 'reach' | 'under'): string {
  const rounded = roundAgainst(exact, sense === 'reach' ? 'under' : 'reach')
  return Number.isInteger(rounded) ? String(rounded) : rounded.toFixed(1)
}
