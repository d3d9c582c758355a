import { v7 as uuid } from 'uuid'
import {
  dayOf,
  heldTo,
  inheritedOf,
  itemCard,
  nextItemCode,
  packageOf,
  partOf,
  portionOf,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type Id,
  type ItemState,
  type LimitSet,
  type Lineage,
  type LotReceived,
  type Method,
  type SealedEntry,
} from '@logged-thermal/core'
import { rebuild } from '../ledger/rebuild'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import type { Due } from './discards'

const HOUR = 3_600_000
const NOTHING = { note: null, measure: null, grams: null, cost: null }
let kitchen: TestKitchen

interface Result {
  outcome: string
  code?: string
  sentence?: string
}

beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

async function entered(...claims: AnyClaim[]): Promise<Result[]> {
  return ((await kitchen.post(claims)).body as { results: Result[] }).results
}

async function one(claim: AnyClaim): Promise<Result> {
  return (await entered(claim))[0]!
}

async function taken(...claims: AnyClaim[]): Promise<void> {
  const results = await entered(...claims)
  expect(results.filter(({ outcome }) => outcome !== 'accepted')).toEqual([])
}

async function signed(claim: AnyClaim): Promise<Result> {
  const { id, pin } = kitchen.person('ilse')
  const body = (await kitchen.post([{ ...claim, by: id }], { signer: id, pin })).body as { results: Result[] }
  return body.results[0]!
}

const unit = (name: string) => kitchen.starter.units.find((each) => each.unit.name === name)!.id
const methodOf = (name: string): Method => kitchen.starter.methods.find((method) => method.name === name)!
const limits = (): LimitSet => kitchen.starter.limits
const ago = (ms: number) => ({ at: Math.round(Date.now() - ms), madeAt: Math.round(Date.now() - ms) })

async function item(id: Id): Promise<ItemState> {
  return ((await kitchen.get(`/api/items/${id}`)).body as { item: ItemState }).item
}
async function batch(id: Id): Promise<BatchState> {
  return ((await kitchen.get(`/api/batches/${id}`)).body as { batch: BatchState }).batch
}

/** A jelly that was simmered and cooled as it should be, ended `hoursAgo`. */
async function jelly(hoursAgo: number, proven = true): Promise<Id> {
  const id = uuid()
  const method = methodOf('Rhubarb jelly layer')
  const at = (minutes: number) => ago(hoursAgo * HOUR + (200 - minutes) * 60_000)
  const code = `j-${id.slice(-6)}`
  const start = kitchen.claim(
    'batch-started',
    id,
    {
      code,
      ...heldTo(method, 1, limits(), false, dayOf(at(0).at, 'UTC')),
      limits: { id: limits().id, version: 1 },
      vessel: method.vessel,
      factor: 1,
    },
    at(0),
  )
  const reads: [number, number][] = [
    [8, 92],
    [14, 57],
    [36, 19.4],
    ...(proven ? ([[150, 3.5]] as [number, number][]) : []),
  ]
  await taken(
    start,
    kitchen.reading(id, reads[0]![1], at(8)),
    kitchen.claim('step-marked', id, { step: 'cook', edge: 'done', reason: null }, at(10)),
    ...reads.slice(1).map(([minutes, celsius]) => kitchen.reading(id, celsius, at(minutes))),
  )
  return id
}

async function putAway(
  of: Id,
  value: number,
  more: Partial<Parameters<typeof portionOf>[2]> = {},
): Promise<[Id, Result]> {
  const state = await batch(of)
  const id = uuid()
  const when = ago(0)
  const code = nextItemCode(state.code, state.portions)
  const said = {
    code,
    as: 'portion' as const,
    measure: { value, unit: 'g' as const },
    last: false,
    unit: unit('Walk-in 1'),
    shelf: 1,
    ...more,
  }
  const body = portionOf(state, methodOf(state.method.name), said, limits(), 'UTC', when.at)
  return [id, await one(kitchen.claim('portioned', id, body, when))]
}

const part = async (id: Id, into: Id, celsius: number, value = 100): Promise<Bodies['part-used']> => ({
  batch: into,
  step: 'assemble',
  measure: { value, unit: 'g' },
  typed: { value: celsius, unit: 'C' },
  instrument: kitchen.starter.probe.id,
  warm: false,
  condition: null,
  part: partOf(await item(id), 'UTC'),
})

async function trifle(): Promise<Id> {
  const id = uuid()
  const method = methodOf('Orchard trifle')
  await taken(
    kitchen.claim('batch-started', id, {
      code: `t-${id.slice(-6)}`,
      ...heldTo(method, 1, limits(), false, dayOf(Date.now(), 'UTC')),
      limits: { id: limits().id, version: 1 },
      vessel: method.vessel,
      factor: 1,
    }),
  )
  return id
}

