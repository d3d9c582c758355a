import { v7 as uuid } from 'uuid'
import { CORE_VERSION, standingsOf, type BatchState, type Finding, type SealedEntry } from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { Entries } from './entries.service'
import { TABLES } from './statements'
import { rebuild } from './rebuild'
import { clock } from '../clock/clock'

interface Result {
  id: string
  outcome: string
  status?: number
  code?: string
  field?: string
  sentence?: string
  seal?: { seq: number; resolved?: object }
}

let kitchen: TestKitchen
const results = ({ body }: { body: unknown }) => (body as { results: Result[] }).results
const all = () => kitchen.app.get(Entries).after(kitchen.kitchenId, 0, 10_000)

async function startedBatch(code: string): Promise<string> {
  const batch = uuid()
  expect(results(await kitchen.post([kitchen.start(code, batch)]))[0]).toMatchObject({ outcome: 'accepted' })
  return batch
}

beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

describe('posting entries', () => {
  it('appends in order, one number after the other, and answers each', async () => {
    const batch = await startedBatch('a-1')
    const claims = [
      kitchen.reading(batch, 61.2),
      kitchen.reading(batch, 64.9),
      kitchen.reading(batch, 900),
      kitchen.reading(batch, 70.1),
    ]
    const answers = results(await kitchen.post(claims))
    expect(answers.map(({ outcome }) => outcome)).toEqual(['accepted', 'accepted', 'refused', 'accepted'])
    expect(answers[2]).toMatchObject({
      status: 422,
      field: 'body.typed.value',
      sentence: expect.stringContaining('900 °C') as string,
    })
    const seqs = (await all()).map(({ seal }) => seal.seq)
    expect(seqs).toEqual(seqs.map((_, i) => i + 1))
  })

  it('lets the same entry, posted twenty times at once, stand once', async () => {
    const batch = await startedBatch('a-2')
    const claim = kitchen.reading(batch, 55)
    const answers = (await Promise.all(Array.from({ length: 20 }, () => kitchen.post([claim])))).flatMap(results)
    expect(answers.filter(({ outcome }) => outcome === 'accepted')).toHaveLength(1)
    expect(answers.filter(({ outcome }) => outcome === 'already there')).toHaveLength(19)
    expect(new Set(answers.map(({ seal }) => seal?.seq)).size).toBe(1)
    expect((await all()).filter((entry) => entry.claim.id === claim.id)).toHaveLength(1)
  })

  it('refuses a known number with other content', async () => {
    const batch = await startedBatch('a-3')
    const claim = kitchen.reading(batch, 55)
    await kitchen.post([claim])
    expect(results(await kitchen.post([{ ...claim, at: claim.at - 1 }]))[0]).toMatchObject({
      status: 409,
      code: 'id taken',
      field: 'id',
    })
  })

  it.each([
    ['a word for a number', { typed: { value: 'abc', unit: 'C' } }, 'body.typed.value', 422],
    ['a number without its unit', { typed: { value: 70 } }, 'body.typed.unit', 422],
    ['a field nobody knows', { colour: 'red' }, 'body.colour', 422],
    ['an infrared gun in the core', { instrument: 'infrared' }, 'body.where', 422],
  ])('refuses %s, naming the field', async (_, wrong, field, status) => {
    const batch = await startedBatch(`b-${uuid().slice(-6)}`)
    const claim = kitchen.reading(batch, 60)
    const body = { ...claim.body, ...wrong }
    if ('instrument' in wrong) Object.assign(body, { instrument: kitchen.starter.infrared.id })
    expect(results(await kitchen.post([{ ...claim, body }]))[0]).toMatchObject({ outcome: 'refused', status, field })
  })

  it('holds a time in the future with a question, and says when the tablet is to blame', async () => {
    const batch = await startedBatch('a-4')
    const ahead = clock.now() + 240_000
    const claim = kitchen.reading(batch, 60, { at: ahead, madeAt: ahead })
    const [answer] = results(await kitchen.post([claim], { sentAt: ahead }))
    expect(answer).toMatchObject({
      status: 422,
      code: 'ahead of clock',
      sentence: expect.stringContaining("tablet's clock") as string,
    })
  })

  it('refuses a batch that is not there, a code taken and a stranger; other checks than core resolves are neither refused nor believed', async () => {
    await startedBatch('a-5')
    const weaker = kitchen.start('a-6')
    const body = { ...(weaker.body as { checks: unknown[] }) }
    body.checks = body.checks.slice(1)
    const answers = results(
      await kitchen.post([
        kitchen.reading(uuid(), 60),
        kitchen.start('a-5'),
        { ...weaker, body },
        { ...kitchen.start('a-7'), by: uuid() },
      ]),
    )
    expect(answers.map(({ code, outcome }) => code ?? outcome)).toEqual([
      'not there',
      'code taken',
      'accepted',
      'not on the list',
    ])
    const { checks } = kitchen.start('a-8').body as { checks: unknown[] }
    expect(answers[2]!.seal?.resolved).toEqual({ body: { checks } })
    const { batch } = (await kitchen.get(`/api/batches/${weaker.about.id}`)).body as { batch: { checks: unknown[] } }
    expect(batch.checks).toEqual(checks)
  })

  it("asks for the lead's PIN where only the lead may", async () => {
    const batch = await startedBatch('a-8')
    const lead = kitchen.person('ilse')
    const { findings } = (await kitchen.get(`/api/batches/${batch}`)).body as { findings: Finding[] }
    const seen = { findings: standingsOf(findings), core: CORE_VERSION }
    const disposed = kitchen.claim(
      'disposed',
      batch,
      { decision: 'discard', reason: 'dropped', ...seen },
      { by: lead.id },
    )
    const release = kitchen.claim(
      'disposed',
      batch,
      { decision: 'release', reason: 'dropped', ...seen },
      { by: lead.id },
    )
    expect(results(await kitchen.post([release], { signer: lead.id, pin: lead.pin }))[0]).toMatchObject({
      code: 'decision shut',
      sentence: expect.stringContaining('still open') as string,
    })
    expect(results(await kitchen.post([{ ...disposed, by: kitchen.person('mina').id }]))[0]).toMatchObject({
      code: 'may not',
    })
    expect(results(await kitchen.post([disposed]))[0]).toMatchObject({ status: 403, code: 'lead must sign' })
    expect(results(await kitchen.post([disposed], { signer: lead.id, pin: lead.pin }))[0]).toMatchObject({
      outcome: 'accepted',
    })
    expect(results(await kitchen.post([kitchen.reading(batch, 60)]))[0]).toMatchObject({ code: 'batch closed' })
  })

  it('answers a body of 5 MB and unreadable JSON with a problem, writing nothing', async () => {
    const before = (await all()).length
    const large = await kitchen.post([{ text: 'x'.repeat(5_000_000) }])
    expect([large.status, large.headers['content-type']]).toEqual([
      413,
      expect.stringContaining('problem+json') as string,
    ])
    const broken = await kitchen.send('/api/entries').set('Content-Type', 'application/json').send('{"entries": [')
    expect(broken.body).toMatchObject({ status: 400, title: 'not readable' })
    expect((await kitchen.post([])).body).toMatchObject({ status: 400, field: 'entries' })
    expect(await all()).toHaveLength(before)
  })

  it('keeps a moved reading struck through where it was, and counts it where it belongs', async () => {
    const [wrong, right] = [await startedBatch('a-9'), await startedBatch('a-10')]
    const reading = kitchen.reading(wrong, 66.6)
    await kitchen.post([reading])
    const now = { at: reading.at, reading: reading.body as never, batch: right }
    await kitchen.post([
      kitchen.claim('corrected', wrong, { target: reading.id, reason: 'wrong pot', now, item: null }),
    ])
    const state = async (id: string) =>
      ((await kitchen.get(`/api/batches/${id}`)).body as { batch: { facts: { 'reading-taken': object[] } } }).batch
        .facts['reading-taken']
    expect(await state(wrong)).toMatchObject([
      { void: true, amends: [{ reason: 'wrong pot', was: { typed: { value: 66.6 } } }] },
    ])
    expect(await state(right)).toMatchObject([{ void: false, value: { typed: { value: 66.6 } } }])
    const { entries } = (await kitchen.get(`/api/batches/${right}/entries`)).body as { entries: SealedEntry[] }
    expect(entries.map(({ claim }) => claim.kind)).toEqual(['batch-started', 'corrected'])
  })
})

