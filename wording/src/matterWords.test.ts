import type { Cause, Matter } from '@logged-thermal/core'
import type { Names } from './eventWords'
import type { Reader } from './figures'
import { matterWords } from './matterWords'

const reader: Reader = { scale: 'F', zone: 'UTC', locale: 'en-GB', hours: 24, today: '2027-03-03' }
const names: Names = { of: () => null, person: () => '', instrument: () => ({ code: 'P4', kind: 'probe' }) }
const NINE = Date.UTC(2027, 2, 3, 9)
const HOUR = 3_600_000
const words = (cause: unknown, more: Partial<Matter> = {}) => {
  const matter = {
    id: 'a',
    of: 'batch',
    since: NINE,
    batches: [],
    items: [],
    before: [],
    settled: false,
    cause: cause as Cause,
    ...more,
  }
  const { title, says } = matterWords(matter as Matter, names, NINE + 2 * HOUR, reader)
  return `${title}. ${says.join(' ')}`
}
const batch = { name: 'Quince curd', code: '62-1', waiting: 2 }

it.each([
  [
    { of: 'batch', batch, stand: { standing: 'unproven', says: null } },
    'Quince curd 62-1 is not proven. 2 entries came too late and wait.',
  ],
  [{ of: 'eggs', batch }, 'Eggs left over from Quince curd 62-1.'],
  [
    { of: 'item', item: { card: { name: 'Fool', code: '62-1a' }, standing: { asks: 'discard', until: NINE + HOUR } } },
    'Fool 62-1a: bin it now. It ended 10:00.',
  ],
  [
    {
      of: 'unit',
      unit: { name: 'Walk-in' },
      excursion: { since: { latest: NINE }, until: NINE + HOUR, worst: { celsius: 8.4, at: NINE } },
    },
    'Walk-in was warm for 60 min. 47.2° at 09:00, the warmest that was read.',
  ],
  [{ of: 'instrument', instrument: { id: 'p', code: 'P4' }, check: { error: 1 } }, 'P4 failed its check: +1.8°.'],
  [{ of: 'round', left: ['a'] }, 'The round of 09:00 was missed. One unit was not read.'],
  [{ of: 'list', names: ['Opening', 'Weekly'] }, 'Not gone through by 09:00: Opening, Weekly.'],
  [
    {
      of: 'fault',
      list: 'Closing',
      faults: [
        { text: 'Traps', note: 'a mouse' },
        { text: 'Seals', note: 'torn' },
      ],
      by: 'x',
    },
    'Closing: a mouse and one more. Traps: a mouse. Seals: torn. Found 09:00',
  ],
  [
    { of: 'incident', incident: { what: 'water in the food', note: 'a crack' } },
    'Bath water or ice in the food: a crack. Told 09:00.',
  ],
])('says what is open: %#', (cause, said) => {
  expect(words(cause)).toContain(said)
})

it('says what follows, how often it came before, and that it is only to be closed', () => {
  const cause = { of: 'round', left: [] }
  const more = { items: [{}], before: [{}, {}], settled: true } as unknown as Partial<Matter>
  expect(words(cause, more)).toMatch(/One thing waits with it\. 2 times before in a month\. All of it is settled/)
})
