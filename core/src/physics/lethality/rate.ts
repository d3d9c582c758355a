import { MINUTE } from '../../ground/instant'
import { requireTemperature } from '../../ground/temperature'
import type { Bounded, Point } from '../trace/reading'

/** How the rate of a kill follows temperature: 10^((T - atCelsius)/z), none under `from`, constant above `to`. °C. */
export interface RateModel {
  atCelsius: number
  z: number
  from?: number
  to?: number
}

/** A model made ready for many evaluations. */
export interface Rate {
  /** 1 at the reference temperature. */
  at(celsius: number): number
  /** Minutes at the reference that a straight line from one temperature to another over `minutes` is worth. Exact. */
  along(from: number, to: number, minutes: number): number
}

/** RangeError for a z that is not positive or temperatures that are none. */
export function rateOf({ atCelsius, z, from = -Infinity, to = Infinity }: RateModel): Rate {
  requireTemperature('atCelsius', atCelsius)
  if (!(z > 0) || !Number.isFinite(z)) throw new RangeError(`z: ${z} is not a number of degrees above 0`)
  if (from !== -Infinity) requireTemperature('from', from)
  if (to !== Infinity) requireTemperature('to', to)
  if (from > to) throw new RangeError(`from: ${from} is above to, ${to}`)
  const perDegree = Math.LN10 / z
  const curve = (celsius: number) => Math.exp(perDegree * (celsius - atCelsius))
  const at = (celsius: number) => (celsius < from ? 0 : curve(Math.min(celsius, to)))

  // Minutes from a to b on the curve itself, neither under `from` nor above `to`.
  const inside = (a: number, b: number, minutes: number) => {
    const exponent = perDegree * (b - a)
    // (e^x - 1)/x by its series near zero, where the quotient loses its digits.
    const mean = Math.abs(exponent) < 1e-6 ? 1 + exponent / 2 : Math.expm1(exponent) / exponent
    return minutes * curve(a) * mean
  }
  const along = (a: number, b: number, minutes: number) => {
    const [low, high] = a <= b ? [a, b] : [b, a]
    if (high < from || minutes === 0) return 0
    if (low >= from && high <= to) return inside(a, b, minutes)
    if (low >= to) return minutes * curve(to)
    const span = high - low
    const share = (degrees: number) => (minutes * degrees) / span
    const bottom = Math.max(low, from)
    const top = Math.min(high, to)
    return inside(bottom, top, share(top - bottom)) + (high > to ? share(high - to) * curve(to) : 0)
  }
  return { at, along }
}

/**
 * Reference minutes of a trace: at least with the lower end held over each interval (nothing for a blind one), likely
 * along the straight line, at most with the higher end held.
 */
export function referenceMinutes(points: readonly Point[], rate: Rate, maxGapMs: number): Bounded {
  const sum: Bounded = { least: 0, likely: 0, most: 0 }
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    addReferenceMinutes(sum, rate, a.celsius, b.celsius, b.at - a.at, maxGapMs)
  }
  return sum
}

/** Adds one interval of `ms` between two temperatures. */
export function addReferenceMinutes(
  sum: Bounded,
  rate: Rate,
  from: number,
  to: number,
  ms: number,
  maxGapMs: number,
): void {
  const minutes = ms / MINUTE
  if (ms <= maxGapMs) sum.least += minutes * rate.at(Math.min(from, to))
  sum.likely += rate.along(from, to, minutes)
  sum.most += minutes * rate.at(Math.max(from, to))
}

export function requireGap(maxGapMs: number): number {
  if (!(maxGapMs >= 0)) throw new RangeError(`maxGapMs: ${maxGapMs} is not a duration`)
  return maxGapMs
}
