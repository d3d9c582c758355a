import fc from 'fast-check'
import { celsiusOf, comparedAs, roundAgainst, toCelsius, toFahrenheit } from './temperature'

const celsius = fc.double({ min: -90, max: 400, noNaN: true })

describe('temperatures', () => {
  it('convert there and back, exactly at the printed limits that are exact', () => {
    expect([toCelsius(41), toCelsius(32), toCelsius(212), toFahrenheit(5)]).toEqual([5, 0, 100, 41])
    fc.assert(fc.property(celsius, (c) => expect(toCelsius(toFahrenheit(c))).toBeCloseTo(c, 9)))
  })

  it('name the argument that is no temperature', () => {
    for (const wrong of [NaN, Infinity, -91, 401]) expect(() => toFahrenheit(wrong)).toThrow(RangeError)
    expect(() => toCelsius(900)).toThrow(/fahrenheit: 900/)
    expect(() => celsiusOf({ value: -91, unit: 'C' })).toThrow(/typed: -91/)
  })

  it('read the same whichever way they were typed', () => {
    expect(celsiusOf({ value: 135, unit: 'F' })).toBe(comparedAs({ c: 57, f: 135 }, 'F', 'reach'))
  })

  it('are compared as the code prints them, or as the stricter of both', () => {
    expect(comparedAs({ c: 57, f: 135 }, 'C', 'reach')).toBe(57)
    expect(comparedAs({ c: 57, f: 135 }, 'stricter', 'reach')).toBeCloseTo(57.2222, 4)
    expect(comparedAs({ c: 21, f: 70 }, 'stricter', 'under')).toBe(21)
    expect(comparedAs({ c: 68, f: 155 }, 'stricter', 'reach')).toBeCloseTo(68.3333, 4)
  })

  it('are never rounded in the favour of the kitchen', () => {
    fc.assert(
      fc.property(celsius, (c) => {
        expect(roundAgainst(c, 'reach')).toBeLessThanOrEqual(c + 1e-6)
        expect(roundAgainst(c, 'under')).toBeGreaterThanOrEqual(c - 1e-6)
        expect(roundAgainst(c, 'under') - roundAgainst(c, 'reach')).toBeLessThanOrEqual(0.1 + 1e-9)
      }),
    )
    // A tenth as typed stays that tenth, however doubles hold it.
    for (let tenths = -400; tenths <= 1200; tenths++) {
      expect(roundAgainst(tenths / 10, 'reach')).toBe(tenths / 10)
      expect(roundAgainst(toCelsius(toFahrenheit(tenths / 10)), 'under')).toBe(tenths / 10)
    }
  })
})