describe('what a batch becomes', () => {
  it('is put away with the dates of its batch, and leaves the Line once all of it is', async () => {
    const made = await jelly(1)
    const [first, result] = await putAway(made, 800)
    expect(result).toMatchObject({ outcome: 'accepted' })
    expect(await item(first)).toMatchObject({
      name: 'Rhubarb jelly layer',
      measure: { value: 800 },
      facts: { allergens: [] },
    })
    const onLine = async () =>
      ((await kitchen.get('/api/line')).body as { batches: BatchState[] }).batches.some(({ id }) => id === made)
    expect(await onLine()).toBe(true)
    await putAway(made, 500, { last: true })
    expect(await onLine()).toBe(false)
  })

  it('stays on the Line while it is not proven, and its dates are not for a tablet to say', async () => {
    const made = await jelly(1, false)
    const [, whole] = await putAway(made, 500, { last: true })
    expect(whole).toMatchObject({ code: 'not proven to leave' })
    const state = await batch(made)
    const when = ago(0)
    const said = {
      code: 'x',
      as: 'portion' as const,
      measure: { value: 5, unit: 'g' as const },
      last: false,
      unit: null,
      shelf: null,
    }
    const body = portionOf(state, methodOf(state.method.name), said, limits(), 'UTC', when.at)
    const longer = { ...body, dating: { ...body.dating, prepared: when.at } }
    expect(await one(kitchen.claim('portioned', uuid(), longer, when))).toMatchObject({ code: 'other lineage' })
  })

  it('goes into an assembly proven, cold and in date, and nothing else does', async () => {
    const good = (await putAway(await jelly(1), 900, { last: true }))[0]
    const [raw] = await putAway(await jelly(1, false), 900)
    const into = await trifle()
    expect(await one(kitchen.claim('part-used', good, await part(good, into, 9.4)))).toMatchObject({
      code: 'item shut',
      sentence: expect.stringContaining('9.4 °C') as string,
    })
    expect(await one(kitchen.claim('part-used', raw, await part(raw, into, 3)))).toMatchObject({
      sentence: expect.stringContaining('not proven and not released') as string,
    })
    expect(await one(kitchen.claim('part-used', good, await part(good, into, 3, 5000)))).toMatchObject({
      sentence: expect.stringContaining('only 900 g are left') as string,
    })
    const use = kitchen.claim('part-used', good, await part(good, into, 3))
    await taken(use)
    expect(itemCard(await item(good), 'UTC').left).toEqual({ value: 800, unit: 'g' })
    // Let go on by the lead, in writing, it may.
    const why = 'Read cold twice by another probe, gate not read in time'
    expect(await signed(kitchen.claim('item-released', raw, { reason: 'fine' }))).toMatchObject({
      code: 'reason short',
    })
    expect(await signed(kitchen.claim('item-released', raw, { reason: why }))).toMatchObject({ outcome: 'accepted' })
    await taken(kitchen.claim('part-used', raw, await part(raw, into, 3)))

    const lineage = (await kitchen.get(`/api/lineage/item/${good}`)).body as Lineage
    expect(lineage.nodes.find(({ id }) => id === into)).toMatchObject({ type: 'batch', generation: 1 })
    // Taken back, it never went in.
    await taken(kitchen.claim('taken-back', good, { target: use.id, also: { type: 'batch', id: into } }))
    expect(itemCard(await item(good), 'UTC').left.value).toBe(900)
    const after = (await kitchen.get(`/api/lineage/item/${good}`)).body as Lineage
    expect(after.nodes.some(({ id }) => id === into)).toBe(false)
  })

  it('moves, freezes, thaws and is split with its history; out for service it never comes back', async () => {
    const [whole] = await putAway(await jelly(1), 900, { last: true })
    const to = (how: Bodies['item-moved']['how'], name: string | null, id = whole) =>
      one(kitchen.claim('item-moved', id, { how, unit: name && unit(name), shelf: name ? 1 : null }))
    expect(await to('move', 'Chest freezer')).toMatchObject({ code: 'move shut' })
    expect(await to('freeze', 'Chest freezer')).toMatchObject({ outcome: 'accepted' })
    expect(itemCard(await item(whole), 'UTC')).toMatchObject({ lastDay: null, frozenDays: 2 })
    expect(await to('serve', 'Display case')).toMatchObject({ code: 'move shut' })
    expect(await to('thaw', 'Reach-in 2')).toMatchObject({ outcome: 'accepted' })

    const parent = await item(whole)
    const into = uuid()
    const measure = { value: 300, unit: 'g' as const }
    const as = inheritedOf(parent, 300 / 900)
    const cheat = { ...as, made: as.made + 86_400_000 }
    expect(await one(kitchen.claim('item-split', whole, { into, code: 'x', measure, as: cheat }))).toMatchObject({
      code: 'other lineage',
    })
    await taken(kitchen.claim('item-split', whole, { into, code: 'x', measure, as }))
    expect((await item(into)).dating).toEqual(parent.dating)
    expect(await to('serve', 'Display case', into)).toMatchObject({ outcome: 'accepted' })
    expect(await to('move', 'Walk-in 1', into)).toMatchObject({ code: 'move shut' })
    const { due } = (await kitchen.get('/api/store/discards')).body as { due: Due[] }
    expect(due.find((each) => each.item.id === into)).toMatchObject({ asks: 'use now', why: 'its own clock' })
  })
})

