import { HOUR, MINUTE, offsetMinutes, SECOND, timeOn, type Day, type Instant, type Typed } from '@logged-thermal/core'
import { dayIn, instantIn, secondsIn, temperatureIn, timeIn } from './cells'
import type { Table } from './columns'
import type { LeftOut, Reading, Understood } from './understood'

/** One reading of a logger. */
export interface LoggerReading {
  at: Instant
  typed: Typed
}

/**
 * The readings of a logger's file, a line each, in order of their time: of the first column of temperatures. A day or time that
 * stands on an earlier line goes on. Where clocks are set back in the night, the hour that comes twice is told apart by its order.
 */
export function loggerReadings(
  { lines }: Table,
  { roles, order, units, zone, now }: Reading,
): { readings: LoggerReading[]; left: Understood['left'] } {
  const readings: LoggerReading[] = []
  const left: Understood['left'] = []
  const column = roles.indexOf('temperature')
  const cellOf = (cells: readonly string[], role: Reading['roles'][number]) => cells[roles.indexOf(role)] ?? ''
  let day: Day | null = null
  for (const { line, cells } of lines) {
    const leave = (why: LeftOut) => void left.push({ line, cells, why })
    const both = cellOf(cells, 'day and time')
    day = dayIn(both || cellOf(cells, 'day'), order) ?? day
    const clock = both || cellOf(cells, 'time')
    const time = timeIn(clock)
    const cell = cells[column] ?? ''
    const typed = temperatureIn(cell, units[column] ?? 'C')
    if (day === null) leave('no day')
    else if (time === null) leave('no time')
    else if (cell === '') leave('no temperature')
    else if (typed === null) leave('not a temperature')
    else {
      const onClock = timeOn(day, time, zone) + Math.round(secondsIn(clock) * SECOND)
      const at = instantIn(clock) ?? inOrder(onClock, readings.at(-1)?.at ?? -Infinity, zone)
      if (at > now) leave('in the future')
      else readings.push({ at, typed })
    }
  }
  const sorted = readings.sort((a, b) => a.at - b.at)
  return { readings: sorted.filter(({ at }, i) => i === 0 || at > sorted[i - 1]!.at), left }
}

/** Of an hour that comes twice the second, once the first is over. */
function inOrder(at: Instant, before: Instant, zone: string): Instant {
  if (at > before) return at
  const setBack = (offsetMinutes(at, zone) - offsetMinutes(at + HOUR, zone)) * MINUTE
  return setBack > 0 && at + setBack > before ? at + setBack : at
}
