import fc from 'fast-check'
import { at, core, traces } from '../../test/traces'
import { crossing } from './crossing'
import { longestAtOrAbove } from './longestAtOrAbove'

const MIN = 60_000
const levels = fc.integer({ min: -100, max: 900 }).map((tenths) => tenths / 10)
const gaps = fc.option(
  fc.integer({ min: 0, max: 60 }).map((minutes) => minutes * MIN),
  { nil: undefined },
)

describe('crossing', () => {
  it('lies between the first reading beyond and the one before it', () => {
    const trace = [core(0, 60), core(10, 50), core(20, 40)]
    expect(crossing(trace, 57, 'falling')).toEqual({ earliest: at(0), likely: at(3), latest: at(10) })
    expect(crossing(trace, 55, 'rising')).toEqual({ earliest: null, likely: null, latest: at(0) })
  })

  it('is exact when a reading is at the level', () => {
    expect(crossing([core(0, 60), core(7, 57)], 57, 'falling')).toEqual({
      earliest: at(7),
      likely: at(7),
      latest: at(7),
    })
  })

  it('is open at the early end when nothing was read before, and null when nothing is beyond', () => {
    expect(crossing([core(5, 40)], 57, 'falling')).toEqual({ earliest: null, likely: null, latest: at(5) })
    expect(crossing([core(5, 60)], 57, 'falling')).toBeNull()
    expect(crossing([], 57, 'falling')).toBeNull()
  })

  it('takes an earlier reading as neighbour only', () => {
    expect(crossing([core(0, 82), core(30, 50)], 57, 'falling', at(10))).toMatchObject({
      earliest: at(0),
      latest: at(30),
    })
  })

  it('takes the warmer of two readings at one instant when falling, the colder when rising', () => {
    const twice = [core(0, 60), core(5, 56), core(5, 58), core(9, 50)]
    expect(crossing(twice, 57, 'falling')).toMatchObject({ earliest: at(5), latest: at(9) })
    expect(crossing([core(0, 40), core(5, 56), core(5, 58)], 57, 'rising')).toBeNull()
  })

  it('is ordered for any trace, and the order in which readings came does not matter', () => {
    fc.assert(
      fc.property(traces, levels, fc.constantFrom('falling' as const, 'rising' as const), (trace, level, direction) => {
        const found = crossing(trace, level, direction)
        expect(crossing([...trace].reverse(), level, direction)).toEqual(found)
        if (found?.earliest != null) {
          expect(found.earliest).toBeLessThanOrEqual(found.likely!)
          expect(found.likely!).toBeLessThanOrEqual(found.latest!)
        }
      }),
    )
  })
})

describe('longestAtOrAbove', () => {
  it('counts whole, in part or not at all by the ends of each interval', () => {
    const { least, likely, most } = longestAtOrAbove([core(0, 60), core(10, 80), core(20, 80), core(30, 60)], 70)
    expect([least, likely, most].map((ms) => ms / MIN)).toEqual([10, 20, 30])
  })

  it('gives one reading above no time at all', () => {
    expect(longestAtOrAbove([core(0, 80)], 70)).toEqual({ least: 0, likely: 0, most: 0 })
  })

  it('lets a blind interval prove nothing, break a proven run, and count whole at most', () => {
    const trace = [core(0, 80), core(5, 80), core(35, 80), core(38, 80)]
    const { least, likely, most } = longestAtOrAbove(trace, 70, 10 * MIN)
    expect([least, likely, most].map((ms) => ms / MIN)).toEqual([5, 38, 38])
    expect(longestAtOrAbove([core(0, 50), core(30, 50)], 70, 10 * MIN)).toEqual({ least: 0, likely: 0, most: 30 * MIN })
  })

  it('never joins two runs through a reading under the level', () => {
    expect(longestAtOrAbove([core(0, 80), core(10, 60), core(14, 80)], 70).most).toBe(10 * MIN)
  })

  it('keeps least, likely and most in order, and within the trace, for any trace', () => {
    fc.assert(
      fc.property(traces, levels, gaps, (trace, level, gap) => {
        const { least, likely, most } = longestAtOrAbove(trace, level, gap)
        expect(least).toBeGreaterThanOrEqual(0)
        expect(least).toBeLessThanOrEqual(likely)
        expect(likely).toBeLessThanOrEqual(most)
        const times = trace.map((reading) => reading.at)
        if (times.length) expect(most).toBeLessThanOrEqual(Math.max(...times) - Math.min(...times))
        expect(longestAtOrAbove([...trace].reverse(), level, gap)).toEqual({ least, likely, most })
      }),
    )
  })

  it('names the argument that is wrong', () => {
    expect(() => longestAtOrAbove([core(0, NaN)], 70)).toThrow(/readings\[0\]\.celsius: NaN/)
    expect(() => longestAtOrAbove([], 900)).toThrow(/level: 900/)
    expect(() => longestAtOrAbove([], 70, -1)).toThrow(/maxGapMs: -1/)
  })
})