describe('a lot', () => {
  const arrived = (more: Partial<LotReceived> = {}): Omit<LotReceived, 'held'> => ({
    code: 'MK-1',
    ingredient: 'milk',
    name: 'Whole milk',
    form: null,
    size: null,
    supplier: 'Hollin Gate dairy',
    useBy: '2099-01-01',
    pasteurized: null,
    scheme: null,
    treatment: null,
    received: { typed: { value: 3.9, unit: 'C' }, instrument: kitchen.starter.probe.id },
    condition: null,
    verdict: 'accept',
    why: null,
    ...more,
  })
  const receive = async (lot: Omit<LotReceived, 'held'>): Promise<{ id: Id; held: Id; result: Result }> => {
    const [id, held, when] = [uuid(), uuid(), ago(0)]
    const place = { unit: unit('Walk-in 1'), shelf: 1 }
    const measure = { value: 5000, unit: 'g' as const }
    const kept = {
      item: held,
      code: 'L-1',
      measure,
      cost: 400,
      ...place,
      ...packageOf(lot, limits(), dayOf(when.at, 'UTC'), when.at),
    }
    const result = await one(kitchen.claim('lot-received', id, { ...lot, held: kept }, when))
    return { id, held, result }
  }

  it('is refused warm at the door, and never taken in milder than the limits allow', async () => {
    const warm = { received: { typed: { value: 9.5, unit: 'C' as const }, instrument: null } }
    expect((await receive(arrived(warm))).result).toMatchObject({
      code: 'received otherwise',
      sentence: expect.stringContaining('9.5° it is over 5') as string,
    })
    expect((await receive(arrived({ ...warm, verdict: 'hold' }))).result.outcome).toBe('refused')
    expect((await receive(arrived({ ...warm, verdict: 'refuse' }))).result.outcome).toBe('accepted')
    expect((await receive(arrived({ received: null }))).result.outcome).toBe('refused')
    expect((await receive(arrived())).result.outcome).toBe('accepted')
  })

  it('is held as an item, which the lead accepts or not', async () => {
    const { id, held, result } = await receive(arrived({ received: null, verdict: 'hold', why: 'not read' }))
    expect(result.outcome).toBe('accepted')
    expect(itemCard(await item(held), 'UTC').held).toBe(true)
    expect(await one(kitchen.claim('item-opened', held, {}))).toMatchObject({ code: 'item shut' })
    expect(
      await signed(kitchen.claim('lot-decided', id, { verdict: 'accept', reason: 'read by the driver', item: held })),
    ).toMatchObject({
      outcome: 'accepted',
    })
    expect(itemCard(await item(held), 'UTC').held).toBe(false)
    expect(await one(kitchen.claim('item-opened', held, {}))).toMatchObject({ outcome: 'accepted' })
  })

  it('is called back: everything left of it is held at once, wherever it went, and so it stays until the lead ends it', async () => {
    const shell = kitchen.starter.lots.find(({ lot }) => lot.form === 'shell')!
    const custard = uuid()
    const method = methodOf('Bay-leaf pouring custard')
    await taken(
      kitchen.claim('batch-started', custard, {
        code: `c-${custard.slice(-6)}`,
        ...heldTo(method, 1, limits(), false, dayOf(Date.now(), 'UTC')),
        limits: { id: limits().id, version: 1 },
        vessel: method.vessel,
        factor: 1,
      }),
      kitchen.claim('eggs-taken', custard, {
        step: 'temper',
        lot: shell.id,
        form: 'shell',
        as: 'separated',
        cracked: 48,
        rejected: 0,
        grams: {},
        size: 'US L',
      }),
    )
    const [portion] = await putAway(custard, 700)
    const lineage = (await kitchen.get(`/api/lineage/lot/${shell.id}`)).body as Lineage
    expect(lineage.nodes.map(({ id }) => id)).toEqual(expect.arrayContaining([custard, portion]))
    const items = lineage.nodes.flatMap(({ type, id, card }) => (type === 'item' && !card!.gone ? [id] : []))
    const batches = lineage.nodes.flatMap(({ type, id, running }) => (type === 'batch' && running ? [id] : []))
    await taken(kitchen.claim('recalled', shell.id, { items, batches, reason: 'supplier called', drill: false }))
    expect(itemCard(await item(portion), 'UTC').held).toBe(true)
    expect(await signed(kitchen.claim('item-released', portion, { reason: 'it looks all right to me' }))).toMatchObject(
      {
        code: 'recall stands',
      },
    )
    const eggs = {
      step: 'temper',
      lot: shell.id,
      form: 'shell' as const,
      as: 'whole' as const,
      cracked: 1,
      rejected: 0,
      grams: {},
      size: 'US L' as const,
    }
    expect(await one(kitchen.claim('eggs-taken', custard, eggs))).toMatchObject({ code: 'lot not accepted' })
    expect(
      await signed(kitchen.claim('recall-ended', shell.id, { items, batches, reason: 'another lot was meant' })),
    ).toMatchObject({
      outcome: 'accepted',
    })
    expect(itemCard(await item(portion), 'UTC').held).toBe(false)
  })
})

