import fc from 'fast-check'
import { at, core, traces } from '../../test/traces'
import { equivalentMinutes } from './equivalentMinutes'
import { logReductions } from './logReductions'

const UK = { atCelsius: 70, z: 7.5, from: 60, to: 80 }
const hold = (celsius: number, seconds: number) => [core(0, celsius), core(seconds / 60, celsius)]

describe('equivalentMinutes', () => {
  it.each([
    [71.1, 86],
    [76.7, 15.3],
    [79.4, 6.7],
  ])('needs at a steady %s °C about %s s for two minutes at 70', (celsius, seconds) => {
    const minutes = (s: number) => equivalentMinutes(hold(celsius, s), { atCelsius: 70, z: 7.5 }).likely
    expect(minutes(seconds * 0.99)).toBeLessThan(2)
    expect(minutes(seconds * 1.01)).toBeGreaterThan(2)
  })

  it('is exact along a line: the same as a thousand small steps of it', () => {
    for (const [from, to] of [
      [50, 90],
      [65, 65.0000001],
      [80, 62],
      [55, 59.9],
      [81, 95],
    ] as const) {
      const whole = equivalentMinutes([core(0, from), core(10, to)], UK).likely
      const steps = Array.from({ length: 20_001 }, (_, i) => core(i / 2000, from + ((to - from) * i) / 20_000))
      const sum = equivalentMinutes(steps, UK)
      expect(whole).toBeCloseTo(sum.likely, 6)
      expect(sum.least).toBeLessThanOrEqual(whole + 1e-9)
      expect(sum.most).toBeGreaterThanOrEqual(whole - 1e-9)
    }
  })

  it('earns nothing under its range and no more above it', () => {
    expect(equivalentMinutes(hold(59.9, 600), UK).most).toBe(0)
    expect(equivalentMinutes(hold(95, 60), UK).likely).toBeCloseTo(equivalentMinutes(hold(80, 60), UK).likely, 9)
  })

  it('holds the lower end at least and the higher at most, and gives a blind interval nothing at least', () => {
    const { least, likely, most } = equivalentMinutes([core(0, 65), core(2, 75)], UK)
    expect(least).toBeCloseTo(2 * 10 ** (-5 / 7.5), 9)
    expect(most).toBeCloseTo(2 * 10 ** (5 / 7.5), 9)
    expect(equivalentMinutes([core(0, 65), core(2, 75)], UK, 60_000)).toEqual({ least: 0, likely, most })
  })

  it('keeps least, likely and most in order and does not mind the order of readings, for any trace', () => {
    const gaps = fc.constantFrom(undefined, 0, 60_000, 1_800_000)
    fc.assert(
      fc.property(traces, gaps, (trace, gap) => {
        const { least, likely, most } = equivalentMinutes(trace, UK, gap)
        expect(least).toBeLessThanOrEqual(likely * (1 + 1e-12) + 1e-12)
        expect(likely).toBeLessThanOrEqual(most * (1 + 1e-12) + 1e-12)
        expect(equivalentMinutes([...trace].reverse(), UK, gap)).toEqual({ least, likely, most })
      }),
    )
  })

  it('names the argument that is wrong', () => {
    expect(() => equivalentMinutes([], { atCelsius: 70, z: 0 })).toThrow(/z: 0/)
    expect(() => equivalentMinutes([], { atCelsius: 70, z: 7, from: 80, to: 60 })).toThrow(/from: 80/)
    expect(() => equivalentMinutes([{ ...core(0, 1), at: NaN }], UK)).toThrow(/readings\[0\]\.at: NaN/)
    expect(() => logReductions([], { dMinutes: 0, atCelsius: 70, z: 7 })).toThrow(/dMinutes: 0/)
  })
})

describe('logReductions', () => {
  it('is one for each decimal reduction time', () => {
    const kinetics = { dMinutes: 0.5, atCelsius: 65, z: 6 }
    expect(logReductions([core(0, 65), core(3, 65)], kinetics).likely).toBeCloseTo(6, 9)
    expect(logReductions([core(0, 71), core(3, 71)], kinetics).likely).toBeCloseTo(60, 8)
    expect(logReductions([{ ...core(0, 65), at: at(0) }], kinetics)).toEqual({ least: 0, likely: 0, most: 0 })
  })
})
