import { MINUTE } from '../../ground/instant'
import { chance, readEarly, trueCrossing, type Chance } from '../../test/coolings'
import { responseOf, type Faces } from '../conduction/response'
import { facesIn, type Wall } from './faces'
import { placeFigures, type Place } from './place'
import { posteriorOf } from '../projection/posterior'
import { prospectOf, type Product } from './prospect'
import { lastMoment, makesIt } from './rescue'
import { mixtureProperties } from '../material/properties'
import { simulateCooldown, type CooldownPhase } from './simulateCooldown'

const CUSTARD = { water: 0.75, protein: 0.04, fat: 0.08, carbohydrate: 0.12, ash: 0.01 }
const SLOW: Place[] = ['counter', 'refrigerator', 'fan refrigerator']
const QUICK: Place[] = ['ice bath', 'stirred ice bath', 'blast chiller']

/** A place as it really is: somewhere in the range of its figures. */
function trulyIn(place: Place, wall: Wall, { normal }: Chance): Omit<CooldownPhase, 'minutes'> {
  const { coefficient, surroundings, stirEveryMinutes } = placeFigures[place]
  const off = 0.35 * normal()
  const { least, likely, most } = coefficient
  const real = likely * (off < 0 ? (likely / least) ** off : (most / likely) ** off)
  const faces = facesIn(place, wall, 'open')
  const through = (face: number) => (face === 0 ? 0 : 1 / (1 / face - 1 / likely + 1 / real))
  return {
    surroundings: surroundings.celsius + 0.7 * surroundings.spread * normal(),
    top: through(faces.top),
    side: through(faces.side),
    bottom: through(faces.bottom),
    ...(stirEveryMinutes === null ? {} : { stirEveryMinutes }),
  }
}

/** A pot left where it misses 21° in 2 h, and what changing over at an instant would really do. */
function doomed(dice: Chance) {
  const { between, scaled, whole, normal } = dice
  const [from, to] = [SLOW[whole(0, 2)]!, QUICK[whole(0, 2)]!]
  const wall: Wall = whole(0, 1) ? 'steel' : 'plastic'
  const shape = { kind: 'cylinder' as const, radius: between(0.09, 0.17), height: scaled(0.03, 0.11) }
  const water = CUSTARD.water + between(-0.04, 0.04)
  const composition = { ...CUSTARD, water, carbohydrate: CUSTARD.carbohydrate + CUSTARD.water - water }
  const [before, after] = [trulyIn(from, wall, dice), trulyIn(to, wall, dice)]
  const start = between(70, 84)
  const run = (phases: CooldownPhase[]) =>
    simulateCooldown({ shape, properties: { composition }, start, phases, every: 60 })
  const left = run([{ minutes: 420, ...before }])
  const readings = readEarly(left, dice)
  const started = trueCrossing(left, 57)
  const product: Product = {
    shape: { ...shape, height: shape.height * (1 + 0.04 * normal()) },
    composition: CUSTARD,
    wall,
  }
  if (started === null) return null
  const gate = { level: 21, deadline: started + 120 * MINUTE }
  const passes = trueCrossing(left, gate.level)
  const now = readings.at(-1)!.at
  if (now >= gate.deadline || (passes !== null && passes <= gate.deadline)) return null
  const settledAfter = 0.4 * prospectOf(product, from, 'open').scale.tauMinutes * MINUTE
  const settled: Faces | undefined = now > settledAfter ? facesIn(from, wall, 'open') : undefined
  const posterior = posteriorOf({ ...ofPlace(product, from), readings })
  const then = prospectOf(product, to, 'open', settled)
  const saves = (at: number) => {
    const rest = Math.max(1, (gate.deadline - at) / MINUTE + 1)
    const passed = trueCrossing(
      run([
        { minutes: at / MINUTE, ...before },
        { minutes: rest, ...after },
      ]),
      gate.level,
    )
    return passed !== null && passed <= gate.deadline
  }
  return { posterior, then, gate, now, saves }
}

function ofPlace(product: Product, place: Place) {
  const { surroundings, scale, bends } = prospectOf(product, place, 'open')
  return { surroundings, scale, bends }
}

it('names a last moment: a minute before it the pot is saved, 20 minutes after it mostly not', () => {
  const dice = chance(4_711)
  const tried = Array.from({ length: 110 }, () => doomed(dice)).flatMap((one) => {
    if (!one) return []
    const { posterior, then, gate, now, saves } = one
    const last = lastMoment(posterior, then, gate, now)
    if (last === null) return []
    return [
      {
        before: saves(Math.max(now, last - MINUTE)),
        after: last + 20 * MINUTE < gate.deadline && saves(last + 20 * MINUTE),
      },
    ]
  })
  expect(tried.length).toBeGreaterThan(50)
  expect(tried.filter(({ before }) => before).length / tried.length).toBeGreaterThanOrEqual(0.95)
  expect(tried.filter(({ after }) => after).length / tried.length).toBeLessThan(0.5)
})

