import fc from 'fast-check'
import { aroundNext, type Around, decades, degreesOf, inView, numberOf, withTenth } from './degreeEntry'

describe('the degree board', () => {
  it('has a key for every degree and tenth of its range, each once', () => {
    for (const unit of ['C', 'F'] as const) {
      const values = decades(unit).flatMap((decade) =>
        degreesOf(decade).flatMap((degree) => Array.from({ length: 10 }, (_, tenth) => withTenth(degree, tenth))),
      )
      // 0.0 and -0.0 are two keys for one temperature.
      expect(new Set(values.map((value) => value + 0)).size).toBe(values.length - 1)
      expect(values.every((value) => Number(value.toFixed(1)) === value)).toBe(true)
    }
  })

  it('keeps the last reading in view, hottest row on top', () => {
    expect(inView('C', 33.1, 3)).toEqual([40, 30, 20])
    expect(inView('F', 212, 3)).toEqual([220, 210, 200])
    expect(inView('C', -29, 3)).toEqual([-10, -20, -30])
    fc.assert(
      fc.property(fc.integer({ min: -300, max: 1299 }), (tenths) => {
        expect(inView('C', tenths / 10, 3)).toContain(Math.floor(tenths / 100) * 10)
      }),
    )
  })

  it('reads both decimal signs and nothing that is no number', () => {
    expect([numberOf('71.4'), numberOf('4,6'), numberOf('-3')]).toEqual([71.4, 4.6, -3])
    expect([numberOf('abc'), numberOf('7.'), numberOf('1-2'), numberOf('')]).toEqual([null, null, null, null])
  })
})

describe('the rows in view', () => {
  const asked = { scale: 'C' as const, rows: 3, half: false }
  const start: Around = { scale: 'C', value: 72, last: 72 }

  it('stay while the last value is on one of them, and go to it where it is on none', () => {
    const stayed = aroundNext(start, { ...asked, last: 66 })
    expect(inView('C', stayed.value, 3)).toEqual(inView('C', 72, 3))
    expect(inView('C', aroundNext(stayed, { ...asked, last: 21 }).value, 3)).toContain(20)
  })

  it('stay where they were asked to be, until another value is read', () => {
    const wanted: Around = { scale: 'C', value: 20, last: 72 }
    expect(aroundNext(wanted, { ...asked, last: 72 })).toBe(wanted)
    expect(aroundNext(wanted, { ...asked, last: 24 }).value).toBe(20)
  })

  it('never move while a tenth is still to be tapped, and follow the unit', () => {
    expect(aroundNext(start, { ...asked, last: 4, half: true })).toBe(start)
    expect(aroundNext(start, { ...asked, scale: 'F', last: 161 })).toEqual({ scale: 'F', value: 161, last: 161 })
  })
})
