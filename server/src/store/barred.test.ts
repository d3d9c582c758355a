import { CORE_VERSION, judgeBatch, portionOf, standingsOf, type Id, type LineageBar } from '@logged-thermal/core'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import type { Due } from '../http/answers'

let kitchen: TestKitchen
let store: ReturnType<typeof storeOf>

beforeAll(async () => {
  kitchen = await openKitchen()
  store = storeOf(kitchen)
})
afterAll(() => kitchen.app.close())

const bars = async () =>
  ((await kitchen.get('/api/store/barred')).body as { bars: Record<Id, LineageBar | undefined> }).bars
const due = async () => ((await kitchen.get('/api/store/discards')).body as { due: Due[] }).due

/** A trifle with a jelly in it: the jelly's batch, its portion, and the trifle put away. */
async function trifle(): Promise<{ jelly: Id; part: Id; made: Id }> {
  const jelly = await store.jelly(1)
  const [part] = await store.putAway(jelly, 900, { last: true })
  const into = await store.begun('Orchard trifle')
  await store.taken(kitchen.claim('part-used', part, await store.part(part, into, 3)))
  await store.taken(kitchen.claim('step-marked', into, { step: 'assemble', edge: 'combined', reason: null }))
  await store.taken(kitchen.reading(into, 3.5))
  const state = await store.batch(into)
  const [made, now] = [uuid(), clock.now()]
  const said = {
    code: `${state.code}a`,
    as: 'portion' as const,
    measure: { value: 500, unit: 'g' as const },
    last: false,
    unit: store.unit('Walk-in 1'),
    shelf: 1,
  }
  const body = portionOf(state, store.methodOf(state.method.name), said, store.limits(), 'UTC', now)
  await store.taken(kitchen.claim('portioned', made, body, { at: now, madeAt: now }))
  return { jelly, part, made }
}

const decide = async (batch: Id, decision: 'hold' | 'discard') => {
  const state = await store.batch(batch)
  const findings = standingsOf(judgeBatch(state, { zone: 'UTC' }, clock.now()))
  const body = { decision, reason: 'looked at again, and it smells', findings, core: CORE_VERSION }
  expect(await store.signed(kitchen.claim('disposed', batch, body))).toMatchObject({ outcome: 'accepted' })
}

describe('what is held by what it was made of', () => {
  it('is listed with what holds it, through the generations, and no longer once that is let go on', async () => {
    const { jelly, part, made } = await trifle()
    expect((await bars())[made]).toBeUndefined()
    // What it came to is found in the Log by what it came from, however many hands it went through.
    const now = clock.now()
    const log = await kitchen.get(`/api/log?from=${now - 86_400_000}&to=${now}&lot=${jelly}`)
    const { batches } = log.body as { batches: { name: string }[] }
    expect(batches.map(({ name }) => name)).toEqual(['Orchard trifle'])
    await store.taken(kitchen.claim('item-held', part, { reason: 'a splinter was found' }))
    expect((await bars())[made]).toMatchObject({ type: 'item', id: part, why: 'held' })
    expect((await due()).find(({ item }) => item.id === made)).toMatchObject({ asks: 'held', why: 'lineage' })
    expect((await kitchen.get(`/api/items/${made}`)).body).toMatchObject({
      standing: { asks: 'held', why: 'lineage' },
      bar: { id: part },
    })
    const why = 'sieved twice and nothing more was found in it'
    expect(await store.signed(kitchen.claim('item-released', part, { reason: why }))).toMatchObject({
      outcome: 'accepted',
    })
    expect((await bars())[made]).toBeUndefined()
  })

  it('follows a batch that is held or thrown away after all of it was put away', async () => {
    const { jelly, part, made } = await trifle()
    await decide(jelly, 'hold')
    expect(await bars()).toMatchObject({ [part]: { id: jelly, why: 'held' }, [made]: { id: jelly, why: 'held' } })
    await decide(jelly, 'discard')
    expect((await bars())[made]).toMatchObject({ id: jelly, why: 'discarded' })
  })
})

describe('bakes that may validate a method', () => {
  it('are those that were read through with their oven told', async () => {
    const method = store.methodOf('Walnut crumb sheet')
    const bake = async (oven: number | null): Promise<Id> => {
      const batch = await store.begun(method.name)
      const mark = (edge: 'started' | 'done') =>
        kitchen.claim('step-marked', batch, {
          step: 'bake',
          edge,
          reason: 'as it was',
          ...(edge === 'done' && oven !== null ? { oven: { value: oven, unit: 'C' as const } } : {}),
        })
      await store.taken(mark('started'))
      await store.taken(kitchen.reading(batch, 94))
      await store.taken(mark('done'))
      return batch
    }
    const shown = await bake(180)
    await bake(null)
    const { bakes } = (await kitchen.get(`/api/methods/${method.id}/bakes`)).body as { bakes: { batch: Id }[] }
    expect(bakes).toMatchObject([{ batch: shown, oven: { value: 180 }, step: 'bake', version: 1 }])
  })
})
