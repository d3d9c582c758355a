import { requireTemperature } from '../../ground/temperature'
import type { Instant } from '../../ground/instant'
import type { Reading } from './reading'
import { Trace } from './trace'

/** A trace that is judged by itself: with all its readings, and without those that can only deny, where it has such. */
export interface Track {
  all: Trace
  sure: Trace
}

/**
 * Core readings as the traces that are judged apart: one a portion and instrument. Portions share what was read before
 * the first reading of any of them; of one that names no portion after the split nobody knows of which pan it is, so it
 * can only deny. There is always one trace, also of no readings.
 * RangeError for impossible temperatures or times, with the index of the reading.
 */
export function tracksOf(readings: readonly Reading[]): Track[] {
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

function byInstrument(readings: readonly Reading[], splitAt: Instant): Track[] {
  const tracks = new Map<string | undefined, Track>()
  for (const { at, celsius, instrument, portion } of readings) {
    const track = tracks.get(instrument) ?? { all: new Trace(), sure: new Trace() }
    tracks.set(instrument, track)
    track.all.put(at, celsius)
    if (portion !== undefined || at < splitAt) track.sure.put(at, celsius)
  }
  if (tracks.size === 0) {
    const none = new Trace()
    return [{ all: none, sure: none }]
  }
  return [...tracks.values()].map(({ all, sure }) => ({ all, sure: sure.length === all.length ? all : sure }))
}
