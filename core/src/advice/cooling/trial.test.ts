import { coolingStages } from '../../rules/sets/ruleSets'
import { mixtureProperties } from '../../physics/material/properties'
import { ICE_MELTS, iceMelted, unitTakes } from './ice'
import { simulateCooldown } from '../../physics/cooling/simulateCooldown'
import { asRound, isSure, isTooClose, isTooLate, tryOut, type Trial } from './trial'

const US = coolingStages('us-food-code-2022')
const TRIAL: Trial = {
  load: {
    kilograms: 6,
    composition: { water: 0.75, protein: 0.04, fat: 0.08, carbohydrate: 0.12, ash: 0.01 },
    celsius: 80,
  },
  vessel: { name: 'Pan', inside: { kind: 'round', diameter: 0.28, height: 0.2 }, wall: 'steel' },
  pans: 1,
  cover: 'open',
  iceFirst: 0,
  place: 'fan refrigerator',
  ice: 5,
}

it('starts its clock at 57°, takes longer with less heat passing, and misses where it is deep', () => {
  const { stages, curve, depth } = tryOut(TRIAL, US)
  expect(depth).toBeCloseTo(0.093, 2)
  const [first] = stages
  expect(first!.likely).toBeGreaterThan(120)
  expect(first!.least!).toBeLessThan(first!.likely!)
  expect(first!.most ?? Infinity).toBeGreaterThan(first!.likely!)
  const atClock = curve.filter(({ minutes }) => minutes >= 0)[0]!
  expect(atClock.celsius).toBeLessThanOrEqual(57.3)
})

it('makes it in a stirred bath, and sooner still in more pans', () => {
  const one = tryOut({ ...TRIAL, place: 'stirred ice bath' }, US).stages[0]!.likely!
  const three = tryOut({ ...TRIAL, place: 'stirred ice bath', pans: 3 }, US).stages[0]!.likely!
  expect(one).toBeLessThan(120)
  expect(three).toBeLessThan(one)
})

it('goes on in the refrigerator from where the ice left it', () => {
  const iced = tryOut({ ...TRIAL, iceFirst: 30 }, US)
  expect(iced.stages[0]!.likely ?? Infinity).toBeLessThan(tryOut(TRIAL, US).stages[0]!.likely!)
  expect(iced.ice).toBeGreaterThan(0)
  expect(tryOut(TRIAL, US).ice).toBe(0)
  // What was already cooled in ice warms the unit less.
  expect(iced.watts).toBeLessThan(tryOut(TRIAL, US).watts)
})

it('melts the ice that the heat of the product asks', () => {
  const { load } = TRIAL
  const { specificHeat } = mixtureProperties(load.composition, 35)
  const { ice } = tryOut({ ...TRIAL, place: 'stirred ice bath' }, US)
  const all = (1.2 * (load.kilograms * specificHeat * 79)) / 1000 / ICE_MELTS
  expect(ice / all).toBeGreaterThan(0.97)
  expect(ice / all).toBeLessThan(1.03)
  expect(tryOut({ ...TRIAL, place: 'stirred ice bath', ice: all + 1 }, US).iceGone).toBeNull()
  const gone = tryOut({ ...TRIAL, place: 'stirred ice bath', ice: all / 2 }, US).iceGone!
  expect(gone).toBeGreaterThan(5)
  expect(gone).toBeLessThan(60)
  expect(iceMelted(load, { at: [0, 60], core: [80, 70], mean: [80, 70], surface: [] }, 0)).toBe(0)
})

it('lets a stronger unit take more', () => {
  expect(unitTakes(2000, 100)).toBe(10)
  expect(unitTakes(4000, 100)).toBe(20)
})

it('reckons a tray as a round one without being far out', () => {
  const shape = { kind: 'brick' as const, length: 0.3, width: 0.24, height: 0.06 }
  const run = (one: typeof shape | ReturnType<typeof asRound>) =>
    simulateCooldown({
      shape: one,
      properties: mixtureProperties(TRIAL.load.composition, 35),
      start: 81,
      phases: [{ minutes: 240, surroundings: 1, top: 12, side: 12, bottom: 12 }],
      every: 3600,
    }).core
  const [tray, round] = [run(shape), run(asRound(shape))]
  tray.forEach((celsius, i) => expect(Math.abs(celsius - round[i]!)).toBeLessThan(2))
})

it('is too late, too close or sure, by what is likely and by the least heat that may pass', () => {
  const stage = { key: 'cool-first', from: 57, to: 21, withinMinutes: 120 }
  const said = (likely: number | null, most: number | null) => {
    const made = { stage, least: 60, likely, most }
    return [isTooLate(made), isTooClose(made), isSure(made)]
  }
  expect(said(121, 150)).toEqual([true, false, false])
  expect(said(null, null)).toEqual([true, false, false])
  expect(said(110, 130)).toEqual([false, true, false])
  expect(said(110, null)).toEqual([false, true, false])
  expect(said(90, 119)).toEqual([false, false, true])
})