it('names the very last moment: sure then, and a minute later no more', () => {
  const dice = chance(99)
  const found = Array.from({ length: 40 }, () => doomed(dice)).flatMap((one) => {
    const last = one && lastMoment(one.posterior, one.then, one.gate, one.now)
    return one && last !== null ? [{ ...one, last }] : []
  })
  expect(found.length).toBeGreaterThan(15)
  for (const { posterior, then, gate, last } of found) {
    expect(makesIt(posterior, then, gate, last)).toBeGreaterThanOrEqual(0.95)
    expect(makesIt(posterior, then, gate, last + MINUTE)).toBeLessThan(0.95)
  }
})

it('is less likely to make it the later it is done', () => {
  const product: Product = {
    shape: { kind: 'cylinder', radius: 0.12, height: 0.05 },
    composition: CUSTARD,
    wall: 'steel',
  }
  const readings = [
    { at: 0, celsius: 57 },
    { at: 30 * MINUTE, celsius: 51 },
  ]
  const posterior = posteriorOf({ ...ofPlace(product, 'counter'), readings })
  const gate = { level: 21, deadline: 120 * MINUTE }
  const chances = [30, 40, 50, 70, 90].map((minutes) =>
    makesIt(posterior, prospectOf(product, 'stirred ice bath', 'open'), gate, minutes * MINUTE),
  )
  expect([...chances].sort((a, b) => b - a)).toEqual(chances)
  expect(chances[0]).toBeGreaterThan(0.5)
  expect(makesIt(posterior, prospectOf(product, 'refrigerator', 'open'), gate, 30 * MINUTE)).toBeLessThan(0.05)
  expect(lastMoment(posterior, prospectOf(product, 'refrigerator', 'open'), gate, 30 * MINUTE)).toBeNull()
})

it('is less sure of what nobody documented the composition of, and expects the same', () => {
  const shape = { kind: 'cylinder' as const, radius: 0.13, height: 0.07 }
  const known: Product = { shape, composition: CUSTARD, wall: 'steel' }
  for (const place of [...SLOW, ...QUICK]) {
    const [sure, half, unsure] = [0, 0.5, 1].map(
      (share) => prospectOf({ ...known, unsure: share }, place, 'open').scale,
    )
    expect(half!.spread).toBeGreaterThan(sure!.spread)
    expect(unsure!.spread).toBeGreaterThan(half!.spread)
    expect(unsure!.tauMinutes).toBe(sure!.tauMinutes)
  }
})

describe('the closed answer', () => {
  const material = mixtureProperties(CUSTARD, 35)

  it.each<[string, Product['shape'], Faces]>([
    ['a tub in water', { kind: 'cylinder', radius: 0.13, height: 0.09 }, { top: 6, side: 80, bottom: 150 }],
    ['a wide pan in air', { kind: 'cylinder', radius: 0.16, height: 0.03 }, { top: 12, side: 10, bottom: 8 }],
    ['a tray', { kind: 'brick', length: 0.3, width: 0.24, height: 0.06 }, { top: 30, side: 30, bottom: 30 }],
  ])('is what the simulation finds for %s', (_name, shape, faces) => {
    const { tauMinutes, curve } = responseOf(shape, material, faces)
    const minutes = 2 * tauMinutes
    const { core } = simulateCooldown({
      shape,
      properties: material,
      start: 101,
      phases: [{ minutes, surroundings: 1, ...faces }],
      every: minutes * 15,
    })
    // A quarter, half, three quarters, all of twice the time constant.
    for (const quarter of [1, 2, 3, 4])
      expect(Math.exp(curve[quarter * 10]!)).toBeCloseTo((core[quarter]! - 1) / 100, 2)
  })

  it('lies between an even and a settled profile when the surroundings change', () => {
    const shape = { kind: 'cylinder' as const, radius: 0.13, height: 0.07 }
    const [slow, quick] = [
      { top: 8, side: 8, bottom: 8 },
      { top: 0, side: 150, bottom: 150 },
    ]
    const even = responseOf(shape, material, quick)
    const settled = responseOf(shape, material, quick, slow)
    const wait = 120
    const { core } = simulateCooldown({
      shape,
      properties: material,
      start: 101,
      phases: [
        { minutes: wait, surroundings: 1, ...slow },
        { minutes: even.tauMinutes, surroundings: 1, ...quick },
      ],
      every: 60,
    })
    const half = (core[wait + Math.round(even.tauMinutes / 2)]! - 1) / (core[wait]! - 1)
    expect(Math.exp(even.curve[10]!)).toBeGreaterThan(half)
    expect(Math.exp(settled.curve[10]!)).toBeLessThan(half)
  })

  it('is quicker stirred than left alone, and the more so the quicker it is stirred', () => {
    const product: Product = {
      shape: { kind: 'cylinder', radius: 0.13, height: 0.1 },
      composition: CUSTARD,
      wall: 'steel',
    }
    const still = prospectOf(product, 'ice bath', 'open').scale.tauMinutes
    const stirred = prospectOf(product, 'stirred ice bath', 'open').scale.tauMinutes
    expect(stirred).toBeLessThan(still / 2)
  })
})
