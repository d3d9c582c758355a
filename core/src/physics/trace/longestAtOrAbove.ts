import { requireTemperature } from '../../ground/temperature'
import { inOrder, type Bounded, type Reading } from './reading'
import { advance, longest, runAt } from './run'

/**
 * The longest unbroken time at or above a level, ms.
 *
 * An interval with both ends at or above counts whole; with one end, 0 at least, its interpolated part likely, whole
 * at most; with none, 0. An interval longer than `maxGapMs` is blind: it proves nothing (and breaks a proven run), and
 * may at most have been above all through. No run passes a reading under the level.
 * @param level °C
 * @param maxGapMs longest interval that still proves something; without it every interval does
 */
export function longestAtOrAbove(readings: readonly Reading[], level: number, maxGapMs = Infinity): Bounded {
  requireTemperature('level', level)
  if (!(maxGapMs >= 0)) throw new RangeError(`maxGapMs: ${maxGapMs} is not a duration`)
  const run = runAt(level, maxGapMs, maxGapMs)
  let before = { at: 0, celsius: -Infinity }
  for (const point of inOrder(readings, 'colder')) {
    const gap = before.celsius === -Infinity ? 0 : point.at - before.at
    advance(run, before.celsius, point.celsius, point.at, gap)
    before = point
  }
  return longest(run)
}
