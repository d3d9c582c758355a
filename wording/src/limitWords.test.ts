import { isJudged, ruleSets, type Rule } from '@logged-thermal/core'
import { forceWord, lineName, ruleWords, sourceOf } from './limitWords'

const readers = (['C', 'F'] as const).map((unit) => ({
  scale: unit,
  zone: 'UTC',
  locale: 'en-GB' as const,
  hours: 24 as const,
  today: null,
}))
const printed = Object.values(ruleSets).flatMap((set) =>
  set.limits.map((limit) => [set.key, limit.key, limit] as const),
)

it.each(printed)('%s: %s is said in words in both units, with its line and its source', (_set, key, limit) => {
  for (const reader of readers) {
    for (const unit of ['C', 'F'] as const) {
      const said = ruleWords(limit.rule, unit, reader)
      expect(said.length).toBeGreaterThan(5)
      expect(said).not.toMatch(/undefined|NaN|null|\bsafe\b/i)
    }
  }
  expect(lineName(key, { locale: 'en-GB' })).toMatch(/^[A-Z]/)
  expect(sourceOf(limit)).toMatch(/, |\d|[a-z]/)
  expect(['law', 'guidance', 'house', 'quality']).toContain(forceWord(limit.force, { locale: 'en-GB' }))
})

describe('what a limit asks', () => {
  const said = (rule: Rule, unit: 'C' | 'F' = 'C') => ruleWords(rule, unit, readers[0]!)
  const degrees = (c: number) => ({ c, f: Math.round(c * 1.8 + 32) })

  it('says a grace as one period or as a sum, and which side is right', () => {
    const stay = { kind: 'stay' as const, side: 'under' as const, level: degrees(8) }
    expect(said({ ...stay, grace: null })).toBe('Stay at 8° or under')
    expect(said({ ...stay, grace: { minutes: 240, count: 'once' } })).toBe(
      'Stay at 8° or under; one period of up to 4 h off it',
    )
    expect(said({ ...stay, side: 'over', level: degrees(63), grace: { minutes: 120, count: 'total' } })).toBe(
      'Stay at 63° or over; 2 h off it in all',
    )
  })

  it('says when its clock begins: at a level, at its start, where another ended', () => {
    const reach = { kind: 'reach' as const, to: degrees(5), direction: 'falling' as const, withinMinutes: 240 }
    expect(said({ ...reach, clock: { crossing: degrees(21) } })).toBe('5° within 4 h of 21°')
    expect(said({ ...reach, clock: 'event' })).toBe('5° within 4 h of its start')
    expect(said({ ...reach, clock: { after: 'cool-first' } })).toBe('5° within a further 4 h')
    expect(
      said({ ...reach, to: degrees(63), direction: 'rising', clock: { crossing: degrees(10) }, withinMinutes: 60 }),
    ).toBe('63° within 60 min of 10°')
  })

  it('says bands, bounds of pH, and how far an instrument may be out in the reader’s own unit', () => {
    const bands = [
      { fromMinutes: 0, then: 'use or chill' as const },
      { fromMinutes: 120, then: 'use now' as const },
      { fromMinutes: 240, then: 'discard' as const },
    ]
    expect(said({ kind: 'exposure', low: degrees(5), high: degrees(60), bands })).toBe(
      'use now after 2 h, discard after 4 h between 5° and 60° in all',
    )
    const acid = { ph: { most: 4.6, inclusive: false }, waterActivity: { most: 0.92, inclusive: true } }
    expect(said({ kind: 'acidity', rows: [acid] })).toBe('pH under 4.6 with water activity up to 0.92')
    const tolerance: Rule = { kind: 'tolerance', within: { c: 1, f: 1.8 } }
    expect(readers.map((reader) => ruleWords(tolerance, 'C', reader))).toEqual([
      'Right to 1 °C either way',
      'Right to 1.8 °F either way',
    ])
    expect(isJudged(tolerance)).toBe(false)
  })
})
