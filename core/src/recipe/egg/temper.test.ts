import fc from 'fast-check'
import { catalogue } from '../ingredient/catalogue'
import { largestLadle, onsetOf, temper, temperVerdict, type Pour } from './temper'

const of = (key: string, kg: number, celsius: number): Pour => ({
  kg,
  celsius,
  composition: catalogue[key]!.composition,
})
const pours = (key: string, coldest: number, hottest: number) =>
  fc
    .tuple(fc.double({ min: 0.05, max: 20, noNaN: true }), fc.double({ min: coldest, max: hottest, noNaN: true }))
    .map(([kg, celsius]) => of(key, kg, celsius))

it('halves the way between two equal pots of water', () => {
  expect(temper(of('water', 1, 20), of('water', 1, 80), 1).combined).toBeCloseTo(50, 0)
  // A yolk holds less heat than milk: less of it is needed to be warmed as far.
  expect(temper(of('yolk', 1, 20), of('milk', 1, 80), 1).combined).toBeGreaterThan(50)
})

it('rises with every ladle, ends where all at once ends, and never passes the hot liquid', () => {
  fc.assert(
    fc.property(pours('yolk', 2, 30), pours('milk', 40, 100), fc.integer({ min: 1, max: 20 }), (base, hot, ladles) => {
      const { afterEach, combined } = temper(base, hot, ladles)
      expect(afterEach).toHaveLength(ladles)
      expect(afterEach.every((celsius, i) => celsius > (afterEach[i - 1] ?? base.celsius))).toBe(true)
      expect(combined).toBe(afterEach.at(-1))
      expect(combined).toBeLessThan(hot.celsius)
      expect(combined).toBeCloseTo(temper(base, hot, 1).combined, 9)
    }),
  )
})

it('names a first ladle that raises the eggs by the step or to their onset, and no gram more', () => {
  fc.assert(
    fc.property(pours('yolk', 2, 60), pours('milk', 66, 100), (base, hot) => {
      const kg = largestLadle(base, hot, 65, 10)
      const top = Math.min(base.celsius + 10, 65)
      if (kg < hot.kg) expect(temper(base, { ...hot, kg }, 1).combined).toBeCloseTo(top, 6)
      else expect(temper(base, hot, 1).combined).toBeLessThanOrEqual(top + 1e-6)
    }),
  )
  expect(largestLadle(of('yolk', 1, 66), of('milk', 1, 80), 65)).toBe(0)
  expect(largestLadle(of('yolk', 1, 20), of('milk', 3, 29), 65)).toBe(3)
})

it('knows where the first part of an egg sets', () => {
  expect(onsetOf(['yolk', 'white'])).toBe(62)
  expect(onsetOf(['whole'])).toBe(68)
  expect(onsetOf([])).toBeNull()
})

it('says how far pouring is from the lowest row', () => {
  const rows = [
    { celsius: 68, seconds: 17 },
    { celsius: 63, seconds: 180 },
  ]
  expect(temperVerdict(58, rows)).toEqual({ combined: 58, lowest: rows[1], short: 5 })
  expect(temperVerdict(64, rows).short).toBe(0)
  expect(temperVerdict(64, [])).toEqual({ combined: 64, lowest: null, short: 0 })
})

it.each([
  ['no mass', () => temper(of('yolk', 0, 20), of('milk', 1, 80), 1)],
  ['half a ladle', () => temper(of('yolk', 1, 20), of('milk', 1, 80), 1.5)],
  ['no ladle', () => temper(of('yolk', 1, 20), of('milk', 1, 80), 0)],
  ['no temperature', () => temper(of('yolk', 1, NaN), of('milk', 1, 80), 1)],
])('refuses %s', (_, act) => {
  expect(act).toThrow(RangeError)
})
