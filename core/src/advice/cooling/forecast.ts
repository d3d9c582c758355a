import type { World } from '../../judgement/world'
import { MINUTE, type Instant } from '../../ground/instant'
import { stageOf } from '../../rules/compared'
import type { BatchState } from '../../state/batch'
import { mixtureTrace } from '../../judgement/evidence/evidence'
import type { Finding } from '../../judgement/finding'
import { coolingTo } from '../../judgement/timeline/coolEnds'
import { timelineOf } from '../../judgement/timeline/timeline'
import { actionsFor, type Action } from './action'
import { facesIn } from '../../physics/cooling/faces'
import { likeness, type Learned } from './learned'
import { placeFigures, type Place } from '../../physics/cooling/place'
import { LIKELY_MISS } from './planned'
import {
  expectedAt,
  posteriorOf,
  scaleOf,
  shareUnder,
  type Posterior,
  type Surroundings,
} from '../../physics/projection/posterior'
import { missProbability, passingOf, type Passing } from '../../physics/projection/projectCooling'
import { prospectOf, prospectOfAnything, type Prospect } from '../../physics/cooling/prospect'
import { lastMoment } from '../../physics/cooling/rescue'
import type { Setting } from '../../judgement/timeline/setting'

/** What the kitchen has and has learned, for forecasts. */
export interface Means {
  places: readonly Place[]
  learned: Readonly<Record<string, Learned>>
}

/** What judging a batch and foretelling it needs beyond the batch. */
export interface ForecastWorld extends World {
  means?: Means
}

export const NO_MEANS: Means = { places: [], learned: {} }

/** How a batch will cool if it is left as it is. */
export interface Forecast {
  setting: Setting
  posterior: Posterior
  /** Enough was read since the heat for it to be told. */
  told: boolean
  /** On how many of the kitchen's own batches it rests; 0 where it is reckoned. */
  batches: number
  gates: GateForecast[]
  /** When it is as cold as the method goes on from; null where it does not go on warm. */
  target: { level: number; passing: Passing } | null
}

/** When it passes a gate that is still open. */
export interface GateForecast {
  finding: Finding
  /** °C as compared. */
  level: number
  deadline: Instant
  passing: Passing
  /** How likely it passes too late. */
  miss: number
  /** That is more likely than not, and said: never from fewer than two readings. */
  misses: boolean
  /** °C expected at the deadline. */
  atDeadline: number
}

/** What is still to be done about a gate. */
export interface Rescue {
  action: Action
  /** The last moment at which it still makes the gate for almost certain; in the past: too late since then. */
  by: Instant
}

/** A forecast is told from so many core readings since the heat. */
const TOLD_FROM = 2

/** Nobody said where it stands: from a refrigerator to a warm kitchen, °C. */
const ANYWHERE: Surroundings = { celsius: 11, spread: 8 }
/** An entry of a few degrees more or less in the air of a unit, °C. */
const READ_AIR_SPREAD = 0.8
/** A profile has begun to settle after this share of its time constant. */
const SETTLING = 0.4

/**
 * The forecast of a batch that cools: from every way it stood since the heat, and what was read meanwhile. null while it
 * does not cool, or before anything was read since. Pure: what it found for a batch as it stands it finds again.
 */
export function forecastOf(batch: BatchState, findings: readonly Finding[], means: Means = NO_MEANS): Forecast | null {
  const open = findings.filter(
    ({ standing, check: { limit } }) =>
      standing === 'open' && limit.rule.kind === 'reach' && limit.rule.direction === 'falling',
  )
  const cooledAt = open[0] ? timelineOf(batch).cooledSince(open[0].check) : null
  if (cooledAt === null) return null
  const cooled = cooledOf(batch, cooledAt, means)
  if (!cooled) return null
  const gates = open.flatMap((finding): GateForecast[] => {
    const { rule } = finding.check.limit
    if (rule.kind !== 'reach' || finding.deadline === null) return []
    const { from, to: level, withinMinutes, clock } = stageOf(finding.check.key, rule, finding.check)
    // While it is too hot for the clock to have started, the clock starts when it most likely will, at the soonest.
    const waits = clock === 'from' && finding.start?.latest == null
    const starts = waits ? cooled.passes(from).low : null
    const deadline = Math.max(finding.deadline, starts === null ? 0 : starts + withinMinutes * MINUTE)
    const passing = cooled.passes(level)
    const atDeadline = expectedAt(cooled.posterior, deadline).mean
    const miss = missProbability(passing, deadline)
    const misses = cooled.told && miss > LIKELY_MISS
    return [{ finding, level, deadline, passing, miss, misses, atDeadline }]
  })
  const { setting, posterior, told, batches } = cooled
  const aim = coolingTo(batch, timelineOf(batch))?.to.c ?? null
  const target = aim === null ? null : { level: aim, passing: cooled.passes(aim) }
  return { setting, posterior, told, batches, gates, target }
}

