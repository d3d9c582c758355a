import { inOrder, type Bounded, type Reading } from '../trace/reading'
import { rateOf, referenceMinutes, requireGap, type RateModel } from './rate'

/**
 * The minutes at a reference temperature that a trace is worth: the integral of 10^((T - atCelsius)/z) over time, exact
 * along the straight lines between readings. It never rescues a missed row, except where a rule set publishes it.
 * @param reference °C; rate zero under `from`, constant above `to`
 * @param maxGapMs an interval longer than this proves nothing
 * RangeError for impossible temperatures, z or gaps.
 */
export function equivalentMinutes(readings: readonly Reading[], reference: RateModel, maxGapMs = Infinity): Bounded {
  return referenceMinutes(inOrder(readings, 'colder'), rateOf(reference), requireGap(maxGapMs))
}
