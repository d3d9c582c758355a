import { MINUTE, SECOND, type Instant } from '../../ground/instant'
import type { Bracket, Reading } from '../trace/reading'

/** How fast a pot on the heat rises, °C a minute: the slowest and fastest its readings allow, and the last stretch. */
export interface Rise {
  at: Instant
  celsius: number
  least: number
  likely: number
  most: number
}

/** Readings older than this say nothing about the flame as it is now. */
const RECENT = 4 * MINUTE
/** Readings nearer to each other than this say nothing about a slope. */
const APART = 10 * SECOND
/** What a reading by hand may be off by, °C, each way, as far as two of them are compared. */
const STIR = 0.3

/**
 * The present rise of a pot, from its latest reading and those of the last four minutes; null with fewer than two, or
 * when it does not rise beyond what stirring and the probe account for.
 */
export function riseOf(readings: readonly Reading[], since: Instant): Rise | null {
  const last = readings.at(-1)
  if (!last) return null
  const before = readings.filter(({ at }) => at >= since && at >= last.at - RECENT && at <= last.at - APART)
  const nearest = before.at(-1)
  if (!nearest) return null
  const slope = (from: Reading, error: number) => ((last.celsius - from.celsius + error) / (last.at - from.at)) * MINUTE
  const likely = slope(nearest, 0)
  const least = Math.min(...before.map((from) => slope(from, -STIR)))
  const most = Math.max(...before.map((from) => slope(from, STIR)))
  return likely > 0 && slope(nearest, -STIR) > 0
    ? { at: last.at, celsius: last.celsius, least: Math.max(0, least), likely, most }
    : null
}

/**
 * When it reaches a level as it goes; null for a level it is at already. `latest` is null where the slowest rise never
 * gets there. A forecast: it proves nothing.
 */
export function reachesAt({ at, celsius, least, likely, most }: Rise, level: number): Bracket | null {
  if (celsius >= level) return null
  const when = (perMinute: number) => (perMinute > 0 ? at + ((level - celsius) / perMinute) * MINUTE : null)
  return { earliest: when(most), likely: when(likely), latest: when(least) }
}
