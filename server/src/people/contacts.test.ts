import { MINUTE, type AnyClaim, type BatchState, type Id, type Seal } from '@logged-thermal/core'
import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import { query } from '../database/query'
import { openKitchen, type TestKitchen } from '../test/kitchen'

/** A tablet that the server hears nothing of for a while: what counts of what it sends then. */

let kitchen: TestKitchen
let own: string[]
let stranger: string[]
const batch = uuid()
const run = uuid()
/** By the server's clock, ms: when the run began, and was lost and found again. */
let began: number
let lost: number
let back: number

const asks = (cookies: string[], path: string, since?: number) =>
  request(kitchen.app.getHttpServer())
    .get(path)
    .set('Cookie', cookies)
    .set(since === undefined ? {} : { 'Lt-Run': `${run} ${since}` })
const sends = async (cookies: string[], entries: AnyClaim[]) => {
  const answer = await request(kitchen.app.getHttpServer())
    .post('/api/entries')
    .set('Cookie', cookies)
    .send({ sentAt: clock.now(), entries })
  return (answer.body as { results: { outcome: string; seal: Seal }[] }).results
}
const made = (celsius: number, at: number, since: number, of: Id = run) =>
  kitchen.reading(batch, celsius, { at, madeAt: at, run: of, monotonic: since })

beforeAll(async () => {
  kitchen = await openKitchen()
  const { id: signer, pin } = kitchen.person('ilse')
  stranger = await kitchen.cookieOf('mina')
  const shift = await kitchen.cookieOf('teo')
  const enrolled = await request(kitchen.app.getHttpServer())
    .post('/api/tablets')
    .set('Cookie', shift)
    .send({ name: 'Stove', signer, pin })
    .expect(200)
  own = [...shift, ...(enrolled.headers['set-cookie'] as unknown as string[])]
  await kitchen.post([kitchen.start('T-1', batch)])
  began = clock.now() + 1000
  clock.set(began + 5000)
  await asks(own, '/api/line', 5000).expect(200)
  // Heard of with every beat, and then no more for half an hour.
  for (let i = 1; i <= 8; i++) {
    clock.set(began + 5000 + i * 15_000)
    await asks(own, '/api/live/now').expect(200)
  }
  lost = clock.now()
  back = lost + 30 * MINUTE
  clock.set(back)
  await asks(own, '/api/live/now').expect(200)
  clock.set(back + 1000)
})
afterAll(() => kitchen.app.close())

it('seals what was made while it heard nothing with when that was, and it counts as entered then', async () => {
  const at = lost + 10 * MINUTE
  const [honest, typedLate, forged, other] = await sends(own, [
    made(80, at, at - began),
    // Typed at the end, told as read at the start: as late as it is.
    { ...made(79, at + 1, back - MINUTE - began), madeAt: back - MINUTE },
    // The tablet's clock was set back: the one that nobody sets was not.
    made(78, at + 2, back - 2 * MINUTE - began),
    // A page that was opened and closed without a network.
    made(77, at + 3, 3 * MINUTE, uuid()),
  ])
  // The way of what is asked takes some time: a run began no later than it seems to have.
  const seconds = [honest, typedLate, forged, other].map((each) => Math.round((each!.seal.away!.at - lost) / 1000))
  expect(seconds).toEqual([600, 29 * 60, 28 * 60, 600])
  expect(honest!.seal.away!.from).toBeGreaterThan(lost - MINUTE)
  expect(Math.round((honest!.seal.away!.to - back) / 1000)).toBe(0)
  const { batch: state } = (await kitchen.get(`/api/batches/${batch}`)).body as { batch: BatchState }
  const late = state.facts['reading-taken'].map(({ value, late: is }) => [value.typed.value, is])
  expect(late).toEqual([
    [80, false],
    [79, true],
    [78, true],
    [77, false],
  ])
})

it('holds a run that it never heard of to what that first said of its beginning', async () => {
  const at = lost + 5 * MINUTE
  const dead = uuid()
  const [first] = await sends(own, [made(70, at, 2 * MINUTE, dead)])
  expect(first!.seal.away!.at - at).toBe(0)
  // Ten minutes later by the clock that nobody sets, and no later by the tablet's own.
  const [back] = await sends(own, [made(71, at + 1, 12 * MINUTE, dead)])
  expect(back!.seal.away!.at - at).toBe(10 * MINUTE)
})

it('takes no word for it of a stranger, of a run that was heard of elsewhere, nor of a time in which it heard the tablet', async () => {
  const at = lost + 12 * MINUTE
  const [byStranger] = await sends(stranger, [made(60, at, at - began)])
  const [before, unheard] = await sends(own, [
    made(61, lost - MINUTE, lost - MINUTE - began),
    made(62, at, at - lost + 5 * MINUTE, uuid()),
  ])
  for (const each of [byStranger, before, unheard]) expect(each).toMatchObject({ outcome: 'accepted' })
  for (const each of [byStranger, before, unheard]) expect(each!.seal.away).toBeUndefined()
})

it('knows no gap of a tablet that is heard of all the time, and passes over what is said amiss', async () => {
  for (const amiss of ['', 'x', `${uuid()} -1`, `${uuid()} x`, `${uuid()}`])
    await asks(own, '/api/live/now').set('Lt-Run', amiss).expect(200)
  const since = clock.now()
  for (let i = 1; i <= 12; i++) {
    clock.set(since + i * 15_000)
    await asks(own, '/api/live/now').expect(200)
  }
  const at = since + MINUTE
  const [held] = await sends(own, [made(40, at, at - began)])
  expect(held!.seal.away).toBeUndefined()
})

it('judges what comes while the gap is still being written down by that gap', async () => {
  const from = clock.now()
  clock.set(from + 10 * MINUTE)
  let free: () => void = () => undefined
  const freed = new Promise<void>((done) => (free = done))
  let held: () => void = () => undefined
  const holding = new Promise<void>((done) => (held = done))
  const somebody = kitchen.scope.inKitchen(kitchen.kitchenId, async (em) => {
    await query(em, { sql: 'select id from tablet where kitchen_id = ? for update', params: [kitchen.kitchenId] })
    held()
    await freed
  })
  await holding
  const at = from + 5 * MINUTE
  // supertest sends nothing before it is waited for.
  const [first, entries] = [asks(own, '/api/live/now').then(), sends(own, [made(35, at, at - began)])]
  await new Promise((done) => setTimeout(done, 300))
  free()
  await Promise.all([somebody, first])
  const [entry] = await entries
  expect(Math.round((entry!.seal.away!.at - at) / 1000)).toBe(0)
})
