import { dayOf, type TranscribedCooling } from '@logged-thermal/core'
import { dayName, timeOfDay, type Reader } from '@logged-thermal/wording'

/** When it began: with its year, for old logs go far back. */
export function beganWords({ readings }: Pick<TranscribedCooling, 'readings'>, reader: Reader): string {
  const { at } = readings[0]!
  const day = dayOf(at, reader.zone)
  return `${dayName(day, reader)} ${day.slice(0, 4)}, ${timeOfDay(at, reader)}`
}

/** Its readings as they are written there: '57° 14:02, 21° 15:40'. */
export function readingsWords({ readings }: Pick<TranscribedCooling, 'readings'>, reader: Reader): string {
  return readings.map(({ at, typed }) => `${typed.value}°${typed.unit} ${timeOfDay(at, reader)}`).join(', ')
}
