import { inOrder, type Bounded, type Reading } from '../trace/reading'
import { rateOf, referenceMinutes, requireGap, type RateModel } from './rate'

/** How fast an organism dies: decimal reduction time at a temperature, and the degrees that change it tenfold. */
export interface Kinetics extends RateModel {
  /** Minutes at `atCelsius` for one decimal reduction. */
  dMinutes: number
}

/**
 * Decimal reductions along a trace: the integral of 10^((T - atCelsius)/z)/D over time (Bigelow's model), exact along
 * the straight lines between readings. For ranking and training: it never closes a check.
 * @param maxGapMs an interval longer than this proves nothing
 * RangeError for a D that is not positive, and as for equivalentMinutes.
 */
export function logReductions(readings: readonly Reading[], kinetics: Kinetics, maxGapMs = Infinity): Bounded {
  const { dMinutes } = kinetics
  if (!(dMinutes > 0) || !Number.isFinite(dMinutes))
    throw new RangeError(`dMinutes: ${dMinutes} is not a number of minutes above 0`)
  const { least, likely, most } = referenceMinutes(inOrder(readings, 'colder'), rateOf(kinetics), requireGap(maxGapMs))
  return { least: least / dMinutes, likely: likely / dMinutes, most: most / dMinutes }
}
