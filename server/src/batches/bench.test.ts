import { v7 as uuid } from 'uuid'
import {
  dayOf,
  FORMER_TERMS,
  heldTo,
  leftOverOf,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type DiscardReason,
  type EggsTaken,
  type Id,
  type ItemState,
  type LotState,
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
interface Line {
  batches: BatchState[]
  lots: LotState[]
  items: ItemState[]
}

let kitchen: TestKitchen
const post = async (...claims: AnyClaim[]) => (await kitchen.post(claims)).body as { results: Result[] }
const one = async (claim: AnyClaim) => (await post(claim)).results[0]!
const line = async () => (await kitchen.get('/api/line')).body as Line
const batchOf = async (id: Id) => (await line()).batches.find((batch) => batch.id === id)!

async function begun(name: string, forSusceptible = false): Promise<Id> {
  const { methods, limits } = kitchen.starter
  const method = methods.find((each) => each.name === name)!
  const id = uuid()
  const body: Bodies['batch-started'] = {
    code: id.slice(-8),
    ...heldTo(method, 1, limits, forSusceptible, dayOf(clock.now(), 'UTC')),
    limits: { id: limits.id, version: 1 },
    vessel: method.vessel,
    factor: 1,
  }
  expect(await one(kitchen.claim('batch-started', id, body))).toMatchObject({ outcome: 'accepted' })
  return id
}
const lot = (form: 'shell' | 'pasteurized', ingredient = 'egg') =>
  kitchen.starter.lots.find(({ lot: each }) => each.form === form && each.ingredient === ingredient)!
const eggs = (more: Partial<EggsTaken> = {}): EggsTaken => ({
  step: 'temper',
  lot: lot('shell').id,
  form: 'shell',
  as: 'separated',
  cracked: 30,
  rejected: 1,
  grams: {},
  size: 'US L',
  item: lot('shell').lot.held!.item,
  ...more,
})

beforeAll(async () => {
  kitchen = await openKitchen()
  // Nobody looked at the egg refrigerator yet: what lies in it is cold by its own reading.
  for (const each of [lot('shell'), lot('pasteurized', 'yolk')]) {
    const read = { typed: { value: 3, unit: 'C' as const }, instrument: kitchen.starter.probe.id }
    expect(await one(kitchen.claim('item-read', each.lot.held!.item, read))).toMatchObject({ outcome: 'accepted' })
  }
})
afterAll(() => kitchen.app.close())

it('keeps what eggs left over as an item with its lineage, in the record of the batch, until it is binned', async () => {
  const batch = await begun('Brown-butter pastry cream')
  expect(await one(kitchen.claim('eggs-taken', batch, eggs()))).toMatchObject({ outcome: 'accepted' })
  const item = uuid()
  const whites = leftOverOf(await batchOf(batch), 'white', 990, 'kept', (await line()).lots)!
  expect(await one(kitchen.claim('left-over', item, { ...whites, grams: 2000 }))).toMatchObject({
    status: 422,
    field: 'body.grams',
    sentence: 'Only about 990 g are left over. Weigh it again.',
  })
  expect(await one(kitchen.claim('left-over', item, whites))).toMatchObject({ outcome: 'accepted' })
  expect((await line()).items.find(({ id }) => id === item)).toMatchObject({
    measure: { value: 990, unit: 'g' },
    facts: { heat: 'raw' },
    discarded: null,
  })
  expect((await batchOf(batch)).facts['left-over']).toHaveLength(1)

  const record = (await kitchen.get(`/api/batches/${batch}/entries`)).body as { entries?: { claim: AnyClaim }[] }
  expect(JSON.stringify(record)).toContain('"left-over"')

  expect(await one(kitchen.claim('item-discarded', item, thrown('left over')))).toMatchObject({
    outcome: 'accepted',
  })
  expect((await line()).items.some(({ id }) => id === item)).toBe(false)
  expect(await one(kitchen.claim('item-discarded', item, thrown('other')))).toMatchObject({ status: 409 })
})

it('refuses the wrong egg where it counts, with a sentence, and takes the right one', async () => {
  const mousse = await begun('Juniper chocolate mousse')
  const answer = await one(kitchen.claim('eggs-taken', mousse, eggs({ step: 'fold' })))
  expect(answer).toMatchObject({ outcome: 'refused', status: 422, field: 'body.lot' })
  expect(answer.sentence).toContain('no step heats this egg')
  const carton = eggs({
    step: 'fold',
    lot: lot('pasteurized', 'yolk').id,
    form: 'pasteurized',
    as: 'yolk',
    cracked: null,
    grams: { yolk: 260 },
    item: lot('pasteurized', 'yolk').lot.held!.item,
  })
  expect(await one(kitchen.claim('eggs-taken', mousse, carton))).toMatchObject({ outcome: 'accepted' })

  const custard = await begun('Rye-malt custard', true)
  expect((await one(kitchen.claim('eggs-taken', custard, eggs()))).sentence).toContain('highly susceptible people')
})

it('takes terms from core alone: an order may be for susceptible people, and nothing else is for a tablet to say', async () => {
  const { methods, limits } = kitchen.starter
  const method = methods.find(({ name }) => name === 'Rye-malt custard')!
  const held = heldTo(method, 1, limits, false, dayOf(clock.now(), 'UTC'))
  const termsHeld = async (terms: unknown) => {
    const id = uuid()
    const begun = await one(
      kitchen.claim('batch-started', id, {
        code: uuid().slice(-8),
        ...held,
        terms: terms as typeof held.terms,
        limits: { id: limits.id, version: 1 },
        vessel: method.vessel,
        factor: 1,
      }),
    )
    expect(begun).toMatchObject({ outcome: 'accepted' })
    return (await batchOf(id)).terms
  }
  const easy = { ...held.terms, eggs: { ...held.terms.eggs, unheated: 'any' } }
  for (const terms of [easy, null, 'any', { ...held.terms, warmMinutes: 300 }, held.terms])
    expect(await termsHeld(terms)).toEqual(held.terms)
  const stricter = heldTo(method, 1, limits, true, dayOf(clock.now(), 'UTC')).terms
  expect(await termsHeld({ ...held.terms, susceptible: true })).toEqual(stricter)
})

it('asks for a reason where a step that matters is jumped, and keeps it', async () => {
  const batch = await begun('Bay-leaf pouring custard')
  const done = (reason: string | null) => kitchen.claim('step-marked', batch, { step: 'cook', edge: 'done', reason })
  expect(await one(done(null))).toMatchObject({ status: 422, field: 'body.reason' })
  expect(await one(done('one pan, one heat'))).toMatchObject({ outcome: 'accepted' })
  expect((await batchOf(batch)).facts['step-marked'][0]!.value).toEqual({
    step: 'cook',
    edge: 'done',
    reason: 'one pan, one heat',
  })
})

it('lets what is served at once go out, and only that', async () => {
  const custard = await begun('Bay-leaf pouring custard')
  expect(await one(kitchen.claim('served', custard, { discarded: 1 }))).toMatchObject({ status: 422 })
  const souffle = await begun('Caraway soufflé')
  const early = await one(kitchen.claim('served', souffle, { discarded: 2 }))
  expect(early).toMatchObject({ outcome: 'refused', status: 409, field: 'about.id' })
  expect(early.sentence).toContain('not proven')
  const gone = kitchen.claim('served', souffle, { discarded: 2, happened: true })
  expect(await one(gone)).toMatchObject({ outcome: 'accepted' })
  // Gone out against its standing: it stays on the Line until the lead has decided.
  expect((await batchOf(souffle)).served?.value.happened).toBe(true)
  const proven = await begun('Caraway soufflé')
  const read = (value: number) =>
    kitchen.claim('reading-taken', proven, {
      typed: { value, unit: 'C' },
      where: 'core',
      of: 'mixture',
      instrument: kitchen.starter.probe.id,
    })
  const combined = kitchen.claim('step-marked', proven, { step: 'combine', edge: 'combined', reason: null })
  for (const claim of [combined, read(78)]) expect(await one(claim)).toMatchObject({ outcome: 'accepted' })
  clock.set(clock.now() + 20_000)
  expect(await one(read(79))).toMatchObject({ outcome: 'accepted' })
  expect(await one(kitchen.claim('served', proven, { discarded: 2 }))).toMatchObject({ outcome: 'accepted' })
  expect(await batchOf(proven)).toBeUndefined()
  expect(await one(kitchen.claim('noted', proven, { text: 'late', cue: null }))).toMatchObject({ status: 409 })
})

it('brings entries of an older tablet up', async () => {
  const batch = await begun('Bay-leaf pouring custard')
  const former = kitchen.claim('step-marked', batch, { step: 'warm', edge: 'done', reason: null }, { v: 1 })
  expect(await one({ ...former, body: { step: 'warm', edge: 'done' } } as unknown as AnyClaim)).toMatchObject({
    outcome: 'accepted',
  })
  const { facts, terms } = await batchOf(batch)
  expect(facts['step-marked'].at(-1)!.value).toEqual({ step: 'warm', edge: 'done', reason: null })
  expect(terms).not.toEqual(FORMER_TERMS)
})

function thrown(reason: DiscardReason): Bodies['item-discarded'] {
  return { reason, note: null, measure: null, grams: null, cost: null }
}
