import { MINUTE, type Instant } from '../calendar/instant'
import type { Reading } from '../trace/reading'

/** How fast a trace falls between its last two readings, °C a minute; positive when falling. */
export interface Pace {
  at: Instant
  celsius: number
  fallPerMinute: number
}

/**
 * The present pace of a cooling, from the last two readings at or after `after`; null with fewer.
 * A pot in surroundings that stay as they are never falls faster than this for long, so a straight line from here is
 * the best that can be hoped for: what it does not reach, the pot will not reach as it goes.
 */
export function paceOf(trace: readonly Reading[], after: Instant): Pace | null {
  const since = trace.filter(({ at }) => at >= after)
  const last = since.at(-1)
  const before = since.findLast(({ at }) => last !== undefined && at < last.at)
  if (!last || !before) return null
  return {
    at: last.at,
    celsius: last.celsius,
    fallPerMinute: ((before.celsius - last.celsius) / (last.at - before.at)) * MINUTE,
  }
}

/** The temperature at an instant if the pace stays as it is, °C; the best case of a cooling. */
export function atPace({ at, celsius, fallPerMinute }: Pace, instant: Instant): number {
  return celsius - (fallPerMinute * (instant - at)) / MINUTE
}
