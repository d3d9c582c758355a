import { MINUTE, type Instant } from '../ground/instant'
import type { Shape } from '../physics/conduction/grid'
import { responseOf, type Faces, type Material } from '../physics/conduction/response'
import { simulateCooldown, type Cooldown } from '../physics/cooling/simulateCooldown'
import type { Reading } from '../physics/trace/reading'

/** A cooling made up by chance, and what is read of it. */
export interface MadeCooling {
  shape: Shape
  material: Material
  start: number
  surroundings: number
  faces: Faces
  truth: Cooldown
  readings: Reading[]
}

/** Numbers by chance that are the same in every run. */
export function chance(seed: number) {
  let state = seed
  const next = () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  return {
    next,
    between: (low: number, high: number) => low + (high - low) * next(),
    /** Evenly over the logarithm. */
    scaled: (low: number, high: number) => low * Math.pow(high / low, next()),
    whole: (low: number, high: number) => low + Math.floor(next() * (high - low + 1)),
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
  }
}

export type Chance = ReturnType<typeof chance>

/** A pot, tub or tray of any depth, with what it holds. */
export function madeProduct({ between, scaled, next }: Chance): Pick<MadeCooling, 'shape' | 'material'> {
  const height = scaled(0.025, 0.14)
  const shape: Shape =
    next() < 0.9
      ? { kind: 'cylinder', radius: between(0.07, 0.17), height }
      : { kind: 'brick', length: between(0.25, 0.5), width: between(0.15, 0.3), height }
  return {
    shape,
    material: { conductivity: between(0.4, 0.58), density: between(1000, 1100), specificHeat: between(3000, 3900) },
  }
}

/** Somewhere to cool: from a shelf in a refrigerator to a stirred ice bath. */
export function madeFaces({ next, scaled }: Chance): Faces {
  const kind = next()
  if (kind < 0.45) {
    const air = scaled(4, 25)
    return { top: air, side: air * 0.9, bottom: air * 0.7 }
  }
  if (kind < 0.7) {
    const air = scaled(25, 60)
    return { top: air, side: air, bottom: air * 0.8 }
  }
  const bath = scaled(100, 700)
  return { top: scaled(3, 10), side: bath, bottom: bath }
}

/** A cooling of so many hours at most, read by hand 3 to 6 times early on, with a probe that is out by 0.3 °C now and then. */
export function madeCooling(dice: Chance, hours = 14): MadeCooling {
  const { shape, material } = madeProduct(dice)
  const faces = madeFaces(dice)
  const surroundings = dice.between(0, 4.5)
  const start = dice.between(58, 84)
  const truth = simulateCooldown({
    shape,
    properties: material,
    start,
    // Long enough for what a forecast is asked for; it ends at five time constants.
    phases: [
      { minutes: Math.min(hours * 60, 5 * responseOf(shape, material, faces).tauMinutes), surroundings, ...faces },
    ],
    every: 120,
  })
  const readings = readEarly(truth, dice)
  return { shape, material, start, surroundings, faces, truth, readings }
}

/** From the start on, some 8 to 25 minutes apart, and none once it is under 23 °C. */
export function readEarly(truth: Cooldown, { whole, between, normal }: Chance): Reading[] {
  const readings: Reading[] = []
  let at = between(0, 4) * MINUTE
  for (let left = whole(3, 6); left > 0; left--) {
    const celsius = coreOf(truth, at)
    if (readings.length >= 2 && celsius < 23) break
    readings.push({ at, celsius: celsius + 0.3 * normal(), where: 'core' })
    at += between(8, 25) * MINUTE
  }
  return readings
}

/** The true core at an instant, ms from the start. */
export function coreOf({ at, core }: Cooldown, instant: Instant): number {
  const seconds = instant / 1000
  const index = Math.min(at.length - 2, Math.floor(seconds / at[1]!))
  const part = (seconds - at[index]!) / at[1]!
  return core[index]! + part * (core[index + 1]! - core[index]!)
}

/** When the true core passes a level, ms from the start; null: not while it was simulated. */
export function trueCrossing({ at, core }: Cooldown, level: number): Instant | null {
  const index = core.findIndex((celsius) => celsius <= level)
  if (index <= 0) return index === 0 ? 0 : null
  const part = (core[index - 1]! - level) / (core[index - 1]! - core[index]!)
  return (at[index - 1]! + part * (at[index]! - at[index - 1]!)) * 1000
}
