import type { TranscribedCooling } from '@logged-thermal/core'
import { dayAndTime, timeOfDay, type Reader } from '@logged-thermal/wording'

/** When it began: with its year, for old logs go far back. */
export function beganWords({ readings }: Pick<TranscribedCooling, 'readings'>, reader: Reader): string {
  const { at } = readings[0]!
  return `${dayAndTime(at, reader)} ${new Date(at).getUTCFullYear()}`
}

/** Its readings as they are written there: '57° 14:02, 21° 15:40'. */
export function readingsWords({ readings }: Pick<TranscribedCooling, 'readings'>, reader: Reader): string {
  return readings.map(({ at, typed }) => `${typed.value}°${typed.unit} ${timeOfDay(at, reader)}`).join(', ')
}
