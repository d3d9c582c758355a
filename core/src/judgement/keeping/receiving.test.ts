import fc from 'fast-check'
import type { LimitSet } from '../../rules/limit'
import { limitsFrom } from '../../test/story'
import type { ReceivingVerdict } from '../../ledger/storeEntries'
import { isAllowed, receivingOf } from './receiving'
import { coldLevel } from '../../recipe/checks/unitKind'

const DAY = '2027-03-03'

describe('what comes in', () => {
  const milk = {
    ingredient: 'milk',
    form: null,
    received: { typed: { value: 4, unit: 'C' as const }, instrument: 'P2' },
    useBy: '2027-03-20',
    scheme: null,
    treatment: null,
    condition: null,
  }
  const eggs = {
    ...milk,
    ingredient: 'egg',
    form: 'shell' as const,
    received: { typed: { value: 6.5, unit: 'C' as const }, instrument: 'P2' },
  }
  const of = (lot: Parameters<typeof receivingOf>[0], ruleSet = 'us-food-code-2022', susceptible = false) => {
    const { verdict, reasons } = receivingOf(lot, limitsFrom(ruleSet), DAY, susceptible)
    return [verdict, ...reasons.map(({ code }) => code)]
  }

  it('is taken, held or refused by the rule set, and the doubt holds it', () => {
    expect(of(milk)).toEqual(['accept'])
    const read = (value: number, unit: 'C' | 'F') => ({ typed: { value, unit }, instrument: 'P2' })
    expect(of({ ...milk, ingredient: 'butter', received: read(42, 'F') })).toEqual(['refuse', 'too warm'])
    // Milk may come warmer where a law of its own says so: that is for the lead to know, and no warmer than that.
    expect(of({ ...milk, received: read(6.8, 'C') })).toEqual(['hold', 'milk by its law'])
    expect(of({ ...milk, received: read(7.2, 'C') })).toEqual(['refuse', 'too warm'])
    expect(of({ ...milk, received: read(6.8, 'C') }, 'fr-2009')).toEqual(['refuse', 'too warm'])
    expect(of({ ...milk, received: null })).toEqual(['hold', 'not read'])
    expect(of({ ...milk, useBy: '2027-03-02' })).toEqual(['refuse', 'past its day'])
    expect(of({ ...milk, useBy: '2027-03-02', dateKind: 'best-before' })).toEqual(['accept', 'past its best'])
    expect(of({ ...milk, useBy: null })).toEqual(['hold', 'no use-by'])
    expect(of(eggs)).toEqual(['accept'])
    expect(of(eggs, 'uk-2013', true)).toEqual(['hold', 'no scheme'])
    expect(of({ ...milk, ingredient: 'sugar', received: null, useBy: null })).toEqual(['accept'])
    expect(of({ ...milk, ingredient: 'berry-puree' })).toEqual(['hold', 'fruit not treated', 'not looked at'])
    expect(of({ ...milk, ingredient: 'walnut', condition: { good: false, why: 'rancid' } })).toEqual([
      'refuse',
      'looks bad',
    ])
  })

  it('is held against what its rule set prints for the door, not against a stricter line of the house for holding', () => {
    const us = limitsFrom('us-food-code-2022')
    const rule = { kind: 'stay' as const, side: 'under' as const, level: { c: 4, f: 39 }, grace: null }
    const house: LimitSet = {
      ...us,
      lines: us.lines.map((line) => (line.key === 'cold-holding' ? { ...line, house: { rule, reason: 'x' } } : line)),
    }
    const lot = {
      ...milk,
      ingredient: 'butter',
      received: { typed: { value: 4.6, unit: 'C' as const }, instrument: 'P2' },
    }
    expect(coldLevel(house, DAY)!.celsius).toBe(4)
    expect(receivingOf(lot, house, DAY, false)).toMatchObject({
      verdict: 'accept',
      level: { celsius: 5, limit: { source: { section: '3-202.11' } } },
    })
  })

  const STRICT: ReceivingVerdict[] = ['accept', 'hold', 'refuse']
  const lots = fc.record({
    ingredient: fc.constantFrom('milk', 'egg', 'berry-puree', 'walnut', 'sugar', null),
    form: fc.constantFrom(null, 'shell' as const, 'pasteurized' as const),
    received: fc.option(
      fc.record({
        typed: fc.record({ value: fc.double({ min: -20, max: 30, noNaN: true }), unit: fc.constant('C' as const) }),
        instrument: fc.constantFrom('P2', null),
      }),
    ),
    useBy: fc.constantFrom(null, '2027-03-02', '2027-03-03', '2027-04-01'),
    scheme: fc.constantFrom(null, 'Hen Ledger'),
    treatment: fc.constantFrom(null, 'boiled'),
    condition: fc.option(fc.record({ good: fc.boolean(), why: fc.constant(null) })),
  })
  const sets = fc.constantFrom('us-food-code-2022', 'uk-2013', 'anz-3-2-2', 'fr-2009')

  it('is never taken milder for being warmer, older or less known, and may always be taken stricter', () => {
    fc.assert(
      fc.property(
        lots,
        sets,
        fc.boolean(),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (lot, ruleSet, susceptible, more) => {
          const at = (each: typeof lot) => receivingOf(each, limitsFrom(ruleSet), DAY, susceptible)
          const found = at(lot)
          const rank = (each: typeof lot) => STRICT.indexOf(at(each).verdict)
          const warmer = lot.received && {
            ...lot.received,
            typed: { ...lot.received.typed, value: lot.received.typed.value + more },
          }
          expect(rank({ ...lot, received: warmer })).toBeGreaterThanOrEqual(rank(lot))
          expect(rank({ ...lot, useBy: '2027-03-02' })).toBe(2)
          expect(rank({ ...lot, treatment: null })).toBeGreaterThanOrEqual(rank({ ...lot, treatment: 'boiled' }))
          expect(rank({ ...lot, scheme: null })).toBeGreaterThanOrEqual(rank({ ...lot, scheme: 'Hen Ledger' }))
          STRICT.forEach((given, i) => expect(isAllowed(given, found)).toBe(i >= STRICT.indexOf(found.verdict)))
          expect(found.reasons.length > 0).toBe(found.verdict !== 'accept')
        },
      ),
    )
  })
})