describe('what the store answers', () => {
  it('throws away with totals by reason, finds by code, and lists what is held', async () => {
    const [gone] = await putAway(await jelly(2), 650, { last: true })
    const find = uuid()
    await taken(
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
    await taken(
      kitchen.claim('item-discarded', gone, { ...NOTHING, reason: 'damaged', grams: 650, cost: 120 }),
      kitchen.claim('item-discarded', find, { ...NOTHING, reason: 'undated', grams: 300 }),
    )
    expect(await one(kitchen.claim('item-discarded', gone, { ...NOTHING, reason: 'other' }))).toMatchObject({
      code: 'item gone',
    })
    const period = `from=${Date.now() - HOUR}&to=${Date.now() + HOUR}`
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

  it('gives the calendar to its address alone, and another address once it is renewed', async () => {
    await putAway(await jelly(1), 400, { last: true })
    const { path } = (await kitchen.get('/api/store/feed')).body as { path: string }
    const open = (at: string) => kitchen.get(at).unset('Cookie')
    const calendar = (await open(path)).text
    expect(calendar).toContain('BEGIN:VCALENDAR')
    expect(calendar).toMatch(/SUMMARY:Last day: Rhubarb jelly layer/)
    const renewed = (await kitchen.send('/api/store/feed/renew')).body as { path: string }
    expect((await open(path)).status).toBe(404)
    expect((await open(renewed.path)).status).toBe(200)
  })

  it('prints labels as PDF and as a picture', async () => {
    const [id] = await putAway(await jelly(1), 400, { last: true })
    const pdf = await kitchen.get(`/api/labels/sheet.pdf?items=${id}&copies=26&paper=a4`).buffer(true)
    expect(pdf.headers['content-type']).toContain('application/pdf')
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-')
    const png = await kitchen.get(`/api/labels/${id}.png`).buffer(true)
    expect((png.body as Buffer).subarray(1, 4).toString()).toBe('PNG')
    expect((await kitchen.get(`/api/labels/sheet.pdf?items=${id}&copies=0&paper=a4`)).status).toBe(400)
    expect((await kitchen.get(`/api/labels/sheet.pdf?items=${uuid()}&copies=1&paper=a4`)).status).toBe(404)
    await taken(kitchen.claim('label-printed', id, { copies: 26 }))
    expect((await item(id)).labels).toBe(26)
  })

  it('folds items, cards and lineage anew from the chain to the very same', async () => {
    const rows = (sql: string) => kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute<object[]>(sql))
    const read = async () => [
      await rows('select id, seq, state::text, card::text, live, until_ms from item order by id'),
      await rows('select child_id, parent_id, child_type, parent_type from edge order by 1, 2'),
      await rows('select id, state::text, put_away from batch order by id'),
    ]
    const before = await read()
    expect(before[1]!.length).toBeGreaterThan(5)
    await rebuild(kitchen.scope, kitchen.kitchenId)
    expect(await read()).toEqual(before)
  })

  it('reads units on a round, and takes a mistyped one back', async () => {
    const look = kitchen.claim('unit-read', unit('Reach-in 2'), {
      typed: { value: 33, unit: 'C' },
      instrument: null,
      noted: null,
    })
    await taken(look)
    await taken(kitchen.claim('air-taken-back', unit('Reach-in 2'), { target: look.id }))
    const { units } = (await kitchen.get('/api/line')).body as { units: { id: Id; airs: SealedEntry[] }[] }
    expect(units.find(({ id }) => id === unit('Reach-in 2'))!.airs).toEqual([])
  })
})
