import type { AnyClaim } from '@logged-thermal/core'
import { eventWords, type Names } from './eventWords'
import type { Reader } from './figures'

const reader: Reader = { scale: 'F', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }
const names: Names = {
  of: (id) => (id === 'gone' ? null : `Quince curd ${id}`),
  person: (id) => `Person ${id}`,
  instrument: () => ({ code: 'P4', kind: 'probe' }),
}
const words = (kind: string, body: object, about = '330-1') =>
  eventWords(
    { claim: { kind, body, about: { type: 'batch', id: about }, by: 'a' } as unknown as AnyClaim },
    names,
    reader,
  )

it.each([
  ['lot-received', { name: 'Milk', code: 'M-118' }, 'Milk M-118 in'],
  ['recalled', { drill: true }, 'Recall of Quince curd 330-1 practised'],
  ['recalled', { drill: false }, 'Quince curd 330-1 called back'],
  ['instrument-checked', { found: { passed: false, error: 1 } }, 'P4 failed its check: +1.8°'],
  ['handed-over', { asked: null }, 'Person a hands over: nobody is here'],
  ['handed-over', { asked: 'b' }, 'Person a hands over to Person b'],
  ['disposed', { decision: 'hold' }, 'Quince curd 330-1 put on hold'],
  ['item-dispatched', { name: 'the Lantern rooms' }, 'Quince curd 330-1 out to the Lantern rooms'],
  ['entries-refused', { entries: [{ id: '330-2' }] }, 'Late entries not let count, Quince curd 330-2'],
  ['entries-accepted', { entries: [{ id: 'gone' }, { id: '330-2' }] }, 'Late entries let count, Quince curd 330-2'],
  ['list-done', { faults: [{}] }, 'A list gone through by Person a, one thing not right'],
  ['plan-signed', { version: 2 }, 'Written plan of Quince curd 330-1: version 2 signed'],
  ['trace-ended', { found: ['a', 'b'], missing: [] }, 'A trace was tried: 2 things found'],
  ['log-transcribed', { rows: [{}, {}], source: 'old.csv' }, '2 coolings of an old log brought in: old.csv'],
  ['delegated', { to: null }, 'Nobody stands in for the lead'],
])('says of %s what happened', (kind, body, said) => {
  expect(words(kind, body)).toBe(said)
})

it('says something of what is unknown by now, and nothing of a reading', () => {
  expect(words('item-discarded', {}, 'gone')).toBe('something binned')
  expect(words('reading-taken', { typed: { value: 60, unit: 'C' } })).toBeNull()
})
