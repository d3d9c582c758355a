import fc from 'fast-check'
import { HOUR, MINUTE } from '../../ground/instant'
import { itemOf, moved, readOf, unitOf } from '../../test/shelf'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import type { MoveHow } from '../../ledger/storeEntries'
import { placeFigures } from '../../physics/cooling/place'
import { courseOf } from './course'
import type { Measure } from '../../ground/measure'
import { thermalLag } from './thermalLag'
import { coldLevel, type HoldingKind } from '../../recipe/checks/unitKind'

const level = coldLevel(limitsFrom('us-food-code-2022'), '2027-03-03')!
const kilograms = (value: number): Measure => ({ value: value * 1000, unit: 'g' })

interface Case {
  left?: Measure
  /** Looks at its refrigerator: minutes after ten, °C. */
  looks?: [number, number][]
  kind?: HoldingKind
  reads?: [number, number][]
  how?: MoveHow
  unit?: string | null
}

/** In the refrigerator since ten; good at ten, warm from eleven on. */
const lag = ({
  left = kilograms(1),
  looks = [
    [0, 3],
    [60, 9],
  ],
  kind = 'refrigerator',
  reads = [],
  how = 'move',
  unit = 'fridge',
}: Case) => {
  const item = itemOf({ moves: [moved(0, how, unit)], readings: reads.map(([when, celsius]) => readOf(when, celsius)) })
  return thermalLag(courseOf(item, []), left, [unitOf(looks, { kind })], level)
}

describe('thermal lag', () => {
  it('lies between the last good look and long after the first warm one', () => {
    const one = lag({})!
    expect(one).toMatchObject({ air: 9, from: 3, grams: 1000 })
    expect(one.earliest).toBeGreaterThan(at(0) + 5 * MINUTE)
    expect(one.latest).toBeGreaterThan(at(60) + 2 * HOUR)
    expect(one.latest).toBeLessThan(at(60) + 12 * HOUR)
  })

  it('of a thin film is the lumped answer: mass, heat and surface alone', () => {
    // 20 g as a cylinder as high as wide: Biot 0.1, so the whole of it warms as one.
    const { latest } = lag({ left: kilograms(0.02) })!
    const volume = 0.02 / 1065
    const height = Math.cbrt((4 * volume) / Math.PI)
    const surface = Math.PI * height * height * 1.5
    const tau = (0.02 * 3530) / (4 * surface)
    const lumped = tau * Math.log((9 - 3) / (9 - level.celsius))
    expect((latest - at(60)) / 1000 / lumped).toBeGreaterThan(0.9)
    expect((latest - at(60)) / 1000 / lumped).toBeLessThan(1.2)
  })

  it('begins as early as the most that air takes from a flat tray lets it', () => {
    // 20 kg, 2 cm flat: its rim is nothing. Half its height warms from each side, in the core somewhat later than as one.
    const { most, likely } = placeFigures.refrigerator.coefficient
    const lumped = (h: number) => ((1065 * 3530 * 0.01) / h) * Math.log((9 - 3) / (9 - level.celsius))
    const seconds = (lag({ left: kilograms(20) })!.earliest - at(0)) / 1000
    expect(seconds / lumped(most)).toBeGreaterThan(1)
    expect(seconds / lumped(most)).toBeLessThan(1.4)
    expect(seconds / lumped(likely)).toBeLessThan(1)
  })

  it('is longer the more there is, and shorter the warmer the air and the more it moves', () => {
    const mass = fc.double({ min: 0.05, max: 20, noNaN: true })
    const air = fc.double({ min: 6, max: 25, noNaN: true })
    fc.assert(
      fc.property(mass, air, (kg, celsius) => {
        const one = lag({
          left: kilograms(kg),
          looks: [
            [0, 3],
            [60, celsius],
          ],
        })!
        const more = lag({
          left: kilograms(kg * 1.5),
          looks: [
            [0, 3],
            [60, celsius],
          ],
        })!
        const warmer = lag({
          left: kilograms(kg),
          looks: [
            [0, 3],
            [60, celsius + 2],
          ],
        })!
        const fan = lag({
          left: kilograms(kg),
          kind: 'fan refrigerator',
          looks: [
            [0, 3],
            [60, celsius],
          ],
        })!
        expect(one.earliest).toBeGreaterThanOrEqual(at(0))
        expect(one.latest).toBeGreaterThan(one.earliest)
        expect(more.latest).toBeGreaterThan(one.latest)
        // A flat thing is not slower for being wider, but for its rim: to the millisecond.
        expect(more.earliest).toBeGreaterThanOrEqual(one.earliest - 1)
        expect(warmer.latest).toBeLessThan(one.latest)
        expect(fan.latest).toBeLessThan(one.latest)
      }),
      { numRuns: 15 },
    )
  })

  it('begins with its own reading where that is newer, and is over once that is warm', () => {
    const read = lag({ reads: [[90, 4]] })!
    expect(read.from).toBe(4)
    expect(read.earliest).toBeGreaterThan(at(90))
    expect(lag({ reads: [[90, 6]] })).toBeNull()
    // Read before the air was last good, it says less than that look.
    expect(lag({ reads: [[-30, 1]] })!.from).toBe(3)
  })

  it('on the bench counts from when it was put there, in a room', () => {
    const out = lag({ how: 'out', unit: null })!
    expect(out.air).toBe(22)
    expect(out.earliest).toBe(at(0))
    expect(lag({ how: 'out', unit: null, reads: [[5, 2]] })!.latest).toBeGreaterThan(at(5) + 10 * MINUTE)
  })

  it('is not told where nothing is left', () => {
    expect(lag({ left: kilograms(0) })).toBeNull()
  })

  it('is not told of what is cold, frozen, hot, or out with the guests', () => {
    expect(
      lag({
        looks: [
          [0, 3],
          [60, 4],
        ],
      }),
    ).toBeNull()
    expect(lag({ how: 'freeze', kind: 'freezer' })).toBeNull()
    expect(lag({ how: 'hot', kind: 'hot well' })).toBeNull()
    expect(lag({ how: 'serve', unit: null })).toBeNull()
  })
})
