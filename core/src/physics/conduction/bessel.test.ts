import fc from 'fast-check'
import { bessel, rootBetween } from './bessel'

/** Abramowitz and Stegun, Handbook of Mathematical Functions, table 9.1. */
it.each([
  [0, 1, 0.7651976866],
  [1, 1, 0.4400505857],
  [0, 5, -0.1775967713],
  [1, 5, -0.3275791376],
  [0, 10, -0.2459357645],
  [1, 10, 0.0434727462],
  [0, 17, -0.1698542522],
  [1, 17, -0.0976684928],
] as const)('J%i(%i) is the value of the tables', (order, x, value) => {
  expect(bessel(order, x)).toBeCloseTo(value, 9)
})

it('keeps nine places over all of its bounds: as good as with more steps than anybody needs', () => {
  const exact = (order: number, x: number) => {
    let sum = 0
    for (let i = 0; i < 400; i++) {
      const theta = (Math.PI * (i + 0.5)) / 400
      sum += Math.cos(order * theta - x * Math.sin(theta))
    }
    return sum / 400
  }
  fc.assert(
    fc.property(fc.constantFrom(0 as const, 1 as const), fc.double({ min: 0, max: 35, noNaN: true }), (order, x) => {
      expect(Math.abs(bessel(order, x) - exact(order, x))).toBeLessThan(1e-9)
    }),
    { numRuns: 300 },
  )
})

it('finds the root between two places where the sign differs in no more steps than halving takes, also where it lies flat', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -5, max: 5, noNaN: true }),
      fc.constantFrom(1, 3),
      fc.double({ min: 0.01, max: 20, noNaN: true }),
      (root, power, beside) => {
        let asked = 0
        const f = (x: number) => {
          asked++
          return Math.sign(x - root) * Math.abs(x - root) ** power
        }
        const found = rootBetween(f, root - beside, root + 2 * beside)
        expect(Math.abs(found - root)).toBeLessThan(1e-9)
        expect(asked).toBeLessThan(44)
      },
    ),
  )
})
