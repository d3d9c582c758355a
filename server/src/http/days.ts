import { daysBetween, parseDay, type Day } from '@logged-thermal/core'
import { Problem } from './problem'

/** Throws a Problem where a day is none of the calendar, or a period ends before it begins. */
export function requireDays({ from, to }: { from?: Day; to?: Day }): void {
  for (const [field, day] of [['from', from] as const, ['to', to] as const])
    if (day !== undefined && !isDay(day))
      throw new Problem(422, 'bad period', `${day} is no day of the calendar.`, field)
  if (from !== undefined && to !== undefined && daysBetween(from, to) < 0)
    throw new Problem(422, 'bad period', 'The period ends before it begins.', 'to')
}

function isDay(day: Day): boolean {
  try {
    parseDay('day', day)
    return true
  } catch {
    return false
  }
}
