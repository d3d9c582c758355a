import fc from 'fast-check'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { cylinderAxis, slabCentre } from '../../test/series'
import { simulateCooldown, type CooldownSetup, type CooldownPhase } from './simulateCooldown'

const custard = { conductivity: 0.5, density: 1050, specificHeat: 3500 }
const diffusivity = custard.conductivity / (custard.density * custard.specificHeat)
const phase = (more: Partial<CooldownPhase>): CooldownPhase => ({
  minutes: 240,
  surroundings: 0,
  top: 0,
  side: 0,
  bottom: 0,
  ...more,
})
const excess = (setup: CooldownSetup, seconds: number) => {
  const { at, core } = simulateCooldown(setup)
  return core[at.indexOf(seconds)]! / setup.start
}
const half = 0.03

describe('against the series', () => {
  const times = [0.05, 0.1, 0.2, 0.5, 1].map((fourier) => ({
    fourier,
    seconds: Math.round((fourier * half * half) / diffusivity / 60) * 60,
  }))
  const fo = (seconds: number) => (diffusivity * seconds) / (half * half)

  it.each([0.1, 1, 10, 100])('an infinite slab at Bi %d, within 1 %% of the excess', (biot) => {
    const h = (biot * custard.conductivity) / half
    const shape = { kind: 'brick', length: 1, width: 1, height: 2 * half } as const
    const setup = { shape, properties: custard, start: 80, phases: [phase({ top: h, bottom: h })] }
    for (const { seconds } of times)
      expect(Math.abs(excess(setup, seconds) - slabCentre(biot, fo(seconds)))).toBeLessThan(0.01)
  })

  it.each([0.1, 1, 10, 100])('an infinite cylinder at Bi %d, within 1 %%', (biot) => {
    const h = (biot * custard.conductivity) / half
    const shape = { kind: 'cylinder', radius: half, height: 1 } as const
    const setup = { shape, properties: custard, start: 80, phases: [phase({ side: h })] }
    for (const { seconds } of times)
      expect(Math.abs(excess(setup, seconds) - cylinderAxis(biot, fo(seconds)))).toBeLessThan(0.01)
  })

  it('a finite cylinder: the product of both, within 1 %', () => {
    const h = 150
    const biot = (h * half) / custard.conductivity
    const shape = { kind: 'cylinder', radius: half, height: 2 * half } as const
    const setup = { shape, properties: custard, start: 80, phases: [phase({ top: h, side: h, bottom: h })] }
    for (const { seconds } of times) {
      const truth = slabCentre(biot, fo(seconds)) * cylinderAxis(biot, fo(seconds))
      expect(Math.abs(excess(setup, seconds) - truth)).toBeLessThan(0.01)
    }
  })

  it('a thin, well conducting product: the lumped exponential', () => {
    const metal = { conductivity: 50, density: 1000, specificHeat: 4000 }
    const shape = { kind: 'brick', length: 0.2, width: 0.2, height: 0.01 } as const
    const setup = { shape, properties: metal, start: 60, phases: [phase({ top: 20 })] }
    const { at, core, mean } = simulateCooldown(setup)
    at.forEach((seconds, i) => {
      const truth = 60 * Math.exp((-20 * seconds) / (1000 * 4000 * 0.01))
      expect(Math.abs(core[i]! - truth)).toBeLessThan(0.6)
      expect(Math.abs(mean[i]! - truth)).toBeLessThan(0.6)
    })
  })
})

const crossing = ({ at, core }: ReturnType<typeof simulateCooldown>, level: number) => {
  const after = core.findIndex((celsius) => celsius <= level)
  const [t0, t1, c0, c1] = [at[after - 1]!, at[after]!, core[after - 1]!, core[after]!]
  return t0 + ((c0 - level) / (c0 - c1)) * (t1 - t0)
}

it.each<[string, number, CooldownSetup['shape'], Partial<CooldownPhase>]>([
  [
    'a deep pan in an ice bath',
    600,
    { kind: 'cylinder', radius: 0.12, height: 0.1 },
    { top: 7, side: 150, bottom: 150 },
  ],
  [
    'a tray in a blast chiller',
    40,
    { kind: 'brick', length: 0.5, width: 0.3, height: 0.03 },
    { top: 60, side: 40, bottom: 40 },
  ],
])('does not depend on its grid: halved, %s crosses within 1 %%', (_, minutes, shape, faces) => {
  const setup = {
    shape,
    properties: { composition: catalogue.milk!.composition },
    start: 82,
    phases: [phase({ ...faces, minutes })],
    every: 30,
  }
  const [usual, fine] = [simulateCooldown(setup), simulateCooldown(setup, 2)]
  const lowest = fine.core.at(-1)!
  const levels = [57, 21, 5].filter((level) => level > lowest)
  expect(levels.length).toBeGreaterThan(0)
  for (const level of levels) expect(Math.abs(crossing(usual, level) / crossing(fine, level) - 1)).toBeLessThan(0.01)
})

