import { dayOf, type ClockHours } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import type { Kitchen } from './kitchen.entity'

/** As people of a kitchen read, where nobody said for whom a sentence is. */
export function readerOf({ unit, zone }: Pick<Kitchen, 'unit' | 'zone'>, hours: ClockHours): Reader {
  return { scale: unit, zone, locale: 'en-GB', hours, today: dayOf(clock.now(), zone) }
}
