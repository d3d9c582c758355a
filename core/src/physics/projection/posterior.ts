import { type Instant, MINUTE } from '../../ground/instant'
import type { Point } from '../trace/reading'
import { lnExcess, type Curve } from '../conduction/response'
import { bends, slopeAt, type Bend } from './family'
import { normalShare } from './normal'

/** A time scale that is not known exactly: ln τ is normal about ln of `tauMinutes` with the standard deviation `spread`. */
export interface TimeScale {
  tauMinutes: number
  spread: number
}

/** Surroundings that are not known exactly, °C. */
export interface Surroundings {
  celsius: number
  spread: number
}

/** A core that stood in the same surroundings since the first of its readings. */
export interface Segment {
  /** In time order, one an instant; at least one unless `begin` is given. */
  readings: readonly Point[]
  /** What it was like as it came here, from how it cooled before; else the first reading says so. */
  begin?: Begin
  /** Of the instrument, °C. */
  tolerance?: number
  surroundings: Surroundings
  scale: TimeScale
  /** How it can bend; every way there is unless it is known. */
  bends?: readonly Bend[]
}

/** How warm it was at an instant, as far as that is known: °C. */
export interface Begin {
  at: Instant
  celsius: number
  spread: number
}

/** One way it may be: how it bends, how fast, and normal beliefs about where it began and where it goes. */
interface Way {
  weight: number
  curve: Curve
  tauMs: number
  /** °C at the first reading, and of the surroundings. */
  start: number
  end: number
  /** Variances and the covariance of the two. */
  ss: number
  se: number
  ee: number
}

/** What the readings leave possible. */
export interface Posterior {
  from: Instant
  /** The last reading; without one, the beginning. */
  last: { at: Instant; celsius: number }
  ways: Way[]
}

/** Where nothing is known of it: from a quarter of an hour to half a day. */
export const ANY_SCALE: TimeScale = { tauMinutes: 68, spread: 0.8 }

/** A probe is within its tolerance nearly always: twice the standard deviation, °C. */
const READING_SPREAD = 0.3
/** The family is a model: its shape, and properties that change with temperature; of the excess. */
const MODEL_SPREAD = 0.0045
/** How wrong the rest of the way may be, of the time ahead. */
const STRETCH = 0.07
const START_SPREAD = 3

const COARSE = 21
const FINE = 25
/** A bend that carries less than this of the belief is not looked at finely. */
const UNLIKELY = 1e-3
/** Ways that carry less than this of the belief are left out. */
const NEGLIGIBLE = 1e-3

/** What the readings say about a cooling: the prior, bent by each of them. */
export function posteriorOf(segment: Segment): Posterior {
  const { scale, bends: known = bends() } = segment
  const readings = informative(segment.readings)
  const begin = segment.begin ?? { ...readings[0]!, spread: START_SPREAD }
  const middle = Math.log(scale.tauMinutes * MINUTE)
  const far = 2.5 * doubted(scale.spread)
  const wide = { from: middle - far, to: middle + far }
  const coarse = waysOf({ ...segment, begin }, readings, known, wide, COARSE)
  const step = (wide.to - wide.from) / (COARSE - 1)
  const kept = coarse.filter(({ weight }) => weight > 1e-3).map(({ tauMs }) => Math.log(tauMs))
  const narrow = { from: Math.min(...kept) - step, to: Math.max(...kept) + step }
  const ways = waysOf({ ...segment, begin }, readings, stillLikely(known, coarse), narrow, FINE).filter(
    ({ weight }) => weight > NEGLIGIBLE,
  )
  const left = ways.reduce((sum, { weight }) => sum + weight, 0)
  for (const way of ways) way.weight /= left
  const last = readings.at(-1) ?? begin
  return { from: begin.at, last: { at: last.at, celsius: last.celsius }, ways }
}

/** The bends that the coarse look leaves anything of. */
function stillLikely(known: readonly Bend[], coarse: readonly Way[]): readonly Bend[] {
  const weights = new Map<Curve, number>()
  for (const { curve, weight } of coarse) weights.set(curve, (weights.get(curve) ?? 0) + weight)
  return known.filter(({ curve }) => weights.get(curve)! > UNLIKELY)
}

/** How likely it is to be at or under a level at an instant, ahead of the last reading or since. */
export function shareUnder(posterior: Posterior, level: number, at: Instant): number {
  let share = 0
  for (const way of posterior.ways) {
    const { mean, spread } = coreAt(way, posterior, at)
    share += way.weight * normalShare((level - mean) / spread)
  }
  return share
}

/** °C expected at an instant, and its standard deviation. */
export function expectedAt(posterior: Posterior, at: Instant): { mean: number; spread: number } {
  let [mean, square] = [0, 0]
  for (const way of posterior.ways) {
    const one = coreAt(way, posterior, at)
    mean += way.weight * one.mean
    square += way.weight * (one.mean * one.mean + one.spread * one.spread)
  }
  return { mean, spread: Math.sqrt(Math.max(1e-6, square - mean * mean)) }
}

