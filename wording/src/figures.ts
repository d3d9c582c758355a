import {
  inUnit,
  offsetMinutes,
  printedFahrenheit,
  roundAgainst,
  type CodeUnit,
  type Degrees,
  type Instant,
  type Unit,
} from '@logged-thermal/core'

/** How a person reads figures: unit, time zone. */
export interface Reader {
  unit: Unit
  zone: string
}

/** A reading to tenths, rounded against the kitchen: '68.4°'. */
export function degrees(celsius: number, { unit }: Reader, sense: 'reach' | 'under' = 'reach'): string {
  return `${roundAgainst(inUnit(celsius, unit), sense).toFixed(1)}°`
}

/** A forecast of what has to come under something, in whole degrees: rounded up, against the kitchen. */
export function aboutDegrees(celsius: number, { unit }: Reader): string {
  return `${Math.ceil(inUnit(celsius, unit) - 1e-9)}°`
}

/**
 * A limit. In °F it is always the figure that its document prints; in °C too, but for a limit that is compared in °F: that
 * one exactly, rounded against the kitchen.
 */
export function limitDegrees(printed: Degrees, code: CodeUnit, { unit }: Reader, sense: 'reach' | 'under'): string {
  if (unit === 'F') return `${printed.f}°`
  return code === 'F' ? `${roundUp(((printed.f - 32) * 5) / 9, sense)}°` : `${printed.c}°`
}

/**
 * A limit by what it is compared as, °C, without a needless tenth: '68°'. In °F as documents print it, else rounded up,
 * against the kitchen.
 */
export function limitDegreesOf(celsius: number, { unit }: Reader): string {
  const printed = unit === 'F' ? printedFahrenheit(celsius) : null
  return `${printed ?? roundUp(inUnit(celsius, unit), 'reach')}°`
}

/** '14:44' on the kitchen's wall. */
export function clock(instant: Instant, { zone }: Reader): string {
  return wall(instant, zone).toISOString().slice(11, 16)
}

/** '14:44:20' on the kitchen's wall. */
export function clockWithSeconds(instant: Instant, { zone }: Reader): string {
  return wall(instant, zone).toISOString().slice(11, 19)
}

/** A day: 'Sun 12 Oct'. */
export function dayName(day: string): string {
  const date = new Date(`${day}T12:00:00Z`)
  return `${WEEKDAYS[date.getUTCDay()]} ${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]}`
}

/** A length of time, said shortly: '17 s', '4 min', '3 h 22 min', '2 days'. */
export function span(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000)
  if (seconds < 90) return `${seconds} s`
  const minutes = Math.round(seconds / 60)
  if (minutes < 100) return `${minutes} min`
  const hours = Math.floor(minutes / 60)
  if (hours < 48) return minutes % 60 ? `${hours} h ${minutes % 60} min` : `${hours} h`
  return `${Math.round(hours / 24)} days`
}

/** The same as a large number with its unit: '39' and 'min', '1:49' and 'h', '2' and 'days'. */
export function largeSpan(ms: number): [number: string, unit: string] {
  const [first, unit, minutes] = span(Math.max(0, ms)).split(' ')
  return minutes === undefined ? [first!, unit!] : [`${first}:${minutes.padStart(2, '0')}`, unit!]
}

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** 'one' to 'nine', then figures. */
export function countWord(count: number): string {
  return ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'][count] ?? String(count)
}

/** '38 s', '2.4 min': minutes as a span. */
export function minutesSpan(minutes: number): string {
  if (minutes < 1.5) return `${Math.round(minutes * 60)} s`
  return minutes < 10 ? `${minutes.toFixed(1).replace(/\.0$/, '')} min` : span(minutes * 60_000)
}

function wall(instant: Instant, zone: string): Date {
  return new Date(instant + offsetMinutes(instant, zone) * 60_000)
}

// A limit shown in the other unit: higher to reach, lower to stay under, so that what is read off never flatters.
function roundUp(exact: number, sense: 'reach' | 'under'): string {
  const rounded = roundAgainst(exact, sense === 'reach' ? 'under' : 'reach')
  return Number.isInteger(rounded) ? String(rounded) : rounded.toFixed(1)
}
