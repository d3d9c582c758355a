import fc from 'fast-check'
import { core, traces } from '../../test/traces'
import { timeInBand } from './timeInBand'

const MIN = 60_000
const minutes = (trace: Parameters<typeof timeInBand>[0], low: number, high: number) => {
  const { least, likely, most } = timeInBand(trace, low, high)
  return [least, likely, most].map((ms) => Math.round((ms / MIN) * 1000) / 1000)
}

describe('timeInBand', () => {
  it('counts whole what begins and ends in the band, both edges included', () => {
    expect(minutes([core(0, 57), core(60, 5)], 5, 57)).toEqual([60, 60, 60])
  })

  it('counts 0 at least, its part likely and all of it at most for what only touches the band', () => {
    expect(minutes([core(0, 80), core(76, 4)], 5, 57)).toEqual([0, 52, 76])
    expect(minutes([core(0, 80), core(10, 50)], 5, 57)).toEqual([0, 2.333, 10])
  })

  it('counts nothing for what stays outside, and nothing for one reading', () => {
    expect(minutes([core(0, 90), core(60, 70), core(70, 2), core(90, 3)].slice(0, 2), 5, 57)).toEqual([0, 0, 0])
    expect(minutes([core(0, 30)], 5, 57)).toEqual([0, 0, 0])
  })

  it('adds up, in order, whatever the order of readings, for any trace', () => {
    fc.assert(
      fc.property(traces, (trace) => {
        const { least, likely, most } = timeInBand(trace, 5, 57)
        expect(least).toBeLessThanOrEqual(likely + 1e-6)
        expect(likely).toBeLessThanOrEqual(most + 1e-6)
        expect(timeInBand([...trace].reverse(), 5, 57)).toEqual({ least, likely, most })
      }),
    )
  })

  it('names the argument that is wrong', () => {
    expect(() => timeInBand([], 57, 5)).toThrow(/high: 5 is under low, 57/)
    expect(() => timeInBand([], NaN, 5)).toThrow(/low: NaN/)
  })
})