/** ln τ (τ in minutes) as the readings leave it. */
export function scaleOf({ ways }: Posterior): TimeScale {
  const mean = ways.reduce((sum, { weight, tauMs }) => sum + weight * Math.log(tauMs), 0)
  const square = ways.reduce((sum, { weight, tauMs }) => sum + weight * (Math.log(tauMs) - mean) ** 2, 0)
  return { tauMinutes: Math.exp(mean) / MINUTE, spread: Math.sqrt(square) }
}

function coreAt(way: Way, { from, last }: Posterior, at: Instant): { mean: number; spread: number } {
  const { curve, tauMs, start, end, ss, se, ee } = way
  const s = (at - from) / tauMs
  const g = Math.exp(lnExcess(curve, s))
  const rest = 1 - g
  const ahead = Math.max(0, at - last.at) / tauMs
  const stretch = (start - end) * g * slopeAt(curve, s) * ahead * STRETCH
  const model = MODEL_SPREAD * (start - end)
  return {
    mean: start * g + end * rest,
    spread: Math.sqrt(ss * g * g + 2 * se * g * rest + ee * rest * rest + stretch * stretch + model * model),
  }
}

/** What is said of a time scale may be wrong altogether: a lid, another pan, a door left open. */
const WRONG = 0.1

function doubted(spread: number): number {
  return spread + 0.35
}

function lnScale(off: number, spread: number): number {
  const normal = (s: number) => Math.exp((-off * off) / (2 * s * s)) / s
  return Math.log((1 - WRONG) * normal(spread) + WRONG * normal(doubted(spread)))
}

function waysOf(
  { surroundings, scale, tolerance, begin }: Segment & { begin: Begin },
  readings: Segment['readings'],
  known: readonly Bend[],
  { from, to }: { from: number; to: number },
  count: number,
): Way[] {
  const own = tolerance === undefined ? READING_SPREAD : Math.max(0.15, tolerance / 2)
  const middle = Math.log(scale.tauMinutes * MINUTE)
  const ways: (Way & { ln: number })[] = []
  for (let j = 0; j < count; j++) {
    const lnTau = from + (j * (to - from)) / (count - 1)
    const lnPrior = lnScale(lnTau - middle, scale.spread)
    for (const { curve, weight } of known)
      ways.push(bent(curve, Math.exp(lnTau), Math.log(weight) + lnPrior, readings, begin, surroundings, own))
  }
  const most = ways.reduce((best, { ln }) => Math.max(best, ln), -Infinity)
  let sum = 0
  for (const way of ways) sum += way.weight = Math.exp(way.ln - most)
  for (const way of ways) way.weight /= sum
  return ways
}

/** One way after every reading: where it began and where it goes are normal, and each reading narrows them. */
function bent(
  curve: Curve,
  tauMs: number,
  lnPrior: number,
  readings: Segment['readings'],
  begin: Begin,
  around: Surroundings,
  own: number,
) {
  let [start, end] = [begin.celsius, around.celsius]
  let [ss, se, ee] = [begin.spread * begin.spread, 0, around.spread * around.spread]
  let ln = lnPrior
  let variances = 1
  const model = MODEL_SPREAD * (begin.celsius - around.celsius)
  for (const { at, celsius } of readings) {
    const g = Math.exp(lnExcess(curve, (at - begin.at) / tauMs))
    const rest = 1 - g
    const [ps, pe] = [ss * g + se * rest, se * g + ee * rest]
    const variance = ps * g + pe * rest + own * own + model * model
    const off = celsius - start * g - end * rest
    // One logarithm in the end: of the product.
    variances *= variance
    ln -= (off * off) / (2 * variance)
    start += (ps / variance) * off
    end += (pe / variance) * off
    ss -= (ps * ps) / variance
    se -= (ps * pe) / variance
    ee -= (pe * pe) / variance
  }
  return { ln: ln - Math.log(variances) / 2, weight: 0, curve, tauMs, start, end, ss, se, ee }
}

/** More readings than this say no more. */
const MOST = 12

/** Of a long trace the first, the last, and between them those that stand evenly in time. */
function informative(readings: Segment['readings']): Segment['readings'] {
  if (readings.length <= MOST) return readings
  const first = readings[0]!.at
  const last = readings[readings.length - 1]!.at
  const kept = [readings[0]!]
  let index = 0
  for (let i = 1; i < MOST; i++) {
    const at = first + (i * (last - first)) / (MOST - 1)
    const from = index
    index = firstFrom(readings, at, index + 1)
    if (index > from) kept.push(readings[index]!)
  }
  return kept
}

/** The index of the first reading at or after an instant, from `low` on; the last where there is none. */
function firstFrom(readings: Segment['readings'], at: Instant, low: number): number {
  let high = readings.length - 1
  let start = Math.min(low, high)
  while (start < high) {
    const middle = (start + high) >> 1
    if (readings[middle]!.at < at) start = middle + 1
    else high = middle
  }
  return start
}
