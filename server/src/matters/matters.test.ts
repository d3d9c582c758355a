import { v7 as uuid } from 'uuid'
import { DAY, dayOf, MINUTE, type BatchState, type Bodies, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

/** But for the rounds, which a test need not walk. */
const mattersIn = async (asked: TestKitchen) =>
  ((await asked.get('/api/matters')).body as Answers['Matters']).matters.filter(({ of }) => of !== 'round')
const matters = () => mattersIn(kitchen)
interface Posted {
  results: { outcome: string; code?: string; sentence?: string; seal?: { resolved?: { body?: object } } }[]
}
const post = async (...claims: unknown[]) => ((await kitchen.post(claims)).body as Posted).results
/** By the lead, with the PIN. */
async function sign<K extends 'matter-closed' | 'day-signed' | 'disposed'>(kind: K, about: Id, body: Bodies[K]) {
  const { id, pin } = kitchen.person('ilse')
  const answer = await kitchen.post([kitchen.claim(kind, about, body, { by: id })], { signer: id, pin })
  return (answer.body as Posted).results[0]!
}

/** Cooked an hour ago, and read too warm after its gate. */
async function begun(code: string): Promise<Id> {
  const id = uuid()
  const at = (ago: number) => ({ at: clock.now() - ago * MINUTE, madeAt: clock.now() - ago * MINUTE })
  await kitchen.post([{ ...kitchen.start(code, id), ...at(20) }, kitchen.reading(id, 60, at(10))])
  return id
}
const CLOSED = { action: 'thrown away', why: 'a jar broke', prevents: 'no glass on the shelf' }

it('what happened to a batch holds it, is a matter with it, and closes once the lead has decided and says why', async () => {
  const batch = await begun('m-1')
  const incident = uuid()
  const told = { what: 'glass' as const, note: 'a jar broke over it', items: [], batches: [batch] }
  expect(await post(kitchen.claim('incident-told', incident, told))).toMatchObject([{ outcome: 'accepted' }])
  const [matter] = await matters()
  expect(matter).toMatchObject({ id: incident, of: 'incident', settled: false, batches: [{ batch: { id: batch } }] })
  const { since, subject } = matter!
  const close = () => sign('matter-closed', incident, { of: 'incident', subject, since, ...CLOSED })
  expect(await close()).toMatchObject({ outcome: 'refused', code: 'matter open' })
  const { batch: state } = (await kitchen.get(`/api/batches/${batch}`)).body as { batch: BatchState }
  expect(state.facts['incident-told']).toHaveLength(1)
  const findings = ((await kitchen.get(`/api/batches/${batch}`)).body as Answers['Batch']).findings
  const seen = findings.map(({ check, standing }) => ({ check: check.key, force: check.limit.force, standing }))
  expect(
    await sign('disposed', batch, { decision: 'discard', reason: 'glass', findings: seen, core: '0' }),
  ).toMatchObject({ outcome: 'accepted' })
  expect((await matters())[0]).toMatchObject({ id: incident, settled: true, batches: [] })
  expect(await close()).toMatchObject({ outcome: 'accepted' })
  expect(await matters()).toEqual([])
})

it('what came up is counted on its day, closed or not, and only in a period that is one', async () => {
  const raised = async (from: number, to: number) =>
    (await kitchen.get(`/api/matters/raised?from=${from}&to=${to}`)).body as Answers['Raised']
  const now = clock.now()
  const { days, rows, from } = await raised(now - 2 * DAY, now)
  expect(from).toBe(now - 2 * DAY)
  expect(days.at(-1)).toBe(dayOf(now, 'UTC'))
  // Closed in the story before.
  expect(rows.find(({ of }) => of === 'incident')).toEqual({ of: 'incident', counts: [0, 0, 1], all: 1 })
  expect((await raised(now - 2 * DAY, now - DAY)).rows.some(({ of }) => of === 'incident')).toBe(false)
  const { from: counted } = await raised(now - 300 * DAY, now)
  expect(Math.abs(counted - (now - 62 * DAY))).toBeLessThan(MINUTE)
  expect(await raised(now, now - 1)).toMatchObject({ status: 422 })
})

it('a cook closes nothing, and nobody closes what is not there or says nothing', async () => {
  const subject = { type: 'kitchen' as const, id: kitchen.kitchenId }
  const body = { of: 'round' as const, subject, since: clock.now() - DAY, ...CLOSED }
  expect(await post(kitchen.claim('matter-closed', kitchen.kitchenId, body))).toMatchObject([{ outcome: 'refused' }])
  expect(await sign('matter-closed', uuid(), { ...body, of: 'incident' })).toMatchObject({
    outcome: 'refused',
    code: 'not there',
  })
  expect(await sign('matter-closed', kitchen.kitchenId, { ...body, action: '' })).toMatchObject({
    outcome: 'refused',
    code: 'bad field',
  })
  expect(await sign('matter-closed', kitchen.kitchenId, { ...body, why: 'x'.repeat(501) })).toMatchObject({
    outcome: 'refused',
    code: 'bad field',
  })
  expect(await sign('matter-closed', kitchen.kitchenId, body)).toMatchObject({ outcome: 'accepted' })
})

it('a day is signed with how each batch stands as core finds it, whatever a tablet sends; not over what waits', async () => {
  const batch = await begun('m-2')
  const day = dayOf(clock.now(), 'UTC')
  const asked = (id: Id) => ({ day, batches: [{ id, standing: 'proven' as const }], core: 'made up' })
  const signed = await sign('day-signed', kitchen.kitchenId, asked(batch))
  expect(signed).toMatchObject({ outcome: 'accepted' })
  // Also of what began today and the tablet did not show.
  const { batches } = signed.seal!.resolved!.body as { batches: { id: Id; standing: string }[] }
  expect(batches).toContainEqual({ id: batch, standing: 'open' })
  expect(batches.length).toBeGreaterThan(1)
  expect(await sign('day-signed', kitchen.kitchenId, asked(uuid()))).toMatchObject({ code: 'not there' })
  const line = (await kitchen.get('/api/line')).body as Answers['Line']
  expect(line.signedDays).toMatchObject([{ day, by: kitchen.person('ilse').id }])
  await post(
    kitchen.claim('incident-told', uuid(), { what: 'shell', note: 'in the bowl', items: [], batches: [batch] }),
  )
  const refused = await sign('day-signed', kitchen.kitchenId, asked(batch))
  expect(refused).toMatchObject({
    outcome: 'refused',
    code: 'matter open',
    sentence: 'Something of it still waits for the lead. Settle that first.',
  })
  const tomorrow = dayOf(clock.now() + DAY, 'UTC')
  expect(await sign('day-signed', kitchen.kitchenId, { day: tomorrow, batches: [], core: '0' })).toMatchObject({
    code: 'day not over',
  })
})

it('a matter of another kitchen is nobody’s here', async () => {
  const other = await openKitchen()
  try {
    const batch = await begun('m-3')
    await post(kitchen.claim('incident-told', uuid(), { what: 'other', note: 'a knock', items: [], batches: [batch] }))
    expect(await mattersIn(other)).toEqual([])
    const foreign = other.claim('incident-told', uuid(), {
      what: 'other',
      note: 'a knock',
      items: [],
      batches: [batch],
    })
    const answer = await other.post([foreign])
    expect((answer.body as Posted).results).toMatchObject([{ outcome: 'refused', code: 'not there' }])
  } finally {
    await other.app.close()
  }
})
