import { type Composition, mixtureProperties } from '../material/properties'
import { gridOf, type Grid, type Shape } from '../conduction/grid'
import { scratchFor, sweep, type Matter } from '../conduction/sweep'

/** How a product stands for a while. Coefficients are overall, W/(m²·K); 0 lets nothing through. */
export interface CooldownPhase {
  minutes: number
  /** °C. */
  surroundings: number
  top: number
  side: number
  bottom: number
  /** Stirred every so many minutes to one temperature; 0 all the time, left out never. */
  stirEveryMinutes?: number
}

export interface CooldownSetup {
  /** Of the product, m. */
  shape: Shape
  /** W/(m·K), kg/m³, J/(kg·K); or mass fractions, and then they follow the temperature. */
  properties: { conductivity: number; density: number; specificHeat: number } | { composition: Composition }
  /** °C, throughout. */
  start: number
  phases: CooldownPhase[]
  /** Seconds between samples out; 60 unless it is given. */
  every?: number
}

/** °C at each of `at`, s from the start. Core is the warmest point, surface the middle of the top. */
export interface Cooldown {
  at: number[]
  core: number[]
  mean: number[]
  surface: number[]
}

/** A step is about as long as heat needs through two cells, between these, s. */
const SHORTEST_STEP = 2
const LONGEST_STEP = 20

/**
 * How a product cools: conduction in a finite cylinder or a brick with convection at top, side and bottom, through
 * phases. Crank and Nicolson, split by direction with the order turned at each step. Engineering coefficients make it a
 * forecast. RangeError for lengths, properties, times or coefficients that are none.
 * @param finer how many times finer than usual grid and step are, for checking that it does not matter
 */
export function simulateCooldown(setup: CooldownSetup, finer = 1): Cooldown {
  checked(setup)
  const { shape, start, phases, every = 60 } = setup
  const passes = (faces: (phase: CooldownPhase) => number[]) =>
    phases.some((phase) => faces(phase).some((face) => face > 0))
  const sides = passes(({ side }) => [side])
  const ends = passes(({ top, bottom }) => [top, bottom])
  const grid = gridOf(shape, { sides, ends }, finer)
  const celsius = new Float64Array(grid.cells).fill(start)
  const { matter, follow } = matterOf(setup.properties, celsius)
  const out: Cooldown = { at: [], core: [], mean: [], surface: [] }
  const scratch = scratchFor(grid)
  const longest = longestStep(grid, matter) / finer
  let now = 0
  let turned = false
  const sample = (phase: CooldownPhase) => {
    out.at.push(now)
    out.core.push(coreOf(celsius, grid))
    out.mean.push(meanOf(celsius, grid, matter))
    out.surface.push(surfaceOf(celsius, grid, matter, phase))
  }
  if (phases[0]) sample(phases[0])
  let nextSample = every
  for (const phase of phases) {
    const end = now + phase.minutes * 60
    const stirs = phase.stirEveryMinutes === undefined ? Infinity : Math.max(longest, phase.stirEveryMinutes * 60)
    let nextStir = now + stirs
    while (now < end - 1e-9) {
      const until = Math.min(end, nextSample, nextStir)
      const steps = Math.max(1, Math.ceil((until - now) / longest - 1e-9))
      const seconds = (until - now) / steps
      for (let i = 0; i < steps; i++) {
        for (let axis = 0; axis < grid.axes.length; axis++) {
          const index = turned ? grid.axes.length - 1 - axis : axis
          sweep(celsius, grid, index, outsideOf(phase, index === grid.axes.length - 1), matter, seconds, scratch)
        }
        turned = !turned
        follow()
      }
      now = until
      if (now >= nextStir - 1e-9) {
        celsius.fill(meanOf(celsius, grid, matter))
        follow()
        nextStir += stirs
      }
      if (now >= nextSample - 1e-9) {
        sample(phase)
        nextSample += every
      }
    }
  }
  return out
}

function outsideOf({ surroundings, top, side, bottom }: CooldownPhase, upright: boolean) {
  return upright ? { celsius: surroundings, first: bottom, last: top } : { celsius: surroundings, first: 0, last: side }
}

function longestStep({ axes }: Grid, matter: Matter): number {
  const diffusivity = matter.conductivity[0]! / matter.capacity[0]!
  const finest = Math.min(...axes.filter(({ cells }) => cells > 1).map(({ step }) => step), 1)
  return Math.max(SHORTEST_STEP, Math.min(LONGEST_STEP, (2 * finest * finest) / diffusivity))
}

