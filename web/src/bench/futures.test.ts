import { NO_MEANS } from '@logged-thermal/core'
import { at, cooling, judged } from '../test/judgedBatch'
import { futuresOf } from './futures'

describe('what lies ahead on a trace', () => {
  const means = NO_MEANS
  const of = (one: ReturnType<typeof judged>, now: number) =>
    futuresOf(one.batch, one.forecast, one.asks, means, at(now))

  it('goes on from the last reading, past the last gate, and says that it misses and what saves it until when', () => {
    const { fan, misses, rescued, rescueBy } = of(cooling(), 81)!
    expect(fan[0]!.at).toBe(at(80))
    expect(fan.at(-1)!.at).toBeGreaterThan(at(380))
    expect(misses).toBe(true)
    expect(rescueBy).toBeGreaterThan(at(81))
    // Done now, it is colder at every later instant than left as it is.
    const later = rescued.filter(({ at: when }) => when > at(100))
    expect(later.length).toBeGreaterThan(3)
    for (const { at: when, celsius } of later) {
      const left = fan.findLast((point) => point.at <= when)!
      expect(celsius).toBeLessThan(left.celsius)
    }
  })

  it('is the very same while neither a reading nor the minute is new', () => {
    const one = cooling()
    expect(of(one, 81.2)).toBe(of(one, 81.8))
    expect(of(one, 82.1)).not.toBe(of(one, 81.8))
  })

  it('is nothing where nothing can be forecast', () => {
    expect(of({ ...judged([[10, 80]], 11), forecast: null }, 11)).toBeNull()
  })
})