describe('what was folded', () => {
  it('equals what is folded anew from the chain, as text ordered by key', async () => {
    const batch = await startedBatch('c-1')
    await kitchen.post(Array.from({ length: 40 }, (_, i) => kitchen.reading(batch, 20 + i)))
    const dump = () =>
      kitchen.scope.inKitchen(kitchen.kitchenId, async (em) => {
        const rows: unknown[] = []
        for (const table of Object.values(TABLES)) {
          rows.push(
            await em.execute(`select id::text, seq::text, state::text from ${table} where kitchen_id = ? order by id`, [
              kitchen.kitchenId,
            ]),
          )
        }
        return JSON.stringify(rows)
      })
    const live = await dump()
    expect(await rebuild(kitchen.scope, kitchen.kitchenId)).toBe((await all()).length)
    expect(await dump()).toBe(live)
  })

  it('is mended by that where it was changed, and goes on being logged to meanwhile', async () => {
    const batch = await startedBatch('c-3')
    await kitchen.post([kitchen.reading(batch, 61)])
    const change = (sql: string, params: unknown[]) =>
      kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute(sql, params))
    await change(`update batch set state = '{"code": "c-3"}', seq = seq + 1000 where id = ?`, [batch])
    await change(`insert into batch (kitchen_id, id, seq, state) values (?, ?, 1, '{"code": "x"}')`, [
      kitchen.kitchenId,
      uuid(),
    ])
    await change(`insert into edge (kitchen_id, child_id, child_type, parent_id, parent_type) values (?, ?, ?, ?, ?)`, [
      kitchen.kitchenId,
      uuid(),
      'item',
      uuid(),
      'lot',
    ])
    await change('delete from item where kitchen_id = ?', [kitchen.kitchenId])
    const another = await startedBatch('c-4')
    const [, ...answers] = await Promise.all([
      rebuild(kitchen.scope, kitchen.kitchenId),
      ...Array.from({ length: 10 }, (_, i) => kitchen.post([kitchen.reading(another, 40 + i)])),
    ])
    expect(answers.flatMap(results).map(({ outcome }) => outcome)).toEqual(Array<string>(10).fill('accepted'))
    const kept = () =>
      kitchen.scope.inKitchen(kitchen.kitchenId, async (em) => ({
        batches: await em.execute<{ id: string; state: BatchState }[]>('select id, seq, state from batch order by id'),
        items: await em.execute<object[]>('select id, seq, state, card from item order by id'),
        edges: await em.execute<object[]>('select * from edge order by child_id, parent_id'),
      }))
    const mended = await kept()
    const readings = (id: string) => mended.batches.find((row) => row.id === id)!.state.facts['reading-taken'].length
    expect([readings(batch), readings(another)]).toEqual([1, 10])
    await rebuild(kitchen.scope, kitchen.kitchenId)
    expect(await kept()).toEqual(mended)
    expect(mended.batches.every(({ state }) => state.code !== 'x')).toBe(true)
  })

  it('gives the verdict that core gives', async () => {
    const batch = await startedBatch('c-2')
    await kitchen.post([
      kitchen.claim('step-marked', batch, { step: 'temper', edge: 'combined', reason: null }),
      kitchen.reading(batch, 71.4),
    ])
    const answer = await kitchen.get(`/api/batches/${batch}`)
    expect(answer.body).toMatchObject({
      standing: 'open',
      findings: [{ check: { key: 'egg' }, standing: 'proven' }, {}, {}, {}, {}, {}, {}],
    })
  })
})
