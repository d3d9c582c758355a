import fc from 'fast-check'
import { HOUR, MINUTE } from '../ground/instant'
import type { Deputy, OpenDay, Week } from '../ledger/week'
import { decidesForLead, isInside, openingsOf, whoSigns } from './signing'

const ZONE = 'Europe/Lisbon'
/** A Monday at midnight there. */
const MONDAY = Date.UTC(2026, 10, 23)
const hour = (hours: number) => MONDAY + hours * HOUR
const [LEAD, CHEF, COOK, AUDITOR, GONE] = ['lead', 'chef', 'cook', 'auditor', 'gone']
const PEOPLE = [
  { id: LEAD, role: 'lead' as const },
  { id: CHEF, role: 'chef' as const },
  { id: COOK, role: 'cook' as const },
  { id: AUDITOR, role: 'inspector' as const },
  { id: GONE, role: null },
]
const day = (opens: string, closes: string, ...signs: [string, string, string][]): OpenDay => ({
  opens,
  closes,
  signs: signs.map(([person, from, until]) => ({ person, from, until })),
})
const every = (open: OpenDay): Week => Array.from({ length: 7 }, () => open)
const monday = (open: OpenDay | null): Week => [open, null, null, null, null, null, null]
const signed = (week: Week | null, deputies: Deputy[] = [], span = { from: hour(0), until: hour(24) }) =>
  whoSigns({ week, deputies }, PEOPLE, span, ZONE).map(({ from, until, who }) => [
    (from - MONDAY) / HOUR,
    (until - MONDAY) / HOUR,
    who.join(),
  ])
const named = (to: string | null, from: number, until: number): Deputy => ({ to, from: hour(from), until: hour(until) })

describe('who signs in the hours of a day', () => {
  it('is a lead in their hours, a deputy in theirs, and nobody in between', () => {
    const week = monday(day('06:00', '21:30', [LEAD, '06:00', '15:00'], [CHEF, '17:30', '21:30']))
    expect(signed(week)).toEqual([
      [6, 15, LEAD],
      [15, 17.5, ''],
      [17.5, 21.5, CHEF],
    ])
    expect(signed(week, [named(COOK, 14, 17.5)])).toEqual([
      [6, 14, LEAD],
      [14, 15, `${LEAD},${COOK}`],
      [15, 17.5, COOK],
      [17.5, 21.5, CHEF],
    ])
  })

  it('is nobody where the lead named nobody, but a lead who is there', () => {
    const week = monday(day('06:00', '12:00', [LEAD, '06:00', '08:00'], [CHEF, '08:00', '12:00']))
    expect(signed(week, [named(null, 7, 10)])).toEqual([
      [6, 8, LEAD],
      [8, 10, ''],
      [10, 12, CHEF],
    ])
  })

  it('is nobody who left, and nobody who only reads', () => {
    const week = monday(day('06:00', '12:00', [GONE, '06:00', '09:00'], [AUDITOR, '09:00', '12:00']))
    expect(signed(week, [named(GONE, 6, 12)])).toEqual([[6, 12, '']])
  })

  it('goes on past midnight where the kitchen does', () => {
    const week = monday(day('22:00', '06:00', [CHEF, '22:00', '02:00'], [COOK, '02:00', '06:00']))
    expect(signed(week, [], { from: hour(0), until: hour(48) })).toEqual([
      [22, 26, CHEF],
      [26, 30, COOK],
    ])
    expect(decidesForLead({ week, deputies: [] }, COOK, hour(27), ZONE)).toBe(true)
    expect(decidesForLead({ week, deputies: [] }, CHEF, hour(27), ZONE)).toBe(false)
  })

  it('says nothing of a closed day, and nothing where nobody said when it is open', () => {
    expect(signed(monday(null))).toEqual([])
    expect(signed(null, [named(CHEF, 0, 24)])).toEqual([])
    expect(decidesForLead({ week: null, deputies: [named(CHEF, 0, 24)] }, CHEF, hour(3), ZONE)).toBe(true)
  })

  it('keeps to the clock on the wall the night the clocks go back', () => {
    // Lisbon, 25 October 2026: 02:00 comes twice.
    const [opening] = openingsOf(
      every(day('00:00', '06:00')),
      { from: Date.UTC(2026, 9, 25), until: Date.UTC(2026, 9, 25, 3) },
      ZONE,
    ).slice(-1)
    expect((opening!.until - opening!.from) / HOUR).toBe(7)
  })
})

const time = fc.integer({ min: 0, max: 95 }).map((quarter) => {
  const two = (value: number) => String(value).padStart(2, '0')
  return `${two(Math.floor(quarter / 4))}:${two((quarter % 4) * 15)}`
})
const anyDay = fc
  .record({
    opens: time,
    closes: time,
    signs: fc.array(fc.record({ person: fc.constantFrom(LEAD, CHEF, COOK, GONE), from: time, until: time })),
  })
  .map((open) => ({ ...open, signs: open.signs.filter((turn) => isInside(open, turn)) }))
/** As it is admitted: no day opens before the one before it has closed. */
function apart(week: Week): boolean {
  return week.every((open, i) => {
    const next = week[(i + 1) % 7]
    return !open || !next || open.closes > open.opens || next.opens >= open.closes
  })
}
const anyHouse = fc.record({
  week: fc.array(fc.option(anyDay), { minLength: 7, maxLength: 7 }).filter(apart),
  deputies: fc.array(
    fc
      .record({
        to: fc.option(fc.constantFrom(LEAD, CHEF, COOK, GONE)),
        from: fc.nat(60),
        long: fc.integer({ min: 1, max: 30 }),
      })
      .map(({ to, from, long }) => named(to, from, from + long)),
    { maxLength: 4 },
  ),
})

it('covers every open minute once, names whoever has the power then, and leaves nobody out', () => {
  fc.assert(
    fc.property(anyHouse, fc.nat(48 * 60), (house, minute) => {
      const at = hour(0) + minute * MINUTE
      const spans = whoSigns(house, PEOPLE, { from: hour(0), until: hour(72) }, ZONE)
      const openings = openingsOf(house.week, { from: at, until: at + 1 }, ZONE)
      const here = spans.filter(({ from, until }) => from <= at && at < until)
      expect(here).toHaveLength(openings.length)
      expect(openings.length).toBeLessThanOrEqual(1)
      for (const { who } of here) {
        for (const id of who) expect(id === LEAD || decidesForLead(house, id, at, ZONE)).toBe(true)
        expect(who).not.toContain(GONE)
      }
      const may = [CHEF, COOK].filter((id) => decidesForLead(house, id, at, ZONE))
      if (openings.length > 0)
        expect(new Set(here.flatMap(({ who }) => who))).toEqual(
          new Set([...may, ...here.flatMap(({ who }) => who).filter((id) => id === LEAD)]),
        )
    }),
  )
})
