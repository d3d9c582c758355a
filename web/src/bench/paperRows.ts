import { celsiusOf, timeOn, type Day, type Instant, type TemperatureScale, type Typed } from '@logged-thermal/core'
import { benchSheetsMessages, clock, type Reader } from '@logged-thermal/wording'
import { numberOf } from '../board/degreeEntry'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

/** A line of a sheet of paper, as it is copied. */
export interface PaperRow {
  /** Its own, for as long as it stands there. */
  key: string
  day: Day
  /** '23:05', on a 24 h clock; empty until it is copied: nobody's guess is better than none. */
  time: string
  /** What is written there, in the unit of the sheet. */
  text: string
}

/** When a line says that it was read; null while it does not. */
export function readAt({ day, time }: PaperRow, zone: string): Instant | null {
  return time === '' ? null : timeOn(day, time, zone)
}

/** What a line says; null while it is no temperature. */
export function typedOf({ text }: PaperRow, unit: TemperatureScale): Typed | null {
  const value = numberOf(text)
  if (value === null) return null
  try {
    celsiusOf({ value, unit })
    return { value, unit }
  } catch {
    return null
  }
}

/** Nothing is copied into it yet. */
export function isEmpty({ time, text }: PaperRow): boolean {
  return time === '' && text.trim() === ''
}

/** What is wrong with a line that something is copied into, or null. */
export function wrongIn(row: PaperRow, began: Instant, now: Instant, reader: Reader): string | null {
  if (isEmpty(row)) return null
  const at = readAt(row, reader.zone)
  if (at === null) return say('whenRead')
  if (at < began) return say('beforeItBegan', { time: clock(began, reader) })
  if (at > now) return say('notThenYet', { time: clock(now, reader) })
  if (row.text.trim() === '') return say('whatRead')
  return typedOf(row, reader.scale) ? null : say('noTemperature', { text: row.text })
}