it('cools evenly for everything it is given: never below the surroundings, the core never the coldest', () => {
  const some = fc.record({
    shape: fc.oneof(
      fc.record({
        kind: fc.constant('cylinder' as const),
        radius: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        height: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
      }),
    ),
    faces: fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0, max: 400, noNaN: true }))),
    stir: fc.option(fc.integer({ min: 0, max: 30 })),
    surroundings: fc.double({ min: -30, max: 25, noNaN: true }),
  })
  fc.assert(
    fc.property(some, ({ shape, faces: [top, side, bottom], stir, surroundings }) => {
      const stirring = stir === null ? {} : { stirEveryMinutes: stir }
      const phases = [phase({ minutes: 60, surroundings, top: top!, side: side!, bottom: bottom!, ...stirring })]
      const { core, mean } = simulateCooldown({ shape, properties: custard, start: 80, phases, every: 300 })
      core.forEach((celsius, i) => {
        expect(celsius).toBeLessThanOrEqual(80 + 1e-6)
        expect(celsius).toBeGreaterThanOrEqual(mean[i]! - 1e-6)
        expect(mean[i]!).toBeGreaterThanOrEqual(surroundings - 1e-6)
        if (i > 0) expect(mean[i]!).toBeLessThanOrEqual(mean[i - 1]! + 1e-6)
      })
    }),
    { numRuns: 40 },
  )
})

it('loses the heat that passes its faces, and no other', () => {
  const shape = { kind: 'cylinder', radius: 0.1, height: 0.08 } as const
  const { mean } = simulateCooldown({ shape, properties: custard, start: 80, phases: [phase({ minutes: 300 })] })
  expect(mean.every((celsius) => Math.abs(celsius - 80) < 1e-9)).toBe(true)
})

it('stirred in ice is quicker than still, still in ice quicker than on the counter, covered slower than open', () => {
  const shape = { kind: 'cylinder', radius: 0.12, height: 0.1 } as const
  const toGate = (...phases: CooldownPhase[]) =>
    crossing(simulateCooldown({ shape, properties: custard, start: 80, phases }), 21)
  const ice = { minutes: 900, surroundings: 0, top: 7, side: 150, bottom: 150 }
  const still = toGate(phase(ice))
  expect(toGate(phase({ ...ice, side: 500, bottom: 500, stirEveryMinutes: 5 }))).toBeLessThan(still)
  expect(toGate(phase({ ...ice, minutes: 2400, surroundings: 18, side: 7, bottom: 7 }))).toBeGreaterThan(still)
  expect(toGate(phase({ ...ice, top: 2 }))).toBeGreaterThan(still)
  // An hour on the counter first is an hour lost, nearly.
  expect(toGate(phase({ minutes: 60, surroundings: 22, top: 7, side: 7, bottom: 7 }), phase(ice))).toBeGreaterThan(
    still + 1800,
  )
})

it('samples at every instant asked for, from the start to the end', () => {
  const shape = { kind: 'cylinder', radius: 0.05, height: 0.05 } as const
  const phases = [phase({ minutes: 10, top: 10 }), phase({ minutes: 5, top: 50 })]
  const { at, core, surface } = simulateCooldown({ shape, properties: custard, start: 80, phases, every: 90 })
  expect(at).toEqual([0, 90, 180, 270, 360, 450, 540, 630, 720, 810, 900])
  expect(core).toHaveLength(at.length)
  expect(surface[3]!).toBeLessThan(core[3]!)
})

it.each<[string, Partial<CooldownSetup>]>([
  ['no height', { shape: { kind: 'cylinder', radius: 0.1, height: 0 } }],
  ['no conductivity', { properties: { ...custard, conductivity: 0 } }],
  ['a composition that is not whole', { properties: { composition: { ...catalogue.milk!.composition, water: 0.5 } } }],
  ['a start of no kitchen', { start: NaN }],
  ['a negative time', { phases: [phase({ minutes: -1 })] }],
  ['a negative coefficient', { phases: [phase({ top: -1 })] }],
  ['no time between samples', { every: 0 }],
])('refuses %s', (_, wrong) => {
  const setup: CooldownSetup = {
    shape: { kind: 'cylinder', radius: 0.1, height: 0.1 },
    properties: custard,
    start: 80,
    phases: [phase({})],
  }
  expect(() => simulateCooldown({ ...setup, ...wrong })).toThrow(RangeError)
})