/** The warmest cell; at an axis of symmetry carried on to the axis itself, a parabola through its first two cells. */
function coreOf(celsius: Float64Array, { axes, cells }: Grid): number {
  const across = axes.slice(0, -1)
  const layer = across.reduce((product, axis) => product * axis.cells, 1)
  const carried = (cell: number, index: number, stride: number): number => {
    const axis = across[index]
    if (!axis) return celsius[cell]!
    const on = (at: number) => carried(at, index + 1, stride * axis.cells)
    return axis.cells > 1 ? (9 * on(cell) - on(cell + stride)) / 8 : on(cell)
  }
  let warmest = celsius.reduce((a, b) => (b > a ? b : a))
  for (let cell = 0; cell < cells; cell += layer) warmest = Math.max(warmest, carried(cell, 0, 1))
  return warmest
}

/** By heat: what stirring would leave. */
function meanOf(celsius: Float64Array, { volume }: Grid, matter: Matter): number {
  let heat = 0
  let held = 0
  celsius.forEach((here, cell) => {
    const capacity = matter.capacity[cell]! * volume[cell]!
    heat += capacity * here
    held += capacity
  })
  return heat / held
}

function surfaceOf(
  celsius: Float64Array,
  { axes, cells }: Grid,
  matter: Matter,
  { top, surroundings }: CooldownPhase,
): number {
  const upright = axes[axes.length - 1]!
  const cell = cells - cells / upright.cells
  const here = celsius[cell]!
  const inward = (2 * matter.conductivity[cell]!) / upright.step
  return (inward * here + top * surroundings) / (inward + top)
}

/** What the cells are made of, and how to follow their temperature where that changes it. */
function matterOf(
  properties: CooldownSetup['properties'],
  celsius: Float64Array,
): { matter: Matter; follow: () => void } {
  const matter = { conductivity: new Float64Array(celsius.length), capacity: new Float64Array(celsius.length) }
  if (!('composition' in properties)) {
    matter.conductivity.fill(properties.conductivity)
    matter.capacity.fill(properties.density * properties.specificHeat)
    return { matter, follow: () => undefined }
  }
  const { conductivity, capacity } = tabled(properties.composition)
  const follow = () => {
    for (let cell = 0; cell < celsius.length; cell++) {
      const above = celsius[cell]! - COLDEST
      const place = above < 0 ? 0 : above > LAST ? LAST : above
      const index = place | 0
      const share = place - index
      matter.conductivity[cell] = conductivity[index]! + share * (conductivity[index + 1]! - conductivity[index]!)
      matter.capacity[cell] = capacity[index]! + share * (capacity[index + 1]! - capacity[index]!)
    }
  }
  follow()
  return { matter, follow }
}

const COLDEST = -40
const HOTTEST = 150
const LAST = HOTTEST - COLDEST - 0.001

/** Properties at every degree, to go straight between: looked up for each cell at each step. */
function tabled(composition: Composition): Matter {
  const size = HOTTEST - COLDEST + 1
  const table = { conductivity: new Float64Array(size), capacity: new Float64Array(size) }
  for (let i = 0; i < size; i++) {
    const { conductivity, density, specificHeat } = mixtureProperties(composition, COLDEST + i)
    table.conductivity[i] = conductivity
    table.capacity[i] = density * specificHeat
  }
  return table
}

function checked({ shape, properties, start, phases, every }: CooldownSetup): void {
  const lengths: Record<string, number> =
    shape.kind === 'cylinder'
      ? { radius: shape.radius, height: shape.height }
      : { length: shape.length, width: shape.width, height: shape.height }
  for (const [name, length] of Object.entries(lengths)) within(`shape.${name}`, length, 1e-4, 10)
  if (!('composition' in properties))
    for (const [name, value] of Object.entries(properties)) within(`properties.${name}`, value, 1e-6, 1e9)
  within('start', start, -90, 400)
  phases.forEach((phase, i) => {
    within(`phases[${i}].minutes`, phase.minutes, 0, 1e5)
    within(`phases[${i}].surroundings`, phase.surroundings, -90, 400)
    for (const face of ['top', 'side', 'bottom'] as const) within(`phases[${i}].${face}`, phase[face], 0, 1e5)
    if (phase.stirEveryMinutes !== undefined) within(`phases[${i}].stirEveryMinutes`, phase.stirEveryMinutes, 0, 1e5)
  })
  if (every !== undefined) within('every', every, 0.1, 1e6)
}

function within(argument: string, value: number, least: number, most: number): void {
  if (!(value >= least && value <= most)) throw new RangeError(`${argument}: ${value} is not from ${least} to ${most}`)
}
