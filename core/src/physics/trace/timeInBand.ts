import { requireTemperature, SAME_DEGREE } from '../../ground/temperature'
import { inOrder, type Bounded, type Reading } from './reading'

/**
 * Time spent in a band, both edges included, added up over the whole trace, ms.
 *
 * An interval with both ends in the band counts whole. One that only touches it counts 0 at least, its interpolated
 * part likely, and whole at most: 80 °C to 4 °C across one gap may have spent all of it between 57 and 5.
 * @param low °C
 * @param high °C, not under `low`
 */
export function timeInBand(readings: readonly Reading[], low: number, high: number): Bounded {
  requireTemperature('low', low)
  requireTemperature('high', high)
  if (high < low) throw new RangeError(`high: ${high} is under low, ${low}`)
  const points = inOrder(readings, 'warmer')
  const sum: Bounded = { least: 0, likely: 0, most: 0 }
  for (let i = 1; i < points.length; i++) {
    const [from, to] = [points[i - 1]!, points[i]!]
    addInterval(sum, from.celsius, to.celsius, to.at - from.at, low, high)
  }
  return sum
}

/** Adds what one interval of `ms` between two temperatures spent in the band. */
export function addInterval(sum: Bounded, from: number, to: number, ms: number, low: number, high: number): void {
  const coldest = Math.min(from, to)
  const warmest = Math.max(from, to)
  if (coldest > high + SAME_DEGREE || warmest < low - SAME_DEGREE) return
  sum.most += ms
  if (coldest >= low - SAME_DEGREE && warmest <= high + SAME_DEGREE) {
    sum.least += ms
    sum.likely += ms
    return
  }
  sum.likely += (ms * Math.max(0, Math.min(warmest, high) - Math.max(coldest, low))) / (warmest - coldest)
}
