import { isFiltered, periodOf, queryOf, askedIn } from './asked'
import { clockMarks } from './clockMarks'
import { frameOf, yOf, type BatchState, type Witness } from '@logged-thermal/core'
import { traceValues } from './traceValues'
import type { Reader } from '@logged-thermal/wording'

const reader: Reader = { scale: 'C', zone: 'Europe/Paris', locale: 'en-GB', hours: 24, today: '2027-03-28' }
const asked = (query: string) => askedIn(new URLSearchParams(query), '2027-03-28')

describe('what the Log is asked for, as its address says', () => {
  it('is today without more, and anything that is nonsense is nothing', () => {
    const plain = asked('')
    expect([plain.day, plain.days, isFiltered(plain)]).toEqual(['2027-03-28', '1', false])
    expect(asked('day=soon&days=3&standing=safe&person=mina&lot=')).toEqual(plain)
  })

  it('asks for a day as long as the clock made it, and for days before it', () => {
    const HOUR = 3_600_000
    const { from, to } = periodOf(asked('day=2027-03-28'), 'Europe/Paris')
    expect(to + 1 - from).toBe(23 * HOUR)
    const week = periodOf(asked('day=2027-03-28&days=7'), 'Europe/Paris')
    expect(week.to).toBe(to)
    expect(to + 1 - week.from).toBe((7 * 24 - 1) * HOUR)
  })

  it('hands on what has to fit, or leaves it out', () => {
    const one = asked('words=quince curd&standing=missed')
    expect(isFiltered(one)).toBe(true)
    expect(queryOf(one, 'UTC')).toContain('words=quince+curd&standing=missed')
    expect(queryOf(one, 'UTC', false)).toMatch(/^from=\d+&to=\d+$/)
  })
})

it('marks a clock by hours of the kitchen, and a month by days', () => {
  const { from, to } = periodOf(asked('day=2027-03-27'), 'Europe/Paris')
  expect(clockMarks(from, to, { ...reader, today: '2027-03-27' }).map(({ words }) => words)).toEqual([
    '00:00',
    '03:00',
    '06:00',
    '09:00',
    '12:00',
    '15:00',
    '18:00',
    '21:00',
  ])
  const month = periodOf(asked('day=2027-03-27&days=31'), 'Europe/Paris')
  expect(clockMarks(month.from, month.to, reader)[0]!.words).toMatch(/^\d+ (Feb|Mar)$/)
})

describe('the trace of a batch', () => {
  const at = (minutes: number) => minutes * 60_000
  const trace = (
    [
      [10, 60],
      [20, 82],
      [60, 40],
      [240, 4],
    ] as const
  ).map(([minutes, celsius], i) => ({
    entry: `${i}`,
    at: at(minutes),
    celsius,
    where: 'core',
    doubts: [],
  })) as Witness[]
  const gates = [{ kind: 'be under' as const, at: at(400), celsius: 5 }]

  it('is framed by its gates, its heat, or all that was read of it', () => {
    const kept = [...trace, { ...trace[3]!, at: at(4000) }]
    const of = (part: 'making' | 'heat' | 'all') => frameOf(part, kept, gates, [70, 5, 0], 0, at(30))
    expect(of('making').to).toBeGreaterThan(at(400))
    expect(of('making').to).toBeLessThan(at(600))
    expect(of('heat').to).toBeLessThan(at(40))
    expect(of('all').to).toBeGreaterThan(at(4000))
  })

  it('stands hotter higher, and a value never lies on another or off the pane', () => {
    const frame = frameOf('all', trace, gates, [70, 5, 0], 0, at(30))
    expect(yOf(80, frame, 300)).toBeLessThan(yOf(20, frame, 300))
    expect(yOf(-60, frame, 300)).toBe(yOf(-7, frame, 300))
    const many = Array.from({ length: 60 }, (_, i) => ({
      ...trace[0]!,
      entry: `${i}`,
      at: at(i),
      celsius: 60 + (i % 9),
    }))
    const laid = many.map((witness, i) => ({ witness, x: i * 15, y: yOf(witness.celsius, frame, 300) }))
    const batch = { facts: { 'reading-taken': [] } } as unknown as BatchState
    const values = traceValues(batch, laid, [at(30)], [450], 900, reader)
    expect(values[0]).toMatchObject({ entry: '30', strong: true })
    // At the end of the pane it stands before its gate.
    const last = [{ witness: trace[3]!, x: 890, y: 200 }]
    expect(traceValues(batch, last, [], [890], 900, reader)[0]!.x).toBeLessThan(870)
    // A gate comes down where it was read: the value stands beside it.
    expect(values[0]!.x).toBeGreaterThan(455)
    for (const [i, a] of values.entries())
      for (const b of values.slice(i + 1)) expect(Math.abs(a.x - b.x) > 36 || Math.abs(a.y - b.y) > 20).toBe(true)
    for (const { x, y } of values) expect(x > 0 && x < 900 && y >= 20).toBe(true)
  })
})
