import fc from 'fast-check'
import { parseTemperature, unitDoubt } from './parseTemperature'
import { celsiusOf, inUnit, type Typed } from './temperature'

describe('a temperature as text', () => {
  it('needs its unit', () => {
    expect(parseTemperature('70 °C')).toEqual({ ok: true, typed: { value: 70, unit: 'C' } })
    expect(parseTemperature('158f')).toEqual({ ok: true, typed: { value: 158, unit: 'F' } })
    expect(parseTemperature('-18,5 c')).toEqual({ ok: true, typed: { value: -18.5, unit: 'C' } })
    expect(parseTemperature('70')).toEqual({ ok: false, problem: 'no unit', value: 70 })
    expect(parseTemperature('900 C')).toEqual({ ok: false, problem: 'not a temperature' })
    expect(parseTemperature('hot')).toEqual({ ok: false, problem: 'not a temperature' })
  })

  it('is asked about when only the other unit is plausible', () => {
    expect(unitDoubt({ value: 165, unit: 'C' }, null)).toBe('F')
    expect(unitDoubt({ value: 121, unit: 'C' }, null)).toBeNull()
    expect(unitDoubt({ value: 300, unit: 'C' }, null)).toBeNull()
    expect(unitDoubt({ value: 68, unit: 'F' }, { celsius: 66, agoMs: 30_000 })).toBe('C')
    expect(unitDoubt({ value: 68, unit: 'F' }, { celsius: 66, agoMs: 3_600_000 })).toBeNull()
    expect(unitDoubt({ value: 68, unit: 'F' }, { celsius: 22, agoMs: 30_000 })).toBeNull()
  })

  it('as stored is not touched by a hundred changes of the unit it is shown in', () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 2000 }), fc.constantFrom('C' as const, 'F' as const), (tenths, unit) => {
        const stored: Typed = Object.freeze({ value: tenths / 10, unit })
        const before = JSON.stringify(stored)
        const seen = Array.from({ length: 100 }, (_, i) => inUnit(celsiusOf(stored), i % 2 ? 'C' : 'F'))
        expect(JSON.stringify(stored)).toBe(before)
        expect(new Set(seen).size).toBeLessThanOrEqual(2)
      }),
    )
  })
})
