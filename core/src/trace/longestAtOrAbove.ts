import { requireTemperature, SAME_DEGREE } from '../quantity/temperature'
import { inOrder, type Bounded, type Point, type Reading } from './reading'

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
  return longestOf(inOrder(readings, 'colder'), level, maxGapMs)
}

/** The same for points that are already in order, one an instant. */
export function longestOf(points: readonly Point[], level: number, maxGapMs: number): Bounded {
  const least = longestRun()
  const likely = longestRun()
  const most = longestRun()
  for (let i = 1; i < points.length; i++) {
    const from = points[i - 1]!
    const to = points[i]!
    const whole = to.at - from.at
    const fromIn = isAtOrAbove(from, level)
    const toIn = isAtOrAbove(to, level)
    const blind = whole > maxGapMs
    least.add(fromIn && toIn && !blind ? whole : 0, fromIn && !blind, toIn)
    likely.add(partAbove(from, to, level), fromIn, toIn)
    most.add(fromIn || toIn || blind ? whole : 0, fromIn, toIn)
  }
  return { least: least.longest(), likely: likely.longest(), most: most.longest() }
}

export function isAtOrAbove(point: Point, level: number): boolean {
  return point.celsius >= level - SAME_DEGREE
}

/** Adds up neighbouring intervals; a run joins the one before only through an end that is at or above. */
function longestRun() {
  let run = 0
  let best = 0
  return {
    add(ms: number, joinsBefore: boolean, joinsAfter: boolean) {
      run = joinsBefore ? run + ms : ms
      best = Math.max(best, run)
      if (!joinsAfter) run = 0
    },
    longest: () => best,
  }
}

function partAbove(from: Point, to: Point, level: number): number {
  const whole = to.at - from.at
  const fromIn = isAtOrAbove(from, level)
  const toIn = isAtOrAbove(to, level)
  if (fromIn && toIn) return whole
  if (!fromIn && !toIn) return 0
  const [inside, outside] = fromIn ? [from, to] : [to, from]
  const rise = inside.celsius - outside.celsius
  return rise <= 0 ? 0 : whole * Math.max(0, Math.min(1, (inside.celsius - level) / rise))
}
