import { holdOf, leftOfLot, missedBy, releasedAt, type EggsTaken, type Lineage } from '@logged-thermal/core'
import { v7 as uuid } from 'uuid'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'

let kitchen: TestKitchen
let store: ReturnType<typeof storeOf>

beforeAll(async () => {
  kitchen = await openKitchen()
  store = storeOf(kitchen)
})
afterAll(() => kitchen.app.close())

describe('a lot', () => {
  it('is refused warm at the door, and never taken in milder than the limits allow', async () => {
    const warm = { received: { typed: { value: 9.5, unit: 'C' as const }, instrument: null } }
    expect((await store.receive(store.arrived(warm))).result).toMatchObject({
      code: 'received otherwise',
      // Milk may come warmer than other cold food, where a law of its own says so.
      sentence: expect.stringContaining('9.5° it is over 7') as string,
    })
    expect((await store.receive(store.arrived({ ...warm, verdict: 'hold' }))).result.outcome).toBe('refused')
    expect((await store.receive(store.arrived({ ...warm, verdict: 'refuse' }))).result.outcome).toBe('accepted')
    expect((await store.receive(store.arrived({ received: null }))).result.outcome).toBe('refused')
    expect((await store.receive(store.arrived())).result.outcome).toBe('accepted')
  })

  it("is refused in the scale that the tablet reads, and in the kitchen's where it says none", async () => {
    const warm = { received: { typed: { value: 9.5, unit: 'C' as const }, instrument: null }, held: null }
    const refusedIn = async (more: object) => {
      const claim = kitchen.claim('lot-received', uuid(), { ...store.arrived(), ...warm })
      return ((await kitchen.post([claim], more)).body as { results: { sentence: string }[] }).results[0]!.sentence
    }
    expect(await refusedIn({ scale: 'F' })).toContain('49.1° it is over 45°')
    expect(await refusedIn({})).toContain('9.5° it is over 7')
  })

  it('is held as an item, which the lead accepts or not', async () => {
    const { id, held, result } = await store.receive(
      store.arrived({ received: null, verdict: 'hold', why: 'not read' }),
    )
    expect(result.outcome).toBe('accepted')
    expect((await store.card(held)).held).toBe(true)
    expect(await store.one(kitchen.claim('item-opened', held, {}))).toMatchObject({ code: 'item shut' })
    expect(
      await store.signed(
        kitchen.claim('lot-decided', id, { verdict: 'accept', reason: 'read by the driver', item: held }),
      ),
    ).toMatchObject({
      outcome: 'accepted',
    })
    expect((await store.card(held)).held).toBe(false)
    expect(await store.one(kitchen.claim('item-opened', held, {}))).toMatchObject({ outcome: 'accepted' })
  })

  it('of eggs gives them out of its package, the rejected ones too, and has them back when they are taken back', async () => {
    const { id: lot, lot: received } = kitchen.starter.lots.find(({ lot: { form } }) => form === 'shell')!
    const { item, measure } = received.held!
    const into = await store.begun('Bay-leaf pouring custard')
    const eggs: EggsTaken = {
      step: 'temper',
      lot,
      form: 'shell',
      as: 'separated',
      cracked: 48,
      rejected: 2,
      grams: {},
      size: 'US L',
      item,
    }
    // Nobody looked at the egg refrigerator for a day: between the eggs it is cold.
    const typed = { value: 4, unit: 'C' as const }
    await store.taken(kitchen.claim('item-read', item, { typed, instrument: kitchen.starter.probe.id }))
    const take = kitchen.claim('eggs-taken', into, eggs)
    const left = async () => (await store.card(item)).left.value
    await store.taken(take)
    expect(await left()).toBe(measure.value - 50)
    // Out of another lot's package they did not come, and a tap on the package does not put them back.
    const other = kitchen.starter.lots.find(({ lot: { form } }) => form !== 'shell')!.lot.held!.item
    expect(await store.one(kitchen.claim('eggs-taken', into, { ...eggs, item: other }))).toMatchObject({
      code: 'other lineage',
    })
    expect(await store.one(kitchen.claim('taken-back', item, { target: take.id, also: [] }))).toMatchObject({
      code: 'not taken back',
    })
    const undo = { target: take.id, reason: 'undo' as const, now: 'void' as const }
    expect(await store.one(kitchen.claim('corrected', into, { ...undo, item: null }))).toMatchObject({
      code: 'other lineage',
    })
    await store.taken(kitchen.claim('corrected', into, { ...undo, item }))
    expect(await left()).toBe(measure.value)
    // Held, nothing comes out of it.
    await store.taken(kitchen.claim('item-held', item, { reason: 'smells' }))
    expect(await store.one(kitchen.claim('eggs-taken', into, eggs))).toMatchObject({ code: 'item shut' })
    const why = 'Smelled at by two, nothing wrong with it'
    expect(await store.signed(kitchen.claim('item-released', item, { reason: why }))).toMatchObject({
      outcome: 'accepted',
    })
  })

  it('is called back: everything left of it is held at once, wherever it went, and so it stays until the lead ends it', async () => {
    const shell = kitchen.starter.lots.find(({ lot }) => lot.form === 'shell')!
    const custard = await store.begun('Bay-leaf pouring custard')
    const typed = { value: 4, unit: 'C' as const }
    const read = { typed, instrument: kitchen.starter.probe.id }
    await store.taken(kitchen.claim('item-read', shell.lot.held!.item, read))
    await store.taken(
      kitchen.claim('eggs-taken', custard, {
        step: 'temper',
        lot: shell.id,
        form: 'shell',
        as: 'separated',
        cracked: 48,
        rejected: 0,
        grams: {},
        size: 'US L',
        item: shell.lot.held!.item,
      }),
    )
    const [portion] = await store.putAway(custard, 700)
    const lineage = (await kitchen.get(`/api/lineage/lot/${shell.id}`)).body as Lineage
    expect(lineage.nodes.map(({ id }) => id)).toEqual(expect.arrayContaining([custard, portion]))
    const { items, batches } = leftOfLot(lineage)
    expect({ items, batches }).toEqual({
      items: expect.arrayContaining([portion]) as string[],
      batches: expect.arrayContaining([custard]) as string[],
    })
    const recall = { reason: 'supplier called', drill: false }
    // As a tablet saw it that did not know of the portion; then the rest; and then there is nothing more to hold.
    const known = items.filter((id) => id !== portion)
    await store.taken(kitchen.claim('recalled', shell.id, { ...recall, items: known, batches }))
    expect((await store.card(portion)).held).toBe(false)
    const seen = { items: [await store.item(portion)], batches: [await store.batch(custard)] }
    expect(missedBy(shell.id, { items, batches }, seen)).toEqual({ items: [portion], batches: [] })
    await store.taken(kitchen.claim('recalled', shell.id, { ...recall, items: [portion], batches: [] }))
    expect((await store.card(portion)).held).toBe(true)
    expect(await store.one(kitchen.claim('recalled', shell.id, { ...recall, items, batches }))).toMatchObject({
      code: 'recalled already',
    })
    expect(
      await store.one(kitchen.claim('recalled', shell.id, { ...recall, drill: true, items: [], batches: [] })),
    ).toMatchObject({ code: 'recalled already' })
    expect(
      await store.signed(kitchen.claim('item-released', portion, { reason: 'it looks all right to me' })),
    ).toMatchObject({
      code: 'recall stands',
    })
    const eggs = {
      step: 'temper',
      lot: shell.id,
      form: 'shell' as const,
      as: 'whole' as const,
      cracked: 1,
      rejected: 0,
      grams: {},
      size: 'US L' as const,
      item: null,
    }
    expect(await store.one(kitchen.claim('eggs-taken', custard, eggs))).toMatchObject({ code: 'lot not accepted' })
    expect(
      await store.signed(kitchen.claim('recall-ended', shell.id, { items, batches, reason: 'another lot was meant' })),
    ).toMatchObject({
      outcome: 'accepted',
    })
    expect((await store.card(portion)).held).toBe(false)
  })

  it('called back beside another holds what is of both until both are over; a drill lets nothing go on that was held', async () => {
    const [one, other] = [await store.receive(store.arrived()), await store.receive(store.arrived())]
    const shared = one.held
    const recall = (lot: string, drill: boolean) =>
      store.taken(kitchen.claim('recalled', lot, { items: [shared], batches: [], reason: 'called back', drill }))
    const end = async (lot: string) =>
      expect(
        await store.signed(kitchen.claim('recall-ended', lot, { items: [shared], batches: [], reason: 'it is over' })),
      ).toMatchObject({ outcome: 'accepted' })
    await store.taken(kitchen.claim('item-held', shared, { reason: 'dented' }))
    await recall(one.id, true)
    await recall(other.id, false)
    await end(one.id)
    expect(holdOf(await store.item(shared))?.value).toMatchObject({ recall: other.id })
    await end(other.id)
    const item = await store.item(shared)
    expect(holdOf(item)?.value).toEqual({ held: true, reason: 'dented', recall: null })
    expect(releasedAt(item)).toBeNull()
  })

  it('called back as a drill can be called back in earnest, and not the other way', async () => {
    const { id, held } = await store.receive(store.arrived())
    const recall = (drill: boolean) =>
      store.one(kitchen.claim('recalled', id, { items: [held], batches: [], reason: 'called back', drill }))
    expect(await recall(true)).toMatchObject({ outcome: 'accepted' })
    expect(await recall(false)).toMatchObject({ outcome: 'accepted' })
    expect(await recall(true)).toMatchObject({ code: 'recalled already' })
  })
})
