import { loggedBatch, type LoggedBatch } from '../../judgement/log/loggedBatch'
import { Story, world } from '../../test/story'
import { at } from '../../test/traces'
import { weekReview } from './weekReview'

/** A custard that is cold in time, and read once on its way down: what that reading says decides its first gate. */
function cooled(code: string, readAt: number, celsius: number, more: Partial<LoggedBatch> = {}): LoggedBatch {
  const story = new Story()
  story.combined(5)
  story.read(10, 80)
  story.offHeat(12)
  story.read(20, 57)
  story.read(readAt, celsius)
  story.read(240, 4.5)
  return { ...loggedBatch(story.batch, world), id: code, code, startedAt: at(Number(code)), ...more }
}
// Long enough for the gates, and before its last day is over.
const now = at(500)
// The clock starts between 12 and 20 minutes: 21° is due between 132 and 140.
const missed = (code: string, more = {}) => cooled(code, 200, 30, more)
const unread = (code: string, more = {}) => cooled(code, 200, 20, more)

it('puts what failed most on top, each with its batches and what would have held it', () => {
  const other = { method: 'other', name: 'Curd' }
  const [first, second, ...more] = weekReview([unread('4', other), missed('1'), unread('2'), missed('3')], now)
  expect(more).toEqual([])
  expect(first).toMatchObject({ missed: 2, unproven: 1 })
  const [worst] = first!.failures
  expect(worst).toMatchObject({ because: 'read too warm', remedy: 'cool faster', unproven: [] })
  expect(worst!.missed.map(({ code }) => code)).toEqual(['1', '3'])
  expect(first!.failures[1]).toMatchObject({ remedy: 'read oftener', missed: [] })
  expect(second).toMatchObject({ method: 'other', name: 'Curd', missed: 0, unproven: 1 })
})

it('leaves out what still runs, and names a method as its last batch was called', () => {
  const story = new Story()
  story.combined(0)
  story.read(5, 83)
  expect(weekReview([loggedBatch(story.batch, world)], at(6))).toEqual([])
  const renamed = weekReview([missed('2', { name: 'New name' }), missed('1', { name: 'Old name' })], now)
  expect(renamed.map(({ name }) => name)).toEqual(['New name'])
})

it('counts every settled batch once', () => {
  const all = [missed('1'), unread('2'), missed('3'), unread('4')]
  const [review] = weekReview(all, now)
  const named = review!.failures.flatMap((each) => [...each.missed, ...each.unproven].map(({ id }) => id))
  expect(named.sort()).toEqual(all.map(({ id }) => id))
  expect(review!.proven + review!.missed + review!.unproven).toBe(all.length)
})
