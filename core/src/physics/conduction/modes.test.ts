import fc from 'fast-check'
import { cylinderModes, slabModes, type Mode } from './modes'

const biot = fc.double({ min: 0.01, max: 60, noNaN: true })

/** By Simpson's rule over as many parts as the quickest mode needs. */
function integral(f: (x: number) => number): number {
  const parts = 400
  let sum = 0
  for (let i = 0; i <= parts; i++) sum += f(i / parts) * (i === 0 || i === parts ? 1 : i % 2 ? 4 : 2)
  return sum / (3 * parts)
}

it('gives each mode of a cylinder its part of an even start, and its mean over the round', () => {
  fc.assert(
    fc.property(biot, fc.nat(8), (side, n) => {
      const { weight, shape, mean } = cylinderModes(side)[n]!
      const own = integral((x) => x * shape(x) ** 2)
      expect(weight).toBeCloseTo(integral((x) => x * shape(x)) / own, 6)
      expect(mean).toBeCloseTo(
        integral((x) => 2 * x * shape(x)),
        6,
      )
    }),
    { numRuns: 50 },
  )
})

it('gives each mode of a cylinder its part of the profile that other surroundings left, near or far from its own', () => {
  fc.assert(
    fc.property(biot, fc.oneof(biot, fc.constant(null)), fc.nat(8), (side, other, n) => {
      const before = other ?? side
      const [slowest] = cylinderModes(before)
      const { weight, shape } = cylinderModes(side, before)[n]!
      const own = integral((x) => x * shape(x) ** 2)
      expect(weight).toBeCloseTo(integral((x) => x * shape(x) * slowest!.shape(x)) / own, 5)
    }),
    { numRuns: 50 },
  )
})

it('adds up to what was there before, in a slab and in a cylinder, but for what fourteen or nine modes cannot follow', () => {
  const at = (modes: readonly Mode[], x: number, fourier: number) =>
    modes.reduce((sum, { weight, shape, rate }) => sum + weight * shape(x) * Math.exp(-rate * fourier), 0)
  fc.assert(
    fc.property(biot, biot, (first, last) => {
      expect(Math.abs(at(slabModes(first, last), 0.5, 0.002) - 1)).toBeLessThan(0.02)
      expect(Math.abs(at(cylinderModes(first), 0.2, 0.005) - 1)).toBeLessThan(0.02)
    }),
    { numRuns: 100 },
  )
})

it('has means that a slab has', () => {
  fc.assert(
    fc.property(biot, biot, fc.nat(13), (first, last, n) => {
      const { shape, mean } = slabModes(first, last)[n]!
      expect(mean).toBeCloseTo(integral(shape), 5)
    }),
    { numRuns: 50 },
  )
})
