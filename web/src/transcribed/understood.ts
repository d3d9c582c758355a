import {
  addDays,
  HOUR,
  MOST_READINGS,
  timeOn,
  type Day,
  type Instant,
  type TemperatureScale,
  type TranscribedCooling,
  type Typed,
} from '@logged-thermal/core'
import { dayIn, instantIn, temperatureIn, timeIn, type DayOrder } from './cells'
import type { Role, Table } from './columns'

/** How a file is read. */
export interface Reading {
  roles: readonly Role[]
  order: DayOrder
  /** The unit of bare numbers in each column. */
  units: readonly TemperatureScale[]
  zone: string
  /** Nothing is of a later time. */
  now: Instant
}

/** Why a line is left out. */
export type LeftOut =
  'no name' | 'no day' | 'no time' | 'no temperature' | 'not a temperature' | 'same time' | 'in the future' | 'too many'

export interface Understood {
  rows: TranscribedCooling[]
  left: { line: number; cells: string[]; why: LeftOut }[]
}

/** A line that follows on the same dish within this is of the same cooling, where each line has one reading. */
const ONE_COOLING = 12 * HOUR

/** The names and notes of a log are kept so far, letters. */
const [LONGEST_NAME, LONGEST_NOTE] = [120, 300]

/**
 * The coolings of a file: a line is one, with a reading in each column of temperatures; where there is a single such column,
 * the lines that follow on one dish are one. A time that is earlier than the one before it on its line is of the next day.
 */
export function understood({ lines }: Table, reading: Reading): Understood {
  const found: Understood = { rows: [], left: [] }
  const isLong = reading.roles.filter((role) => role === 'temperature').length === 1
  for (const { line, cells } of lines) {
    const read = coolingIn(line, cells, reading)
    if (typeof read === 'string') {
      found.left.push({ line, cells, why: read })
      continue
    }
    const before = found.rows.at(-1)
    if (isLong && before && goesOn(before, read)) before.readings.push(...read.readings)
    else found.rows.push(read)
  }
  return found
}

function goesOn(before: TranscribedCooling, { what, readings }: TranscribedCooling): boolean {
  const [first] = before.readings
  const [next] = readings
  if (!first || !next || before.what.toLowerCase() !== what.toLowerCase()) return false
  const last = before.readings.at(-1)!
  return next.at > last.at && next.at - first.at <= ONE_COOLING && before.readings.length < MOST_READINGS
}

function coolingIn(line: number, cells: readonly string[], reading: Reading): TranscribedCooling | LeftOut {
  const { roles, now } = reading
  const textOf = (role: Role, most: number) =>
    roles
      .flatMap((each, i) => (each === role && cells[i] ? [cells[i]] : []))
      .join(', ')
      .replace(/\s+/gu, ' ')
      .slice(0, most)
      .trim()
  const what = textOf('what', LONGEST_NAME)
  if (what === '') return 'no name'
  const readings = readingsIn(cells, reading)
  if (typeof readings === 'string') return readings
  if (readings.length > MOST_READINGS) return 'too many'
  if (readings.some(({ at }, i) => i > 0 && at <= readings[i - 1]!.at)) return 'same time'
  if (readings.at(-1)!.at > now) return 'in the future'
  const note = textOf('note', LONGEST_NOTE)
  return { line, what, method: null, readings, note: note === '' ? null : note }
}

function readingsIn(
  cells: readonly string[],
  { roles, order, units, zone }: Reading,
): TranscribedCooling['readings'] | LeftOut {
  const readings: { at: Instant; typed: Typed }[] = []
  let day: Day | null = null
  let time: string | null = null
  let isDayTold = false
  // Told with its zone: no clock of the kitchen's is asked.
  let told: Instant | null = null
  for (const [i, role] of roles.entries()) {
    const cell = cells[i] ?? ''
    if (role === 'day' || role === 'day and time') day = dayIn(cell, order) ?? day
    if (role === 'time' || role === 'day and time') {
      time = timeIn(cell)
      isDayTold = role === 'day and time'
      told = instantIn(cell)
    }
    if (role !== 'temperature' || cell === '') continue
    const typed = temperatureIn(cell, units[i]!)
    if (!typed) return 'not a temperature'
    if (day === null) return 'no day'
    if (time === null) return 'no time'
    const last = readings.at(-1)
    // After midnight: only the first day is written.
    if (last && !isDayTold && timeOn(day, time, zone) < last.at) day = addDays(day, 1)
    readings.push({ at: told ?? timeOn(day, time, zone), typed })
  }
  return readings.length === 0 ? 'no temperature' : readings
}
