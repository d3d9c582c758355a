import { MINUTE, type Instant } from '../../ground/instant'
import { COLDEST, HOTTEST, requireTemperature } from '../../ground/temperature'
import { crossingOf } from '../trace/crossing'
import { inOrder, type Bounded, type Point, type Reading } from '../trace/reading'
import { normalQuantile } from './normal'
import { ANY_SCALE, posteriorOf, scaleOf, shareUnder, type Posterior, type TimeScale } from './posterior'

/** When a level will be passed, as a forecast. null: never, as far as that share of what may be goes. */
export interface Passing {
  level: number
  median: Instant | null
  /** Between the two with 90 % probability. */
  low: Instant | null
  high: Instant | null
  /** At the shares of QUANTILES. */
  quantiles: (Instant | null)[]
}

export interface Projection {
  /** The late time constant: 5 %, 50 % and 95 % of what may be. */
  tauMinutes: Bounded
  crossings: Passing[]
}

export const QUANTILES = [0.01, 0.025, ...Array.from({ length: 19 }, (_, i) => (i + 1) / 20), 0.975, 0.99]

const LOW = QUANTILES.indexOf(0.05)
const MIDDLE = QUANTILES.indexOf(0.5)
const HIGH = QUANTILES.indexOf(0.95)

/** How far the surroundings may be from what is said of them, °C: a refrigerator warms with what is put into it. */
export const SURROUNDINGS_SPREAD = 1.5

/**
 * When a cooling core passes levels if it is left as it is: a response that bends, with start, surroundings and time
 * scale left free and narrowed by each core reading up to `now`. A forecast, never evidence.
 * RangeError without a core reading, and for temperatures and time scales that are none.
 * @param surroundings °C
 * @param prior of the late time constant: `spread` is the standard deviation of its logarithm
 * @param levels °C
 */
export function projectCooling(
  readings: readonly Reading[],
  { surroundings, prior = ANY_SCALE }: { surroundings: number; prior?: TimeScale },
  levels: readonly number[],
  now: Instant,
): Projection {
  requireTemperature('setting.surroundings', surroundings)
  levels.forEach((level, i) => requireTemperature(`levels[${i}]`, level))
  if (!(prior.tauMinutes > 0 && prior.tauMinutes < 1e5))
    throw new RangeError(`setting.prior.tauMinutes: ${prior.tauMinutes} is no time`)
  if (!(prior.spread > 0 && prior.spread < 5))
    throw new RangeError(`setting.prior.spread: ${prior.spread} is not from 0 to 5`)
  if (!Number.isFinite(now)) throw new RangeError(`now: ${now} is not an instant`)
  const { points, tolerance } = coreUntil(now, readings)
  if (points.length === 0) throw new RangeError(`readings: none of the core by ${now}`)
  const posterior = posteriorOf({
    readings: points,
    ...(tolerance > 0 ? { tolerance } : {}),
    surroundings: { celsius: surroundings, spread: SURROUNDINGS_SPREAD },
    scale: prior,
  })
  const { tauMinutes, spread } = scaleOf(posterior)
  const away = Math.exp(1.645 * spread)
  return {
    tauMinutes: { least: tauMinutes / away, likely: tauMinutes, most: tauMinutes * away },
    crossings: levels.map((level) => {
      const read = crossingOf(points, level, 'falling', -Infinity)
      return read
        ? passed(level, read.earliest ?? read.latest!, read.latest!)
        : passingOf((at) => shareUnder(posterior, level, at), level, posterior.last.at)
    }),
  }
}

/** The core readings up to an instant, in order, one an instant; and the widest tolerance among them, 0 without one. */
function coreUntil(now: Instant, readings: readonly Reading[]): { points: Point[]; tolerance: number } {
  const core: Reading[] = []
  let tolerance = 0
  // As probes send them: nothing to sort, and every one possible.
  let inOrderAlready = true
  let last = -Infinity
  for (const reading of readings) {
    const { at, celsius } = reading
    if (reading.where !== 'core' || at > now) continue
    inOrderAlready &&= at > last && celsius >= COLDEST && celsius <= HOTTEST
    last = at
    if (reading.tolerance !== undefined && reading.tolerance > tolerance) tolerance = reading.tolerance
    core.push(reading)
  }
  return { points: inOrderAlready ? core : inOrder(core, 'warmer'), tolerance }
}

/** Between two readings: all of it may be as likely. */
function passed(level: number, from: Instant, to: Instant): Passing {
  return passing(
    level,
    QUANTILES.map((share) => Math.round(from + share * (to - from))),
  )
}

function passing(level: number, quantiles: (Instant | null)[]): Passing {
  return { level, median: quantiles[MIDDLE]!, low: quantiles[LOW]!, high: quantiles[HIGH]!, quantiles }
}

/** From half a minute to two days ahead, finer near. */
const AHEAD = Array.from({ length: 44 }, (_, i) => 0.5 * MINUTE * Math.exp((i * Math.log(5760)) / 43))

/** When a share of what may be has passed a level, from the share at instants after `from`. */
export function passingOf(share: (at: Instant) => number, level: number, from: Instant): Passing {
  // Nearly straight in these: ln of the time ahead, and the z of the share.
  const z: number[] = []
  let most = -Infinity
  for (const ahead of AHEAD) z.push((most = Math.max(most, normalQuantile(share(from + ahead)))))
  return passing(
    level,
    QUANTILES.map((quantile) => {
      const wanted = normalQuantile(quantile)
      const index = z.findIndex((each) => each >= wanted)
      if (index < 0) return null
      if (index === 0) return Math.round(from + AHEAD[0]!)
      const part = (wanted - z[index - 1]!) / (z[index]! - z[index - 1]!)
      return Math.round(from + AHEAD[index - 1]! * Math.pow(AHEAD[index]! / AHEAD[index - 1]!, part))
    }),
  )
}

/** The median temperature and the 90 % range at an instant, °C. */
export function rangeAt(posterior: Posterior, at: Instant): Bounded {
  const level = (share: number) => {
    let [low, high] = [-40, 200]
    for (let i = 0; i < 22; i++) {
      const middle = (low + high) / 2
      if (shareUnder(posterior, middle, at) < share) low = middle
      else high = middle
    }
    return (low + high) / 2
  }
  return { least: level(0.05), likely: level(0.5), most: level(0.95) }
}

/** How likely a level is passed only after a deadline, or never. */
export function missProbability({ quantiles }: Passing, deadline: Instant): number {
  const index = quantiles.findIndex((at) => at === null || at > deadline)
  if (index < 0) return (1 - QUANTILES[QUANTILES.length - 1]!) / 2
  const [before, after] = [quantiles[index - 1], quantiles[index]]
  if (before == null) return 1 - QUANTILES[0]! / 2
  if (after == null) return 1 - QUANTILES[index - 1]!
  const part = after > before ? (deadline - before) / (after - before) : 0
  return 1 - (QUANTILES[index - 1]! + part * (QUANTILES[index]! - QUANTILES[index - 1]!))
}
