import fc from 'fast-check'
import { gradientStops } from './heatBand'
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

describe('the colours along a band', () => {
  it('need no more stops than where they bend', () => {
    const lens = nowLens(690, 0)
    const bend = fc.record({ at: fc.integer({ min: -1e7, max: 1e7 }), celsius: fc.integer({ min: -25, max: 95 }) })
    const bends = fc.uniqueArray(bend, { minLength: 2, maxLength: 8, selector: ({ at }) => at })
    fc.assert(
      fc.property(bends, fc.double({ min: 0, max: 1, noNaN: true }), (unordered, share) => {
        const stops = gradientStops(
          unordered.sort((a, b) => a.at - b.at),
          lens,
        )
        const x = stops[0]!.x + share * (stops.at(-1)!.x - stops[0]!.x)
        const after = Math.max(
          1,
          stops.findIndex((stop) => stop.x >= x),
        )
        const [left, right] = [stops[after - 1]!, stops[after]!]
        const along = right.x > left.x ? (x - left.x) / (right.x - left.x) : 1
        const channels = (celsius: number) => [1, 3, 5].map((i) => parseInt(colourOf(celsius).slice(i, i + 2), 16))
        const drawn = channels(left.celsius).map((from, i) => from + along * (channels(right.celsius)[i]! - from))
        const there = channels(left.celsius + along * (right.celsius - left.celsius))
        drawn.forEach((channel, i) => expect(Math.abs(channel - there[i]!)).toBeLessThan(1.6))
      }),
    )
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
