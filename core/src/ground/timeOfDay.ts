import { MINUTE, type Instant } from './instant'
import { FieldError, text, type Field } from './field'
import { addDays, dayOf, offsetMinutes, startOfDay, type Day } from './zone'

/** A time on the kitchen's clock, 'HH:MM', of 24 hours. */
export type TimeOfDay = string

/** When the kitchen's clock shows a time on a day, also where the clocks change that day; in their gap, as if it were none. */
export function timeOn(day: Day, time: TimeOfDay, zone: string): Instant {
  const midnight = startOfDay(day, zone)
  const at = midnight + minutesOf(time) * MINUTE
  return at - (offsetMinutes(at, zone) - offsetMinutes(midnight, zone)) * MINUTE
}

/** The next instant after one when the kitchen's clock shows a time. */
export function nextAt(time: TimeOfDay, after: Instant, zone: string): Instant {
  const today = dayOf(after, zone)
  const at = timeOn(today, time, zone)
  return at > after ? at : timeOn(addDays(today, 1), time, zone)
}

/** Minutes after midnight of a time on the kitchen's clock. RangeError for what is none. */
export function minutesOf(time: TimeOfDay): number {
  const [, hours, minutes] = WRITTEN.exec(time) ?? []
  if (hours === undefined || minutes === undefined) throw new RangeError(`time: ${time} is not a time, HH:MM`)
  return Number(hours) * 60 + Number(minutes)
}

/** A time of day as it was sent. Throws FieldError. */
export function timeOfDayIn(field: Field): TimeOfDay {
  const said = text(field, 5)
  if (!WRITTEN.test(said)) throw new FieldError(field.path, { code: 'not one of', allowed: '00:00 to 23:59' })
  return said
}

const WRITTEN = /^([01]\d|2[0-3]):([0-5]\d)$/
