import { v7 as uuid } from 'uuid'
import { HOUR, MINUTE, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { query } from '../database/query'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const lead = () => ({ signer: kitchen.person('ilse').id, pin: kitchen.person('ilse').pin })
const ask = (path: string, body: object = {}) => kitchen.send(`/api/fitness${path}`).send({ ...lead(), ...body })
const listed = async () => ((await ask('/seen').expect(200)).body as Answers['UnfitPeople']).people
const mina = () => kitchen.person('mina').id
const told = (more: object = {}) => ({ person: mina(), symptoms: ['vomiting'], onset: clock.now() - HOUR, ...more })

/** A batch that was combined, read at its hottest and taken off the heat. */
async function cooked(code: string, celsius: number, ago: number): Promise<Id> {
  const id = uuid()
  // One instant for all of them: what is read and marked at once must not stand a millisecond apart.
  const now = clock.now()
  const at = (minutes: number) => ({ at: now - minutes * MINUTE, madeAt: now - minutes * MINUTE })
  const step = (of: string, edge: 'combined' | 'done', minutes: number) =>
    kitchen.claim('step-marked', id, { step: of, edge, reason: null }, at(minutes))
  const posted = await kitchen.post([
    { ...kitchen.start(code, id), ...at(ago) },
    step('temper', 'combined', ago - 1),
    kitchen.reading(id, celsius, at(ago - 2)),
    step('cook', 'done', ago - 2),
  ])
  expect(posted.body).toMatchObject({ results: Array(4).fill({ outcome: 'accepted' }) })
  return id
}

it('is the lead’s alone, with their PIN, and nowhere in the logbook', async () => {
  const { id: cook, pin } = kitchen.person('mina')
  await kitchen.send('/api/fitness/seen').send({ signer: cook, pin }).expect(403)
  await kitchen
    .send('/api/fitness/seen')
    .send({ ...lead(), pin: '000000' })
    .expect(403)
  await ask('', told()).expect(200)
  expect(await listed()).toMatchObject([{ person: mina(), symptoms: ['vomiting'], back: null }])
  const rows = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    query<{ canon: string }>(em, { sql: 'select canon from entry where kitchen_id = ?', params: [kitchen.kitchenId] }),
  )
  expect(rows.filter(({ canon }) => /vomit|unfit/i.test(canon))).toEqual([])
})

it('shows nothing of it to another kitchen', async () => {
  const other = await openKitchen()
  const { id: signer, pin } = other.person('ilse')
  const answer = await other.send('/api/fitness/seen').send({ signer, pin }).expect(200)
  expect((answer.body as Answers['UnfitPeople']).people).toEqual([])
  const { id } = (await listed())[0]!
  await other.send(`/api/fitness/${id}/forget`).send({ signer, pin }).expect(404)
  await other
    .send('/api/fitness')
    .send({ signer, pin, ...told() })
    .expect(404)
  await other.app.close()
})

it('lists what they had in hand since it began: what nothing proven heated after, and what something did', async () => {
  const before = await cooked('f-0', 84, 600)
  const hot = await cooked('f-1', 84, 50)
  const cold = await cooked('f-2', 50, 40)
  await ask('', told({ symptoms: ['vomiting', 'wound'] })).expect(200)
  const [first] = await listed()
  const handled = Object.fromEntries(first!.handled.map(({ id, heatedAfter }) => [id, heatedAfter]))
  expect(handled[before]).toBeUndefined()
  expect(handled[cold]).toBe(false)
  expect(handled[hot]).toBe(true)
  // One more touch after the heat, and nothing heats it after that.
  await kitchen.post([kitchen.claim('noted', hot, { text: 'skin taken off', cue: null })])
  const [again] = await listed()
  expect(again!.handled.find(({ id }) => id === hot)!.heatedAfter).toBe(false)
})

it('began when it first began, and is one report until they are back', async () => {
  const { onset } = (await listed())[0]!
  await ask('', told({ onset: clock.now() })).expect(200)
  const now = await listed()
  expect(now).toHaveLength(1)
  expect(now[0]!.onset).toBe(onset)
})

it('takes nobody of another kitchen, nothing unknown, and no time that cannot be', async () => {
  await ask('', told({ person: uuid() })).expect(404)
  for (const wrong of [
    { symptoms: [] },
    { symptoms: ['plague'] },
    { symptoms: ['vomiting', 'vomiting'] },
    { onset: 'yesterday' },
    { onset: clock.now() + HOUR },
    { freeSince: clock.now() + HOUR },
    { freeSince: clock.now() - 100 * HOUR },
  ]) {
    const answer = await ask('', told(wrong))
    expect([400, 422]).toContain(answer.status)
    expect((answer.body as { detail: string }).detail).toMatch(/\.$/)
  }
})

it('lets them back when the rules do, and is forgotten only then, whole', async () => {
  const { id } = (await listed())[0]!
  const back = (more: object = {}) => ask(`/${id}/back`, { papers: '', covered: true, ...more })
  expect((await back().expect(422)).body).toMatchObject({ detail: expect.stringContaining('not free of it') as string })
  await ask('', told({ symptoms: ['vomiting', 'jaundice'], freeSince: clock.now() })).expect(200)
  expect((await back().expect(422)).body).toMatchObject({ detail: expect.stringContaining('Not before') as string })
  await ask(`/${id}/forget`).expect(422)
  clock.set(clock.now() + 49 * HOUR)
  // The shift of two days ago is over.
  const cookie = await kitchen.cookieOf('ilse')
  const later = (path: string, body: object = {}) =>
    kitchen
      .send(`/api/fitness/${id}${path}`)
      .set('Cookie', cookie)
      .send({ ...lead(), ...body })
  expect((await later('/back', { papers: ' ', covered: false }).expect(422)).body).toMatchObject({ field: 'papers' })
  const answer = await later('/back', { papers: 'the authority’s letter of Monday', covered: false }).expect(200)
  expect((answer.body as Answers['UnfitPeople']).people[0]!.back!.papers).toContain('letter')
  expect(((await later('/forget').expect(200)).body as Answers['UnfitPeople']).people).toEqual([])
})
