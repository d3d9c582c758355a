import type { Instant } from '../../ground/instant'
import { requireTemperature, SAME_DEGREE } from '../../ground/temperature'
import { inOrder, type Bracket, type Point, type Reading } from './reading'

/**
 * When the product passed a level. Between two readings it is taken to move monotonically, so the passage lies between
 * the first reading at or beyond the level and the one before it; `likely` is linear between the two.
 * @param level °C
 * @param direction 'falling': the first reading at or under the level; 'rising': at or over it
 * @param after only a reading at or after this instant can be the one that is beyond; an earlier one may be its neighbour
 * @returns null while no such reading exists; `earliest` and `likely` are null where nothing was read before it
 */
export function crossing(
  readings: readonly Reading[],
  level: number,
  direction: 'falling' | 'rising',
  after: Instant = -Infinity,
): Bracket | null {
  requireTemperature('level', level)
  return crossingOf(inOrder(readings, direction === 'falling' ? 'warmer' : 'colder'), level, direction, after)
}

/** The same for points that are already in order, one an instant. */
export function crossingOf(
  points: readonly Point[],
  level: number,
  direction: 'falling' | 'rising',
  after: Instant,
): Bracket | null {
  const sign = direction === 'falling' ? 1 : -1
  const above = ({ celsius }: Point) => sign * (celsius - level)
  let index = 0
  while (index < points.length && (points[index]!.at < after || above(points[index]!) > SAME_DEGREE)) index++
  const beyond = points[index]
  if (!beyond) return null
  if (Math.abs(above(beyond)) <= SAME_DEGREE) return { earliest: beyond.at, likely: beyond.at, latest: beyond.at }
  const before = points[index - 1]
  if (!before) return { earliest: null, likely: null, latest: beyond.at }
  const high = above(before)
  const share = high <= 0 ? 0 : high / (high - above(beyond))
  return { earliest: before.at, likely: before.at + share * (beyond.at - before.at), latest: beyond.at }
}
