import type { Fact, ReadingBody } from '@logged-thermal/core'
import type { Reader } from './figures'
import { readingNotes } from './readingNotes'

const reader: Reader = { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: '2026-03-02' }
const at = Date.UTC(2026, 2, 2, 14, 5)
const notes = (more: Partial<Fact<ReadingBody>>) => {
  const value = { typed: { value: 60, unit: 'C' }, where: 'core', of: 'mixture', instrument: null } as const
  const fact = { entry: 'a', at, madeAt: at, recordedAt: at, value, amends: [], waiting: [], void: false, ...more }
  return readingNotes(
    fact as unknown as Fact<ReadingBody>,
    { failedProbes: [] },
    { name: () => '', signedDays: [] },
    reader,
  )
}

it('tells both times of a tablet whose clock was off, and nothing of one that was right', () => {
  expect(notes({})).toEqual([])
  expect(notes({ aheadMs: -3 * 3_600_000 })).toEqual(['11:05 by the tablet’s own clock'])
})
