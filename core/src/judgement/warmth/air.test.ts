import fc from 'fast-check'
import { HOUR } from '../../ground/instant'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import { unitOf } from '../../test/shelf'
import type { Look } from '../../state/unit'
import { airSpans, countedAirs, isQuiet } from './air'
import { coldLevel } from '../../recipe/checks/unitKind'

const NIGHT = 12 * HOUR
const level = coldLevel(limitsFrom('us-food-code-2022'), '2027-03-03')!

/** Looks at random, some at the same minute, some far apart, few of them warm. */
const looks = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 0, max: 4000 }),
      celsius: fc.oneof(
        { weight: 5, arbitrary: fc.double({ min: 0, max: 5, noNaN: true }) },
        fc.integer({ min: 5, max: 12 }),
      ),
      noted: fc.constantFrom(null, null, null, 'door open' as const, 'defrost' as const),
      word: fc.constantFrom({}, {}, {}, { late: true as const }, { doubt: 'failed' as const }),
    }),
    { maxLength: 30 },
  )
  .map((all) =>
    [...all]
      .sort((a, b) => a.minutes - b.minutes)
      .map(({ minutes, celsius, noted, word }): Look => ({ at: at(minutes), celsius, noted, ...word })),
  )
const stay = fc
  .tuple(fc.integer({ min: -500, max: 5000 }), fc.integer({ min: 1, max: 2500 }))
  .map(([from, long]): [from: number, to: number] => [at(from), at(from + long)])

describe('the air between two looks', () => {
  it('is laid out without a gap, each piece within the time that is asked about', () => {
    fc.assert(
      fc.property(looks, stay, (airs, [from, to]) => {
        const spans = airSpans({ airs }, level, from, to, NIGHT)
        expect(spans[0]?.from).toBe(from)
        expect(spans.at(-1)?.to).toBe(to)
        spans.slice(1).forEach((span, i) => expect(span.from).toBe(spans[i]!.to))
        for (const { share, air } of spans) {
          expect(share).toBeGreaterThanOrEqual(0)
          expect(share).toBeLessThanOrEqual(1)
          if (air === 'within') expect(share).toBe(0)
          if (air === 'outside') expect(share).toBe(1)
        }
      }),
    )
  })

  it('is quiet where every piece is within, and never else', () => {
    fc.assert(
      fc.property(looks, stay, (airs, [from, to]) => {
        const allWithin = airSpans({ airs }, level, from, to, NIGHT).every(({ air }) => air === 'within')
        const quiet = isQuiet({ airs }, level, from, to, NIGHT)
        if (quiet) expect(allWithin).toBe(true)
        // Where nothing was noted there is no spike to be told apart: the two say the same.
        if (airs.every(({ noted }) => noted === null)) expect(quiet).toBe(allWithin)
      }),
      { numRuns: 500 },
    )
  })

  it('is not quiet under a stricter level, nor over a night longer than the house says', () => {
    const unit = unitOf([
      [0, 3],
      [300, 4],
      [600, 3],
    ])
    expect(isQuiet(unit, level, at(0), at(600), NIGHT)).toBe(true)
    expect(isQuiet(unit, { ...level, celsius: 3 }, at(0), at(600), NIGHT)).toBe(false)
    expect(isQuiet(unit, { ...level, celsius: 3 }, at(0), at(0), NIGHT)).toBe(true)
    expect(isQuiet(unit, level, at(0), at(600), 4 * HOUR)).toBe(false)
  })

  it('leaves out a noted spike that was over within the hour, and keeps one that was not', () => {
    const spike = (after: number): Look[] => [
      { at: at(0), celsius: 3, noted: null },
      { at: at(10), celsius: 9, noted: 'defrost' },
      { at: at(10 + after), celsius: 3, noted: null },
    ]
    expect(countedAirs({ airs: spike(30) }, level)).toHaveLength(2)
    expect(countedAirs({ airs: spike(90) }, level)).toHaveLength(3)
    expect(airSpans({ airs: spike(30) }, level, at(0), at(40), NIGHT).every(({ air }) => air === 'within')).toBe(true)
  })
})