/** What can be done about a gate, that with the most time left first; those that are too late last. */
export function rescuesFor(
  batch: BatchState,
  { setting, posterior }: Forecast,
  { level, deadline }: GateForecast,
  means: Means = NO_MEANS,
): Rescue[] {
  const key = `${level} ${deadline} ${means.places.join()}`
  const known = rescues.get(posterior)
  if (known?.key === key) return known.list
  const list = actionsFor(batch, setting, means.places)
    .map((action): Rescue => {
      const then = prospectIn(afterwards(setting, action), settledSince(setting, posterior), means)
      // Reckoned from when it came to stand as it does: the answer does not wander while nobody reads.
      return { action, by: lastMoment(posterior, then.prospect, { level, deadline }, posterior.from) ?? posterior.from }
    })
    .sort((a, b) => b.by - a.by)
  rescues.set(posterior, { key, list })
  return list
}

/** How a batch will cool in another way, from its present core on. */
export function afterwards(setting: Setting, { place, depth }: Action): Setting {
  const { product } = setting
  return { ...setting, place, air: null, product: { ...product, shape: { ...product.shape, height: depth } } }
}

interface Cooled extends Omit<Forecast, 'gates' | 'target'> {
  passes(level: number): Passing
}

const coolings = new WeakMap<BatchState, { cooledAt: Instant; means: Means; cooled: Cooled | null }>()
const rescues = new WeakMap<Posterior, { key: string; list: Rescue[] }>()

function cooledOf(batch: BatchState, cooledAt: Instant, means: Means): Cooled | null {
  const known = coolings.get(batch)
  if (known && known.cooledAt === cooledAt && known.means === means) return known.cooled
  const cooled = cooling(batch, cooledAt, means)
  coolings.set(batch, { cooledAt, means, cooled })
  return cooled
}

function cooling(batch: BatchState, cooledAt: Instant, means: Means): Cooled | null {
  const trace = mixtureTrace(batch).filter(({ at }) => at >= cooledAt)
  const settings = timelineOf(batch).settings(cooledAt)
  let before: { setting: Setting; posterior: Posterior } | null = null
  let batches = 0
  for (const [i, setting] of settings.entries()) {
    const until = settings[i + 1]?.from ?? Infinity
    const readings = onePerInstant(trace.filter(({ at }) => at >= setting.from && at < until))
    if (!before && readings.length === 0) continue
    const settled = before ? settledSince(before.setting, before.posterior, setting.from) : undefined
    const { prospect, batches: learnedFrom } = prospectIn(setting, settled, means)
    batches = learnedFrom
    const begin = before ? { at: setting.from, ...beginning(before.posterior, setting.from) } : null
    const { surroundings, scale, bends } = prospect
    const posterior = posteriorOf({ readings, surroundings, scale, bends, ...(begin ? { begin } : {}) })
    before = { setting, posterior }
  }
  if (!before) return null
  const { setting, posterior } = before
  const passings = new Map<number, Passing>()
  return {
    setting,
    posterior,
    told: trace.length >= TOLD_FROM,
    batches,
    passes(level) {
      const known = passings.get(level)
      if (known) return known
      const passing = passingOf((at) => shareUnder(posterior, level, at), level, posterior.last.at)
      passings.set(level, passing)
      return passing
    },
  }
}

function beginning(posterior: Posterior, at: Instant): { celsius: number; spread: number } {
  const { mean, spread } = expectedAt(posterior, at)
  return { celsius: mean, spread }
}

/** The faces it had, once it stood so for long enough. */
export function settledSince(
  { place, product, cover, from }: Setting,
  posterior: Posterior,
  until = posterior.last.at,
) {
  const long = until - from > SETTLING * scaleOf(posterior).tauMinutes * MINUTE
  return place !== null && long ? facesIn(place, product.wall, cover) : undefined
}

/** Of two probes in it the warmer. */
function onePerInstant<T extends { at: Instant; celsius: number }>(trace: readonly T[]): T[] {
  const points: T[] = []
  for (const point of trace) {
    const last = points.at(-1)
    if (last?.at === point.at) {
      if (point.celsius > last.celsius) points[points.length - 1] = point
    } else points.push(point)
  }
  return points
}

const prospects = new Map<string, Prospect>()
const PROSPECTS_KEPT = 400

/** How it will cool as it stands: by the kitchen's own batches where there are enough, else as reckoned. */
export function prospectIn(
  setting: Setting,
  settled: ReturnType<typeof settledSince>,
  { learned }: Means,
): { prospect: Prospect; batches: number } {
  const { place, product, cover, air } = setting
  if (place === null) return { prospect: { ...prospectOfAnything('counter'), surroundings: ANYWHERE }, batches: 0 }
  const key = JSON.stringify([place, product, cover, settled])
  const prospect = prospects.get(key) ?? prospectOf(product, place, cover, settled)
  if (prospects.size > PROSPECTS_KEPT) prospects.clear()
  prospects.set(key, prospect)
  const own = learned[likeness(setting) ?? '']
  const surroundings = air === null ? placeFigures[place].surroundings : { celsius: air, spread: READ_AIR_SPREAD }
  return {
    prospect: {
      ...prospect,
      surroundings,
      scale: own ? { tauMinutes: own.tauMinutes, spread: own.spread } : prospect.scale,
    },
    batches: own?.batches ?? 0,
  }
}
