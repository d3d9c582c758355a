import { v7 as uuid } from 'uuid'
import {
  finishedOf,
  inheritedOf,
  itemLeft,
  nextSplitCode,
  partOf,
  portionOf,
  type BatchState,
  type Bodies,
  type ItemStanding,
  type Lineage,
} from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { ago, storeOf } from '../test/storeKitchen'
import type { Due } from '../http/answers'

let kitchen: TestKitchen
let store: ReturnType<typeof storeOf>

beforeAll(async () => {
  kitchen = await openKitchen()
  store = storeOf(kitchen)
})
afterAll(() => kitchen.app.close())

describe('what is finished', () => {
  const finish = async (base: string, on: string, value: number) => {
    const [parent, topping] = [await store.item(base), await store.item(on)]
    const none = { least: 0, likely: 0, most: 0 }
    const part = partOf(topping, none, 'UTC')
    const typed = { value: 3, unit: 'C' as const }
    const put = { of: 'item' as const, item: on, measure: { value: 50, unit: 'g' as const }, typed, part }
    const how = { instrument: kitchen.starter.probe.id, warm: false, asItIs: false, condition: null }
    const measure = { value, unit: 'g' as const }
    const at = ago(0).at
    const told = { topping: { ...put, ...how }, untreated: false, lot: null }
    const as = finishedOf(parent, measure, told, { units: [], limits: store.limits(), zone: 'UTC' }, at)
    const code = value === itemLeft(parent).value ? parent.code : nextSplitCode(parent.code, [])
    return { into: uuid(), code, measure, topping: told.topping, as }
  }

  it('is an item of its own that either of its lots can call back; the server keeps what core finds, and no cheat', async () => {
    const [base] = await store.putAway(await store.jelly(1), 900, { last: true })
    const [on] = await store.putAway(await store.jelly(2), 400, { last: true })
    const body = await finish(base, on, 300)
    const cheat = {
      ...body.as,
      facts: { ...body.as.facts, allergens: [], claims: ['vegan' as const] },
      dating: { ...body.as.dating, parts: [] },
    }
    const claim = kitchen.claim('item-finished', base, { ...body, as: cheat })
    await store.taken(claim)
    const finished = await store.item(body.into)
    expect(finished.dating.parts.length).toBeGreaterThan(0)
    expect(finished.facts.claims).toEqual(body.as.facts.claims)
    expect([(await store.card(base)).left.value, (await store.card(on)).left.value]).toEqual([600, 350])
    const lineage = (await kitchen.get(`/api/lineage/item/${on}`)).body as Lineage
    expect(lineage.nodes.find(({ id }) => id === body.into)).toMatchObject({ type: 'item', generation: 1 })
    expect(lineage.nodes.some(({ id }) => id === base)).toBe(false)
    // Held is what the topping is on, and nothing else.
    await store.taken(kitchen.claim('item-held', on, { reason: 'smells' }))
    const { bars } = (await kitchen.get('/api/store/barred')).body as { bars: Record<string, { why: string }> }
    expect([bars[body.into]?.why, bars[base]]).toEqual(['held', undefined])
    // A mistake goes back whole.
    const also = [base, on].map((id) => ({ type: 'item' as const, id }))
    await store.taken(kitchen.claim('taken-back', body.into, { target: claim.id, also }))
    expect([(await store.card(base)).left.value, (await store.card(on)).left.value]).toEqual([900, 400])
    expect(await store.card(body.into)).toMatchObject({ gone: true })
  })
})

