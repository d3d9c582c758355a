import fc from 'fast-check'
import { HOUR, MINUTE } from '../../ground/instant'
import { timeOn } from '../../ground/timeOfDay'
import type { Cause, Matter } from '../matters/matter'
import { isQuiet, isUrgent, nameOf, noticesDue, type NoticeWish } from './noticesDue'

const DAY = '2027-03-09'
const at = (time: string, zone = 'UTC') => timeOn(DAY, time, zone)
const WISH: NoticeWish = { urgent: true, digest: true, quiet: null }
const matter = (id: string, cause: object, since = at('12:00')): Matter =>
  ({ id, since, cause: cause as Cause, settled: false, of: 'incident', batches: [], items: [], before: [] }) as never
const glass = matter('glass', { of: 'incident' })
const due = (now: number, more: Partial<Parameters<typeof noticesDue>[0]> = {}) =>
  noticesDue(
    { wish: WISH, matters: [], sent: new Set(), closing: '22:00', since: at('08:00'), zone: 'UTC', ...more },
    now,
  ).map(nameOf)

it('tells at once of what is urgent, and of nothing else', () => {
  expect(isUrgent(glass)).toBe(true)
  expect(isUrgent({ ...glass, settled: true })).toBe(true)
  expect(isUrgent(matter('m', { of: 'unit', excursion: { until: null } }))).toBe(true)
  expect(isUrgent(matter('m', { of: 'unit', excursion: { until: 1 } }))).toBe(false)
  expect(isUrgent(matter('m', { of: 'batch', stand: { standing: 'missed' } }))).toBe(true)
  expect(isUrgent({ ...matter('m', { of: 'batch', stand: { standing: 'missed' } }), settled: true })).toBe(false)
  expect(isUrgent(matter('m', { of: 'batch', stand: { standing: 'unproven' } }))).toBe(false)
  expect(isUrgent(matter('m', { of: 'item', item: { standing: { asks: 'discard' } } }))).toBe(true)
  expect(isUrgent(matter('m', { of: 'item', item: { standing: { asks: 'held' } } }))).toBe(false)
  expect(isUrgent(matter('m', { of: 'round', left: [] }))).toBe(false)
  expect(due(at('12:01'), { matters: [glass] })).toEqual(['urgent glass'])
  expect(due(at('12:01'), { matters: [glass], wish: { ...WISH, urgent: false } })).toEqual([])
})

it('tells each once, and nothing from before it was switched on', () => {
  expect(due(at('12:01'), { matters: [glass], sent: new Set(['urgent glass']) })).toEqual([])
  expect(due(at('12:01'), { matters: [glass], since: at('12:30') })).toEqual([])
  expect(due(at('22:00'), { sent: new Set([`digest ${DAY}`]) })).toEqual([])
  expect(due(at('22:00'), { since: at('22:30') })).toEqual([])
})

it('sums up the day from closing on, for as long as somebody can still use it', () => {
  expect(due(at('21:59'))).toEqual([])
  expect(due(at('22:00'))).toEqual([`digest ${DAY}`])
  expect(due(at('22:00') + 17 * HOUR)).toEqual([`digest ${DAY}`])
  expect(due(at('22:00') + 19 * HOUR)).toEqual([])
  expect(due(at('22:00'), { wish: { ...WISH, digest: false } })).toEqual([])
  // Open past midnight it is the day that was closed.
  expect(due(at('02:00'), { closing: '01:00', since: 0 })).toEqual([`digest ${DAY}`])
})

it('waits through quiet hours, over midnight too, and then tells all of it', () => {
  const wish = { ...WISH, quiet: { from: '21:30', until: '06:30' } }
  expect(due(at('22:00'), { wish, matters: [glass] })).toEqual([])
  expect(due(at('06:29') + 24 * HOUR, { wish, matters: [glass] })).toEqual([])
  expect(due(at('06:30') + 24 * HOUR, { wish, matters: [glass] })).toEqual(['urgent glass', `digest ${DAY}`])
})

it('is quiet from the first time up to the second on the kitchen’s clock, whatever its zone', () => {
  const times = fc.tuple(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 0, max: 1439 }))
  const written = (minutes: number) =>
    `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  const zones = fc.constantFrom('UTC', 'Europe/London', 'America/Los_Angeles', 'Asia/Kathmandu', 'Pacific/Auckland')
  fc.assert(
    fc.property(times, fc.integer({ min: 0, max: 1439 }), zones, ([from, until], now, zone) => {
      const quiet = { from: written(from), until: written(until) }
      const wanted = from <= until ? now >= from && now < until : now >= from || now < until
      expect(isQuiet({ quiet }, at(written(now), zone) + 0.5 * MINUTE, zone)).toBe(wanted)
    }),
  )
})
