import { v7 as uuid } from 'uuid'
import { itemStanding, type Id, type ItemState, type UnitState, type SealedEntry } from '@logged-thermal/core'
import { rebuild } from '../ledger/rebuild'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import type { Due } from '../http/answers'
import { clock } from '../clock/clock'

const HOUR = 3_600_000
const NOTHING = { note: null, measure: null, grams: null, cost: null }
let kitchen: TestKitchen
let store: ReturnType<typeof storeOf>

beforeAll(async () => {
  kitchen = await openKitchen()
  store = storeOf(kitchen)
})
afterAll(() => kitchen.app.close())

describe('what the store answers', () => {
  it('throws away with totals by reason, finds by code, and lists what is held', async () => {
    const [gone] = await store.putAway(await store.jelly(2), 650, { last: true })
    const find = uuid()
    await store.taken(
      kitchen.claim('item-found', find, {
        code: 'F-9',
        name: '=Tub',
        measure: { value: 300, unit: 'g' },
        unit: null,
        shelf: null,
      }),
    )
    const { due } = (await kitchen.get('/api/store/discards')).body as { due: Due[] }
    expect(due[0]?.asks).toBe('discard')
    expect(due.find((each) => each.item.id === find)?.why).toBe('undated')
    const csv = (await kitchen.get('/api/store/stock.csv')).text
    expect(csv).toContain("'=Tub")
    await store.taken(
      kitchen.claim('item-discarded', gone, { ...NOTHING, reason: 'damaged', grams: 650, cost: 120 }),
      kitchen.claim('item-discarded', find, { ...NOTHING, reason: 'undated', grams: 300 }),
    )
    expect(await store.one(kitchen.claim('item-discarded', gone, { ...NOTHING, reason: 'other' }))).toMatchObject({
      code: 'item gone',
    })
    const period = `from=${clock.now() - HOUR}&to=${clock.now() + HOUR}`
    const { totals } = (await kitchen.get(`/api/store/discarded?${period}`)).body as {
      totals: { reason: string; grams: number; cost: number }[]
    }
    expect(totals).toEqual(
      expect.arrayContaining([
        { reason: 'undated', items: 1, grams: 300, cost: 0 },
        { reason: 'damaged', items: 1, grams: 650, cost: 120 },
      ]),
    )
    const { found } = (await kitchen.get('/api/store/find?code=F-9')).body as { found: { id: Id; live: boolean }[] }
    expect(found).toMatchObject([{ id: find, live: false }])
    const { items } = (await kitchen.get('/api/store')).body as { items: { id: Id }[] }
    expect(items.some(({ id }) => id === gone)).toBe(false)
  })

  it('judges what goes today from the courses as a tablet does from the states, units that were warm included', async () => {
    const [warm] = await store.putAway(await store.jelly(1), 300, { unit: store.unit('Blast drawer'), last: true })
    const [cold] = await store.putAway(await store.jelly(1), 300, { last: true })
    const look = (name: string, celsius: number) =>
      kitchen.claim('unit-read', store.unit(name), {
        typed: { value: celsius, unit: 'C' },
        instrument: null,
        noted: null,
      })
    await store.taken(look('Blast drawer', 11), look('Walk-in 1', 3))
    const line = (await kitchen.get('/api/line')).body as { items: ItemState[]; units: UnitState[] }
    const answer = (await kitchen.get('/api/store/discards')).body as { now: number; due: Due[] }
    const by = { units: line.units, limits: store.limits(), zone: 'UTC' }
    const asked = (id: Id) => answer.due.find((each) => each.item.id === id)
    for (const each of line.items) {
      const { asks, why, until, daysLeft, advice } = itemStanding(each, by, answer.now)
      const due = asked(each.id)
      if (due) expect(due).toMatchObject({ asks, why, until, daysLeft, advice: { kind: advice.kind, by: advice.by } })
      else expect(['keep', 'frozen', 'not ready', 'use first']).toContain(asks)
    }
    expect(asked(warm)).toMatchObject({ why: 'exposure' })
    expect(asked(cold)).toBeUndefined()
  })

  it('gives the calendar to its address alone, and another address once it is renewed', async () => {
    await store.putAway(await store.jelly(1), 400, { last: true })
    const { path } = (await kitchen.get('/api/store/feed')).body as { path: string }
    const open = (at: string) => kitchen.get(at).unset('Cookie')
    const calendar = (await open(path)).text
    expect(calendar).toContain('BEGIN:VCALENDAR')
    expect(calendar).toMatch(/SUMMARY:Last day: Rhubarb jelly layer/)
    expect((await kitchen.send('/api/store/feed/renew')).status).toBe(403)
    expect((await open(path)).status).toBe(200)
    const lead = await kitchen.cookieOf('ilse')
    const renewed = (await kitchen.send('/api/store/feed/renew').set('Cookie', lead)).body as { path: string }
    expect((await open(path)).status).toBe(404)
    expect((await open(renewed.path)).status).toBe(200)
  })

  it('prints labels as PDF and as a picture', async () => {
    const [id] = await store.putAway(await store.jelly(1), 400, { last: true })
    const pdf = await kitchen.get(`/api/labels/sheet.pdf?items=${id}&copies=26&paper=a4`).buffer(true)
    expect(pdf.headers['content-type']).toContain('application/pdf')
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-')
    const png = await kitchen.get(`/api/labels/${id}.png`).buffer(true)
    expect((png.body as Buffer).subarray(1, 4).toString()).toBe('PNG')
    expect((await kitchen.get(`/api/labels/sheet.pdf?items=${id}&copies=0&paper=a4`)).status).toBe(400)
    expect((await kitchen.get(`/api/labels/sheet.pdf?items=${uuid()}&copies=1&paper=a4`)).status).toBe(404)
    await store.taken(kitchen.claim('label-printed', id, { copies: 26 }))
    expect((await store.item(id)).labels).toBe(26)
  })

  it('folds items, cards and lineage anew from the chain to the very same', async () => {
    const rows = (sql: string) => kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute<object[]>(sql))
    const read = async () => [
      await rows('select id, seq, state::text, card::text, course::text, live, until_ms from item order by id'),
      await rows('select id, state::text, card::text, airs::text from unit order by id'),
      await rows('select child_id, parent_id, child_type, parent_type from edge order by 1, 2'),
      await rows('select id, state::text, put_away from batch order by id'),
    ]
    const before = await read()
    expect(before[2]!.length).toBeGreaterThan(5)
    await rebuild(kitchen.scope, kitchen.kitchenId)
    expect(await read()).toEqual(before)
  })

  it('reads units on a round, and takes a mistyped one back', async () => {
    const look = kitchen.claim('unit-read', store.unit('Reach-in 2'), {
      typed: { value: 33, unit: 'C' },
      instrument: null,
      noted: null,
    })
    await store.taken(look)
    await store.taken(kitchen.claim('air-taken-back', store.unit('Reach-in 2'), { target: look.id }))
    const { units } = (await kitchen.get('/api/line')).body as { units: { id: Id; airs: SealedEntry[] }[] }
    expect(units.find(({ id }) => id === store.unit('Reach-in 2'))!.airs).toEqual([])
  })
})
