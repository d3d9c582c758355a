import { DAY, dayOf, HOUR, offsetMinutes } from '@logged-thermal/core'
import { shortDate, timeOfDay, type Reader } from '@logged-thermal/wording'

/** Marks on a clock: at most so many, and as far apart as people count hours and days. */
const MOST = 9
const STEPS = [
  HOUR / 2,
  HOUR,
  2 * HOUR,
  3 * HOUR,
  4 * HOUR,
  6 * HOUR,
  12 * HOUR,
  DAY,
  2 * DAY,
  7 * DAY,
  30 * DAY,
  90 * DAY,
]

/** Where a clock from one instant to another is marked, and with which words, on the kitchen's wall. */
export function clockMarks(from: number, to: number, reader: Reader): { at: number; words: string }[] {
  const step = STEPS.find((each) => (to - from) / each <= MOST) ?? STEPS.at(-1)!
  const marks: { at: number; words: string }[] = []
  const ahead = offsetMinutes(from, reader.zone) * 60_000
  for (let at = Math.ceil((from + ahead) / step) * step - ahead; at <= to; at += step)
    marks.push({ at, words: step < DAY ? timeOfDay(at, reader) : shortDate(dayOf(at, reader.zone), reader) })
  return marks
}