describe('what a batch becomes', () => {
  it('is put away with the dates of its batch, and leaves the Line once all of it is', async () => {
    const made = await store.jelly(1)
    const [first, result] = await store.putAway(made, 800)
    expect(result).toMatchObject({ outcome: 'accepted' })
    expect(await store.item(first)).toMatchObject({
      name: 'Rhubarb jelly layer',
      measure: { value: 800 },
      facts: { allergens: [] },
    })
    const onLine = async () =>
      ((await kitchen.get('/api/line')).body as { batches: BatchState[] }).batches.some(({ id }) => id === made)
    expect(await onLine()).toBe(true)
    await store.putAway(made, 500, { last: true })
    expect(await onLine()).toBe(false)
  })

  it('stays on the Line while it is not proven, and its dates are not for a tablet to say', async () => {
    const made = await store.jelly(1, false)
    const [, whole] = await store.putAway(made, 500, { last: true })
    expect(whole).toMatchObject({ code: 'not proven to leave' })
    const state = await store.batch(made)
    const when = ago(0)
    const said = {
      code: 'x',
      as: 'portion' as const,
      measure: { value: 5, unit: 'g' as const },
      last: false,
      unit: null,
      shelf: null,
    }
    const body = portionOf(state, store.methodOf(state.method.name), said, store.limits(), 'UTC', when.at)
    const longer = { ...body, dating: { ...body.dating, prepared: when.at } }
    const id = uuid()
    await store.taken(kitchen.claim('portioned', id, longer, when))
    expect((await store.item(id)).dating).toEqual(body.dating)
  })

  it('goes into an assembly proven, cold and in date, and nothing else does', async () => {
    const good = (await store.putAway(await store.jelly(1), 900, { last: true }))[0]
    const [raw] = await store.putAway(await store.jelly(5, false), 900)
    const [cooling] = await store.putAway(await store.jelly(0, false), 900)
    const into = await store.begun('Orchard trifle')
    expect(await store.one(kitchen.claim('part-used', good, await store.part(good, into, 9.4)))).toMatchObject({
      code: 'item shut',
      sentence: expect.stringContaining('at 9.4° it is over') as string,
    })
    expect(await store.one(kitchen.claim('part-used', raw, await store.part(raw, into, 3)))).toMatchObject({
      sentence: expect.stringContaining('not proven and not released') as string,
    })
    expect(await store.one(kitchen.claim('part-used', good, await store.part(good, into, 3, 5000)))).toMatchObject({
      sentence: expect.stringContaining('only 900 g are left') as string,
    })
    const use = kitchen.claim('part-used', good, await store.part(good, into, 3))
    await store.taken(use)
    expect((await store.card(good)).left).toEqual({ value: 800, unit: 'g' })
    // Let go on by the lead, in writing, it may.
    const why = 'Read cold twice by another probe, gate not read in time'
    expect(await store.signed(kitchen.claim('item-released', raw, { reason: 'fine' }))).toMatchObject({
      code: 'reason short',
    })
    expect(await store.signed(kitchen.claim('item-released', raw, { reason: why }))).toMatchObject({
      outcome: 'accepted',
    })
    // Not while a gate may still be proven or missed: no more than the batch itself.
    expect(await store.signed(kitchen.claim('item-released', cooling, { reason: why }))).toMatchObject({
      code: 'decision shut',
      sentence: expect.stringContaining('A gate is still open') as string,
    })
    await store.taken(kitchen.claim('part-used', raw, await store.part(raw, into, 3)))

    const lineage = (await kitchen.get(`/api/lineage/item/${good}`)).body as Lineage
    expect(lineage.nodes.find(({ id }) => id === into)).toMatchObject({ type: 'batch', generation: 1 })
    // Taken back, it never went in.
    await store.taken(kitchen.claim('taken-back', good, { target: use.id, also: [{ type: 'batch', id: into }] }))
    expect((await store.card(good)).left.value).toBe(900)
    const after = (await kitchen.get(`/api/lineage/item/${good}`)).body as Lineage
    expect(after.nodes.some(({ id }) => id === into)).toBe(false)
  })

  it('brings along into an assembly the time that it was warm, as it is judged and not as a tablet says', async () => {
    const drawer = store.unit('Blast drawer')
    const [part] = await store.putAway(await store.jelly(3), 800, { unit: drawer, last: true }, 2)
    const looked = (hoursAgo: number, value: number) => {
      const body = { typed: { value, unit: 'C' as const }, instrument: null, noted: null }
      return kitchen.claim('unit-read', drawer, body, ago(hoursAgo * 3_600_000))
    }
    await store.taken(looked(1.9, 9), looked(1.2, 9), looked(1, 3))
    const { standing } = (await kitchen.get(`/api/items/${part}`)).body as { standing: ItemStanding }
    const { time } = standing.exposure
    expect(time.most).toBeGreaterThan(50 * 60_000)
    const into = await store.begun('Orchard trifle')
    const claimed = await store.part(part, into, 3)
    expect(claimed.part.carried.most).toBe(0)
    await store.taken(kitchen.claim('part-used', part, claimed))
    const [used] = (await store.batch(into)).facts['part-used']
    expect(used!.value).toEqual(await store.part(part, into, 3, 100, time))
    const [cups] = await store.putAway(into, 100)
    expect((await store.item(cups)).carried.most).toBeGreaterThanOrEqual(Math.round(time.most))
  })

  it('takes no code that another of its batch has, nor of what was split off the same', async () => {
    const jelly = await store.jelly(2)
    const [first] = await store.putAway(jelly, 200)
    const { code } = await store.item(first)
    expect((await store.putAway(jelly, 200, { code }))[1]).toMatchObject({
      code: 'code taken',
      sentence: expect.stringContaining(code) as string,
    })
    const split = async () => {
      const parent = await store.item(first)
      const body = {
        into: uuid(),
        code: `${code}1`,
        measure: { value: 50, unit: 'g' as const },
        as: inheritedOf(parent, 50 / parent.measure.value),
      }
      return store.one(kitchen.claim('item-split', first, body))
    }
    expect(await split()).toMatchObject({ outcome: 'accepted' })
    expect(await split()).toMatchObject({ code: 'code taken' })
  })

  it('is put back by a tap where it was put away or split off by mistake, until something is done with it', async () => {
    const made = await store.jelly(1)
    const [whole] = await store.putAway(made, 900, { last: true })
    const born = (await store.item(whole)).born
    const also = { type: 'batch' as const, id: made }
    const onLine = async () =>
      ((await kitchen.get('/api/line')).body as { batches: BatchState[] }).batches.some(({ id }) => id === made)
    expect(await onLine()).toBe(false)

    const into = uuid()
    const as = inheritedOf(await store.item(whole), 300 / 900)
    const split = kitchen.claim('item-split', whole, { into, code: 'y', measure: { value: 300, unit: 'g' }, as })
    await store.taken(split)
    // What is left of it is not all that was put away.
    expect(await store.one(kitchen.claim('taken-back', whole, { target: born, also: [also] }))).toMatchObject({
      code: 'not taken back',
    })
    const parent = { type: 'item' as const, id: whole }
    expect(await store.one(kitchen.claim('taken-back', into, { target: split.id, also: [] }))).toMatchObject({
      code: 'other lineage',
    })
    await store.taken(kitchen.claim('taken-back', into, { target: split.id, also: [parent] }))
    expect(await store.card(into)).toMatchObject({ gone: true })
    expect(await store.card(whole)).toMatchObject({ left: { value: 900 }, gone: false })
    expect(await store.one(kitchen.claim('item-moved', into, { how: 'out', unit: null, shelf: null }))).toMatchObject({
      code: 'item gone',
    })

    await store.taken(kitchen.claim('taken-back', whole, { target: born, also: [also] }))
    expect(await store.card(whole)).toMatchObject({ gone: true, left: { value: 0 } })
    expect(await onLine()).toBe(true)
    expect((await store.putAway(made, 900, { last: true }))[1]).toMatchObject({ outcome: 'accepted' })
  })

  it('moves, freezes, thaws and is split with its history; out for service it never comes back', async () => {
    const [whole] = await store.putAway(await store.jelly(1), 900, { last: true })
    const to = (how: Bodies['item-moved']['how'], name: string | null, id = whole) =>
      store.one(kitchen.claim('item-moved', id, { how, unit: name && store.unit(name), shelf: name ? 1 : null }))
    expect(await to('move', 'Chest freezer')).toMatchObject({ code: 'move shut' })
    expect(await to('freeze', 'Chest freezer')).toMatchObject({ outcome: 'accepted' })
    expect(await store.card(whole)).toMatchObject({ lastDay: null, frozenDays: 2 })
    expect(await to('serve', 'Display case')).toMatchObject({ code: 'move shut' })
    expect(await to('thaw', 'Reach-in 2')).toMatchObject({ outcome: 'accepted' })

    const parent = await store.item(whole)
    const into = uuid()
    const measure = { value: 300, unit: 'g' as const }
    const as = inheritedOf(parent, 300 / 900)
    const cheat = { ...as, made: as.made + 86_400_000 }
    await store.taken(kitchen.claim('item-split', whole, { into, code: 'x', measure, as: cheat }))
    expect((await store.item(into)).made).toBe(parent.made)
    expect((await store.item(into)).dating).toEqual(parent.dating)
    expect(await to('serve', 'Display case', into)).toMatchObject({ outcome: 'accepted' })
    expect(await to('move', 'Walk-in 1', into)).toMatchObject({ code: 'move shut' })
    const { due } = (await kitchen.get('/api/store/discards')).body as { due: Due[] }
    expect(due.find((each) => each.item.id === into)).toMatchObject({ asks: 'use now', why: 'its own clock' })
  })
})
