import type { Shape } from './grid'
import { cylinderModes, slabModes, type Mode } from './modes'

/** What passes through the faces of a product: overall coefficients, W/(m²·K). */
export interface Faces {
  top: number
  side: number
  bottom: number
}

export interface Material {
  /** W/(m·K). */
  conductivity: number
  /** kg/m³. */
  density: number
  /** J/(kg·K). */
  specificHeat: number
}

/** How the core of a product answers surroundings that stay as they are. */
export interface Response {
  /** The time in which its excess falls to 1/e, late. */
  tauMinutes: number
  curve: Curve
}

/** ln of the core's excess over the surroundings, of its first excess, at t/τ = 0, STEP, 2·STEP …; straight after the last. */
export type Curve = Float64Array

const STEP = 0.05
const SAMPLES = 121

/**
 * The closed answer of conduction in a finite cylinder or a brick with coefficients that stay: the product of the series
 * of its directions, at the warmest point. Exact where properties do not change with temperature.
 * @param before the faces as they were until now, long enough for its profile to have settled: else it starts even
 */
export function responseOf(shape: Shape, material: Material, faces: Faces, before?: Faces): Response {
  const { conductivity, density, specificHeat } = material
  const diffusivity = conductivity / (density * specificHeat)
  const along = (length: number, pick: (f: Faces) => [number, number]) => {
    const biots = (f: Faces) => pick(f).map((face) => (face * length) / conductivity) as [number, number]
    const settled = before ? settledIn(slabModes(...biots(before))) : undefined
    return { modes: slabModes(...biots(faces), settled), length }
  }
  const upright = along(shape.height, ({ bottom, top }) => [bottom, top])
  const across =
    shape.kind === 'cylinder'
      ? [roundOf(shape.radius, conductivity, faces, before)]
      : [shape.length, shape.width].map((length) => along(length, ({ side }) => [side, side]))
  const all = [upright, ...across]
  const rate = all.reduce((sum, { modes, length }) => sum + (diffusivity * modes[0]!.rate) / (length * length), 0)
  if (rate <= 0) return { tauMinutes: Infinity, curve: new Float64Array(SAMPLES) }
  const fourier = (s: number, length: number) => (diffusivity * s) / (rate * length * length)
  const centre = shape.kind === 'cylinder' ? 0 : 0.5
  const sides = across.map(({ modes, length }) => ({ length, at: sampled(modes, [centre]) }))
  const depth = sampled(upright.modes, PLACES)
  return {
    tauMinutes: 1 / rate / 60,
    curve: curveOf((s) =>
      sides.reduce((product, { at, length }) => product * at(fourier(s, length)), depth(fourier(s, shape.height))),
    ),
  }
}

/**
 * The time constant, minutes, of a product that is stirred to one temperature every so many minutes: what its mean loses
 * between two stirrings, over and over.
 */
export function stirredTau(shape: Shape, material: Material, faces: Faces, everyMinutes: number): number {
  const { conductivity, density, specificHeat } = material
  const diffusivity = conductivity / (density * specificHeat)
  const biot = (face: number, length: number) => (face * length) / conductivity
  const slab = (length: number, first: number, last: number) => ({
    length,
    left: meanOf(slabModes(biot(first, length), biot(last, length))),
  })
  const directions = [
    slab(shape.height, faces.bottom, faces.top),
    ...(shape.kind === 'cylinder'
      ? [{ length: shape.radius, left: meanOf(cylinderModes(biot(faces.side, shape.radius))) }]
      : [shape.length, shape.width].map((length) => slab(length, faces.side, faces.side))),
  ]
  const seconds = everyMinutes * 60
  const left = directions.reduce(
    (product, each) => product * each.left((diffusivity * seconds) / (each.length * each.length)),
    1,
  )
  return left >= 1 ? Infinity : -everyMinutes / Math.log(left)
}

/** The mean excess against Fo, of one direction. */
function meanOf(modes: Mode[]): (fourier: number) => number {
  return (fourier) =>
    Math.min(
      1,
      modes.reduce((sum, { weight, mean, rate }) => sum + weight * mean * Math.exp(-rate * fourier), 0),
    )
}

/** ln of the excess at s = t/τ. */
export function lnExcess(curve: Curve, s: number): number {
  const place = s / STEP
  if (place >= SAMPLES - 1) return curve[SAMPLES - 1]! - (s - (SAMPLES - 1) * STEP)
  if (place <= 0) return 0
  const index = place | 0
  return curve[index]! + (place - index) * (curve[index + 1]! - curve[index]!)
}

/** The s at which ln of the excess is `ln` (0 or less): the other way round. */
export function sAt(curve: Curve, ln: number): number {
  if (ln >= 0) return 0
  const last = curve[SAMPLES - 1]!
  if (ln <= last) return (SAMPLES - 1) * STEP + (last - ln)
  let [low, high] = [0, SAMPLES - 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (curve[middle]! > ln) low = middle
    else high = middle
  }
  const fall = curve[low]! - curve[high]!
  return (low + (fall > 0 ? (curve[low]! - ln) / fall : 1)) * STEP
}

/** A curve from the excess against s; never above 1 and never rising, where a short series rings. */
export function curveOf(excessAt: (s: number) => number): Curve {
  const curve = new Float64Array(SAMPLES)
  for (let i = 1; i < SAMPLES; i++) curve[i] = Math.min(curve[i - 1]!, Math.log(Math.max(1e-12, excessAt(i * STEP))))
  return curve
}

function roundOf(radius: number, conductivity: number, { side }: Faces, before?: Faces) {
  const biot = (coefficient: number) => (coefficient * radius) / conductivity
  return { modes: cylinderModes(biot(side), before && biot(before.side)), length: radius }
}

/** The profile once only the slowest mode is left, 1 where it is warmest. */
function settledIn([slowest]: Mode[]): (x: number) => number {
  const { shape } = slowest!
  const top = PLACES.reduce((most, x) => Math.max(most, shape(x)), 0)
  return (x) => shape(x) / top
}

/** What a mode adds then is below the last place of the sum. */
const GONE = 1e-15

const PLACES = Array.from({ length: 21 }, (_, i) => i / 20)

/** The excess at the warmest of some places against Fo. */
function sampled(modes: Mode[], places: readonly number[]): (fourier: number) => number {
  const shares = places.map((x) => modes.map(({ weight, shape }) => weight * shape(x)))
  return (fourier) => {
    // The slowest first: from the first that has gone, all have.
    const left: number[] = []
    for (const { rate } of modes) {
      const share = Math.exp(-rate * fourier)
      if (share < GONE * (left[0] ?? 0)) break
      left.push(share)
    }
    return shares.reduce(
      (most, share) =>
        Math.max(
          most,
          left.reduce((sum, each, n) => sum + each * share[n]!, 0),
        ),
      0,
    )
  }
}
