import type { Instant } from '../../ground/instant'
import { requireTemperature } from '../../ground/temperature'

export type Where = 'core' | 'surface' | 'air'

/** One temperature: when, how much (°C), and where in the product. */
export interface Reading {
  at: Instant
  celsius: number
  where: Where
  instrument?: string
  tolerance?: number
  portion?: string
}

/** A number known between bounds. */
export interface Bounded {
  least: number
  likely: number
  most: number
}

/** An instant known between bounds; null where nothing bounds it. */
export interface Bracket {
  earliest: Instant | null
  likely: Instant | null
  latest: Instant | null
}

/** Where a trace bends: one temperature an instant. */
export interface Point {
  at: Instant
  celsius: number
}

/**
 * Readings in time order, one an instant. Of two at the same instant the colder or the warmer stands, whichever is
 * against the kitchen for the question asked. RangeError for impossible temperatures or times.
 */
export function inOrder(readings: readonly Reading[], sameInstant: 'colder' | 'warmer'): Point[] {
  const points = readings.map(({ at, celsius }, i) => {
    if (!Number.isFinite(at)) throw new RangeError(`readings[${i}].at: ${at} is not an instant`)
    return { at, celsius: requireTemperature(`readings[${i}].celsius`, celsius) }
  })
  points.sort((a, b) => a.at - b.at)
  const pick = sameInstant === 'colder' ? Math.min : Math.max
  const distinct: Point[] = []
  for (const point of points) {
    const last = distinct.at(-1)
    if (last && last.at === point.at) last.celsius = pick(last.celsius, point.celsius)
    else distinct.push(point)
  }
  return distinct
}
