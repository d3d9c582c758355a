import { v7 as uuid } from 'uuid'
import {
  dayOf,
  heldTo,
  methodRef,
  newMethod,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type Id,
  type Method,
  type MethodState,
} from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { clock } from '../clock/clock'

interface Result {
  outcome: string
  status?: number
  code?: string
  field?: string
  sentence?: string
}

let kitchen: TestKitchen
const by = (key: string) => kitchen.person(key).id
const results = ({ body }: { body: unknown }) => (body as { results: Result[] }).results
// It is Mina's shift: whoever else stands in an entry signs it.
const post = async (claim: AnyClaim, more: object = signature(claim)) => results(await kitchen.post([claim], more))[0]!
const signature = (claim: AnyClaim) => {
  const { id, pin } = kitchen.people.find(({ id: of }) => of === claim.by)!
  return id === by('mina') ? {} : { signer: id, pin }
}

/** A posset of cream and lemon: nothing in it blocks. */
function posset(id: Id = uuid()): Method {
  return {
    ...newMethod({ id, vesselId: uuid(), name: `Lovage posset ${id.slice(-4)}`, family: 'poured-custard' }),
    amounts: [
      { key: 'yolk', ingredient: 'yolk', grams: 300, count: null, step: 'cook', state: 'as it is' },
      { key: 'milk', ingredient: 'milk', grams: 1500, count: null, step: 'cook', state: 'as it is' },
    ],
  }
}
const saved = (method: Method, who = 'noor') => kitchen.claim('method-saved', method.id, { method }, { by: by(who) })
const approved = (id: Id, version: number) => {
  const body = { version, limits: kitchen.starter.limits.id, components: [] }
  return kitchen.claim('method-approved', id, body, { by: by('ilse') })
}
const approve = (id: Id, version: number) => {
  const { id: person, pin } = kitchen.person('ilse')
  return post(approved(id, version), { signer: person, pin })
}
function start(method: Method, more: Partial<Bodies['batch-started']> = {}): AnyClaim {
  const { limits } = kitchen.starter
  return kitchen.claim('batch-started', uuid(), {
    code: uuid().slice(-8),
    ...heldTo(method, 1, limits, false, dayOf(clock.now(), 'UTC')),
    limits: { id: limits.id, version: limits.version },
    vessel: method.vessel,
    factor: 1,
    ...more,
  })
}

beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

it('takes a method from a chef and from no cook, and only under its own id', async () => {
  const method = posset()
  expect(await post(saved(method, 'mina'))).toMatchObject({ outcome: 'refused', status: 403 })
  expect(await post(kitchen.claim('method-saved', uuid(), { method }, { by: by('noor') }))).toMatchObject({
    outcome: 'refused',
    field: 'body.method.id',
  })
  expect(await post(saved(method))).toMatchObject({ outcome: 'accepted' })
})

it('lets one of two that save the same version at once win, and tells the other which one is current', async () => {
  const method = posset()
  await post(saved(method))
  const second = (name: string) => post(saved({ ...method, version: 2, name }))
  const answers = await Promise.all([second('Lovage one'), second('Lovage two')])
  expect(answers.map(({ outcome }) => outcome).sort()).toEqual(['accepted', 'refused'])
  expect(answers.find(({ outcome }) => outcome === 'refused')).toMatchObject({ status: 409, code: 'older version' })
})

it('starts no batch from a draft; a version is in force once the lead has signed it, and the one before no longer', async () => {
  const method = posset()
  await post(saved(method))
  expect(await post(start(method))).toMatchObject({ outcome: 'refused', field: 'body.method' })
  expect(await post(approved(method.id, 1), {})).toMatchObject({ outcome: 'refused', status: 403 })
  expect(await approve(method.id, 1)).toMatchObject({ outcome: 'accepted' })
  expect(await post(start(method))).toMatchObject({ outcome: 'accepted' })

  const next = { ...method, version: 2, houseDays: 1 }
  await post(saved(next))
  expect(await post(start(method))).toMatchObject({ outcome: 'accepted' })
  expect(await approve(method.id, 2)).toMatchObject({ outcome: 'accepted' })
  expect(await post(start(method))).toMatchObject({ outcome: 'refused', code: 'older version' })
  expect(await post(start(next))).toMatchObject({ outcome: 'accepted' })
})

it('keeps what blocks from force until it is justified in writing, and says what it is', async () => {
  const starchy = posset()
  const flour = {
    key: 'flour',
    ingredient: 'flour',
    grams: 90,
    count: null,
    step: 'cook',
    state: 'as it is',
  } as const
  starchy.amounts.push(flour)
  await post(saved(starchy))
  const answer = await approve(starchy.id, 1)
  expect(answer).toMatchObject({ outcome: 'refused', code: 'method blocked', field: 'body.version' })
  expect(answer.sentence).toMatch(/boil/i)

  const justified = [{ problem: 'starch not boiled / cook / flour', reason: 'boiled by hand in a pan of its own' }]
  await post(saved({ ...starchy, version: 2, justified }))
  expect(await approve(starchy.id, 2)).toMatchObject({ outcome: 'accepted' })
})

it('keeps every version, which one is in force, and what a cook did otherwise with the batch alone', async () => {
  const method = posset()
  await post(saved(method))
  await approve(method.id, 1)
  await post(saved({ ...method, version: 2, houseDays: 2 }))
  const batch = start(method)
  await post(batch)
  const deviate = (step: string) =>
    post(kitchen.claim('step-deviated', batch.about.id, { step, said: '18 min instead of 12' }))
  expect(await deviate('bake')).toMatchObject({ outcome: 'refused', field: 'body.step' })
  expect(await deviate('cook')).toMatchObject({ outcome: 'accepted' })
  const churn = { step: 'cook', moment: 'draw', typed: { value: -6, unit: 'C' } } as const
  expect(await post(kitchen.claim('churned', batch.about.id, churn))).toMatchObject({ field: 'body.step' })

  const line = (await kitchen.get('/api/line')).body as { methods: MethodState[]; batches: BatchState[] }
  const state = line.methods.find(({ id }) => id === method.id)!
  expect(state.versions.map(({ version, houseDays }) => [version, houseDays])).toEqual([
    [1, method.houseDays],
    [2, 2],
  ])
  expect(line.batches.find(({ id }) => id === batch.about.id)!.method).toEqual(methodRef(method))
})
