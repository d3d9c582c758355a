import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import Ajv from 'ajv'
import { v7 as uuid } from 'uuid'
import type { EggsTaken, Id } from '@logged-thermal/core'
import { LISTS, type ListName, type ListRecord } from '@logged-thermal/wording'
import { clock } from '../../clock/clock'
import { openKitchen, type TestKitchen } from '../../test/kitchen'
import { readPdf } from '../../test/readPdf'
import { storeOf } from '../../test/storeKitchen'

/** Lists of what happened, each of one thing or of all, to be taken away. */

let kitchen: TestKitchen
let store: ReturnType<typeof storeOf>
let lot: Id
const fits = new Ajv().compile(
  JSON.parse(readFileSync(join(__dirname, '../../../../docs/list.schema.json'), 'utf8')) as object,
)

beforeAll(async () => {
  kitchen = await openKitchen()
  store = storeOf(kitchen)
  lot = (await store.receive(store.arrived({ code: 'MK-7' }))).id
  await store.receive(store.arrived({ code: 'MK-8', supplier: '=2+3' }))
  const look = { typed: { value: 3.4, unit: 'C' as const }, instrument: null, noted: null }
  expect(await store.one(kitchen.claim('unit-read', store.unit('Walk-in 1'), look))).toMatchObject({
    outcome: 'accepted',
  })
  const told = { what: 'glass', note: 'a chip under the mixer', items: [], batches: [] }
  expect(await store.one(kitchen.claim('incident-told', uuid(), told as never))).toMatchObject({ outcome: 'accepted' })
})
afterAll(() => kitchen.app.close())

const asked = (list: ListName, kind: 'json' | 'csv', query: Record<string, string> = {}) =>
  kitchen.get(`/api/records/list/${list}.${kind}?${new URLSearchParams(query)}`)
const listed = async (list: ListName, query: Record<string, string> = {}) =>
  (await asked(list, 'json', query).expect(200)).body as ListRecord

it('tells as data what came, of one lot or of all, each line by its entry, and as its schema says', async () => {
  const all = await listed('lots')
  expect([all.kitchen, all.of, all.from, fits(all), fits.errors]).toEqual(['Test kitchen', null, null, true, null])
  const codes = all.lines.map((line) => line.list === 'lots' && line.lot)
  expect(codes).toEqual(expect.arrayContaining(['Whole milk MK-7', 'Whole milk MK-8']))
  const one = await listed('lots', { of: lot })
  expect(one).toMatchObject({
    of: 'Whole milk MK-7',
    lines: [
      { what: 'received', supplier: 'Hollin Gate dairy', verdict: 'accept', typed: { value: 3.9 }, by: 'Mina Osk' },
    ],
  })
  const entries = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ hash: string }[]>('select hash from entry where kitchen_id = ? and seq = ?', [
      kitchen.kitchenId,
      one.lines[0]!.seq,
    ]),
  )
  expect(entries).toEqual([{ hash: one.lines[0]!.hash }])
})

it('tells what a lot went into, also where nobody has looked at the Log since', async () => {
  const { id: eggs, lot: received } = kitchen.starter.lots.find(({ lot: { form } }) => form === 'shell')!
  const into = await store.begun('Bay-leaf pouring custard')
  const { item } = received.held!
  const typed = { value: 4, unit: 'C' as const }
  await store.taken(kitchen.claim('item-read', item, { typed, instrument: kitchen.starter.probe.id }))
  const taken = {
    step: 'temper',
    lot: eggs,
    form: 'shell',
    as: 'separated',
    cracked: 6,
    rejected: 0,
    grams: {},
    size: 'US L',
    item,
  }
  await store.taken(kitchen.claim('eggs-taken', into, taken as EggsTaken))
  const { batch } = (await kitchen.get(`/api/batches/${into}`)).body as { batch: { code: string } }
  expect((await listed('lots', { of: eggs })).lines).toMatchObject([{ what: 'received', into: [batch.code] }])
})

it('tells what happened to one thing alone', async () => {
  const into = await store.begun('Bay-leaf pouring custard')
  const told = { what: 'metal', note: 'a bristle of the whisk', items: [], batches: [into] }
  await store.taken(kitchen.claim('incident-told', uuid(), told as never))
  expect((await listed('matters', { of: into })).lines).toMatchObject([{ incident: 'metal' }])
})

it('tells every list so', async () => {
  for (const list of LISTS) {
    const record = await listed(list)
    expect([list, fits(record), fits.errors]).toEqual([list, true, null])
    const { tags, document } = await readPdf(kitchen, `/api/records/list/${list}.pdf`)
    expect(tags).toBe(true)
    expect(document.getTitle()).toMatch(/^Test kitchen, /)
  }
  expect((await listed('matters')).lines).toMatchObject([{ incident: 'glass', note: 'a chip under the mixer' }, {}])
  expect((await listed('air')).lines).toMatchObject([{ unit: 'Walk-in 1', typed: { value: 3.4, unit: 'C' } }])
})

it('says which of it was taken back: that nothing of the logbook goes away misleads nobody', async () => {
  const [first] = (await listed('air')).lines
  const look = kitchen.claim('unit-read', store.unit('Reach-in 2'), {
    typed: { value: 33, unit: 'C' },
    instrument: null,
    noted: null,
  })
  await store.taken(look, kitchen.claim('air-taken-back', store.unit('Reach-in 2'), { target: look.id }))
  expect((await listed('air')).lines).toMatchObject([
    { seq: first!.seq, takenBack: false },
    { unit: 'Reach-in 2', takenBack: true },
  ])
  const { text } = await asked('air', 'csv').expect(200)
  expect(text).toContain('Reach-in 2 (taken back),33.0°C')
})

it('is a table too, in which nothing is a formula', async () => {
  const { text, headers } = await asked('lots', 'csv').expect(200)
  expect(headers['content-disposition']).toBe('attachment; filename="lots.csv"')
  const [head, ...lines] = text.trimEnd().split('\n')
  expect(head).toBe('entry,time (UTC),what,taken,into,by')
  const row = lines.find((line) => line.includes('MK-8'))!
  expect(row).toMatch(/^\d+,\d{4}-\d\d-\d\dT[\d:.]+Z,"Whole milk MK-8, =2\+3, use by /)
})

it('holds what is of the days that were asked for', async () => {
  const today = new Date(clock.now()).toISOString().slice(0, 10)
  expect((await listed('air', { from: today, to: today })).lines).toHaveLength(2)
  expect((await listed('air', { to: '2020-01-01' })).lines).toEqual([])
})

it('says what it cannot list', async () => {
  const said = async (path: string) => {
    const answer = await kitchen.get(`/api/records/list/${path}`)
    return [answer.status, (answer.body as { detail: string }).detail]
  }
  expect(await said('secrets.json')).toEqual([
    404,
    expect.stringContaining('Lists: checks, air, lots, labels, matters'),
  ])
  expect(await said(`lots.pdf?of=${uuid()}`)).toEqual([404, 'There is no such thing in this kitchen.'])
  expect(await said('lots.csv?of=milk')).toEqual([400, expect.stringMatching(/\.$/)])
  expect(await said('lots.json?from=2027-02-30')).toEqual([422, '2027-02-30 is no day of the calendar.'])
  expect(await said('lots.json?from=2027-03-02&to=2027-03-01')).toEqual([422, 'The period ends before it begins.'])
  const other = await openKitchen()
  expect((await other.get(`/api/records/list/lots.json?of=${lot}`)).status).toBe(404)
  await other.app.close()
})
