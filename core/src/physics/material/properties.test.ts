import fc from 'fast-check'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { mixtureProperties } from './properties'

const water = { water: 1, protein: 0, fat: 0, carbohydrate: 0, ash: 0 }

it('gives the known figures of water, and of milk near those of tables', () => {
  const at20 = mixtureProperties(water, 20)
  expect(at20.conductivity).toBeCloseTo(0.604, 2)
  expect(at20.density).toBeCloseTo(996, -1)
  expect(at20.specificHeat).toBeCloseTo(4177, -1)
  const milk = mixtureProperties(catalogue.milk!.composition, 20)
  expect(milk.specificHeat).toBeGreaterThan(3850)
  expect(milk.specificHeat).toBeLessThan(3990)
  expect(milk.density).toBeGreaterThan(1010)
  expect(milk.density).toBeLessThan(1040)
})

it('lies between its parts, whatever they are', () => {
  const foods = Object.values(catalogue).map(({ composition }) => composition)
  fc.assert(
    fc.property(
      fc.constantFrom(...foods),
      fc.constantFrom(...foods),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 100, noNaN: true }),
      (a, b, share, celsius) => {
        const mix = Object.fromEntries(
          (['water', 'protein', 'fat', 'carbohydrate', 'fibre', 'ash'] as const).map((key) => [
            key,
            share * (a[key] ?? 0) + (1 - share) * (b[key] ?? 0),
          ]),
        ) as unknown as typeof a
        const [one, two, both] = [a, b, mix].map((food) => mixtureProperties(food, celsius))
        for (const key of ['specificHeat', 'density'] as const) {
          expect(both![key]).toBeGreaterThanOrEqual(Math.min(one![key], two![key]) * (1 - 1e-3))
          expect(both![key]).toBeLessThanOrEqual(Math.max(one![key], two![key]) * (1 + 1e-3))
        }
      },
    ),
  )
})

it.each([
  ['fractions that do not sum to 1', { ...water, fat: 0.2 }, 20],
  ['a fraction under nothing', { ...water, water: 1.2, fat: -0.2 }, 20],
  ['a temperature of no kitchen', water, 401],
  ['no temperature', water, NaN],
])('refuses %s', (_, composition, celsius) => {
  expect(() => mixtureProperties(composition, celsius)).toThrow(RangeError)
})
