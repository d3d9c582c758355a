import fc from 'fast-check'
import { nowLens } from './lens'
import { colourOf, thicknessOf } from './temperatureScale'

const celsius = fc.double({ min: -40, max: 120, noNaN: true })

describe('heat', () => {
  it('is never thinner when hotter', () => {
    fc.assert(
      fc.property(celsius, celsius, (a, b) => {
        const [cold, hot] = [Math.min(a, b), Math.max(a, b)]
        expect(thicknessOf(cold)).toBeLessThanOrEqual(thicknessOf(hot) + 1e-12)
      }),
    )
    expect([-20, 5, 57, 90].map(thicknessOf)).toEqual([0.05, 0.16, 0.76, 1])
  })

  it('has the colours of the scale at its stops', () => {
    expect([90, 21, -20, 200].map(colourOf)).toEqual(['#cc4616', '#f4edd4', '#3c7db8', '#cc4616'])
  })
})

describe('the now-lens', () => {
  it('puts now where it stands, fits a week, and never turns back', () => {
    const lens = nowLens(690, 0)
    expect(lens.x(0)).toBeCloseTo(690 * 0.38)
    expect(lens.x(7 * 86_400_000)).toBeCloseTo(690 - 18)
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), fc.integer({ min: 1, max: 1e8 }), (at, later) => {
        expect(lens.x(at + later)).toBeGreaterThan(lens.x(at))
      }),
    )
  })
})
