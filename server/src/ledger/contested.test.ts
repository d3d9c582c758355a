import {
  contestedOf,
  judgeBatch,
  MINUTE,
  type AnyClaim,
  type BatchState,
  type Id,
  type Seal,
} from '@logged-thermal/core'
import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { verify } from '../verify/verify'

/** Two tablets that the server hears nothing of, nor they of each other, for half an hour. */

let kitchen: TestKitchen
const batch = uuid()
const RUNS = { stove: uuid(), wall: uuid() }
let tablets: Record<keyof typeof RUNS, { cookies: string[]; by: string }>
let began: number
let lost: number
let seen: number

const http = () => request(kitchen.app.getHttpServer())

async function enrolled(name: string, key: string): Promise<string[]> {
  const { id: signer, pin } = kitchen.person('ilse')
  const shift = await kitchen.cookieOf(key)
  const answer = await http().post('/api/tablets').set('Cookie', shift).send({ name, signer, pin }).expect(200)
  return [...shift, ...(answer.headers['set-cookie'] as unknown as string[])]
}

async function sends(tablet: keyof typeof RUNS, entries: AnyClaim[]) {
  const answer = await http()
    .post('/api/entries')
    .set('Cookie', tablets[tablet].cookies)
    .send({ sentAt: clock.now(), entries })
    .expect(200)
  return (answer.body as { results: { outcome: string; code?: string; seal: Seal }[] }).results
}

/** The step is closed, ten minutes into the time that nobody heard of it. */
function closes(tablet: keyof typeof RUNS, step: string, more: Partial<AnyClaim> = {}): AnyClaim {
  const at = lost + 10 * MINUTE
  const body = { step, edge: 'done' as const, reason: 'as it was' }
  return kitchen.claim('step-marked', batch, body, {
    at,
    madeAt: at,
    by: kitchen.person(tablets[tablet].by).id,
    device: deviceOf[tablet],
    run: RUNS[tablet],
    monotonic: at - began,
    serverSeen: seen,
    ...more,
  })
}

const deviceOf: Record<keyof typeof RUNS, Id> = { stove: uuid(), wall: uuid() }
const stateOf = async () => ((await kitchen.get(`/api/batches/${batch}`)).body as { batch: BatchState }).batch

beforeAll(async () => {
  kitchen = await openKitchen()
  tablets = {
    stove: { cookies: await enrolled('Stove', 'teo'), by: 'teo' },
    wall: { cookies: await enrolled('Wall', 'mina'), by: 'mina' },
  }
  await kitchen.post([kitchen.start('T-1', batch), kitchen.reading(batch, 82)])
  began = clock.now() + 1000
  const ask = async () => {
    for (const tablet of ['stove', 'wall'] as const)
      await http()
        .get('/api/live/now')
        .set('Cookie', tablets[tablet].cookies)
        .set('Lt-Run', `${RUNS[tablet]} ${clock.now() - began}`)
        .expect(200)
  }
  for (let i = 1; i <= 4; i++) {
    clock.set(began + i * 15_000)
    await ask()
  }
  lost = clock.now()
  seen = ((await kitchen.get('/api/line')).body as { seq: number }).seq
  clock.set(lost + 30 * MINUTE)
  await ask()
  clock.set(clock.now() + 1000)
})
afterAll(() => kitchen.app.close())

it('takes what contradicts another tablet’s entry as contested: it moves nothing, and nothing is proven before the lead decides', async () => {
  const step = (await stateOf()).method.steps.find(({ kind }) => kind === 'cool')!.key
  const [first] = await sends('stove', [closes('stove', step)])
  expect(first).toMatchObject({ outcome: 'accepted', seal: { away: {} } })
  const second = closes('wall', step)
  const [contested, again] = [...(await sends('wall', [second])), ...(await sends('wall', [second]))]
  expect(contested).toMatchObject({
    outcome: 'accepted',
    seal: { resolved: { contested: { code: 'marked already', about: [{ type: 'batch', id: batch }] } } },
  })
  expect(again).toMatchObject({ outcome: 'already there', seal: { seq: contested!.seal.seq } })
  const state = await stateOf()
  expect(state.facts['step-marked'].filter(({ value }) => value.step === step)).toHaveLength(1)
  expect(contestedOf(state).map(({ entry }) => entry)).toEqual([second.id])
  const standings = judgeBatch(state, { zone: 'UTC' }, clock.now()).map(({ standing }) => standing)
  expect(standings).not.toContain('proven')
  const matters = (await kitchen.get('/api/matters')).body as { matters: { subject: { id: Id } }[] }
  expect(JSON.stringify(matters)).toContain(batch)
})

it('refuses what a tablet enters twice, and what it had heard of', async () => {
  const step = (await stateOf()).method.steps.find(({ kind }) => kind === 'hold')!.key
  const results = await sends('stove', [closes('stove', step), closes('stove', step)])
  expect(results).toMatchObject([{ outcome: 'accepted' }, { outcome: 'refused', code: 'marked already' }])
  const [knew] = await sends('wall', [closes('wall', step, { serverSeen: seen + 10 })])
  expect(knew).toMatchObject({ outcome: 'refused', code: 'marked already' })
})

it('is found as it was sealed by whoever goes through the records', async () => {
  const { faults } = await verify(kitchen.scope, kitchen.kitchenId, { seals: null, role: null })
  expect(faults).toEqual([])
})
