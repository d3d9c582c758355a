import type { Instant } from '../calendar/instant'
import { requireTemperature } from '../quantity/temperature'
import type { Reading } from './reading'
import { Trace } from './trace'

/** A reading of no portion taken after the split: nobody knows of which pan it is, so it can only deny. */
const WHICH_PAN = 1

/**
 * Core readings as the traces that are judged apart: one a portion and instrument. Portions share what was read before
 * the first reading of any of them. There is always one trace, also of no readings.
 * RangeError for impossible temperatures or times, with the index of the reading.
 */
export function tracksOf(readings: readonly Reading[]): Trace[] {
  readings.forEach(({ at, celsius }, i) => {
    if (!Number.isFinite(at)) throw new RangeError(`readings[${i}].at: ${at} is not an instant`)
    requireTemperature(`readings[${i}].celsius`, celsius)
  })
  const core = readings.filter(({ where }) => where === 'core').sort((a, b) => a.at - b.at)
  const portions = [...new Set(core.flatMap(({ portion }) => (portion === undefined ? [] : [portion])))]
  if (portions.length === 0) return byInstrument(core, Infinity)
  const splitAt = Math.min(...core.filter(({ portion }) => portion !== undefined).map(({ at }) => at))
  return portions.flatMap((own) =>
    byInstrument(
      core.filter(({ portion }) => portion === own || portion === undefined),
      splitAt,
    ),
  )
}

function byInstrument(readings: readonly Reading[], splitAt: Instant): Trace[] {
  const traces = new Map<string | undefined, Trace>()
  for (const { at, celsius, instrument, portion } of readings) {
    const trace = traces.get(instrument) ?? new Trace()
    traces.set(instrument, trace)
    trace.put(at, celsius, portion === undefined && at >= splitAt ? WHICH_PAN : 0)
  }
  return traces.size ? [...traces.values()] : [new Trace()]
}
