import { v7 as uuid } from 'uuid'
import { inheritedOf, nextSplitCode, type ItemCard, type ItemStanding } from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { ago, storeOf } from '../test/storeKitchen'
import { verify } from '../verify/verify'

let kitchen: TestKitchen
let store: ReturnType<typeof storeOf>

beforeAll(async () => {
  kitchen = await openKitchen()
  store = storeOf(kitchen)
})
afterAll(() => kitchen.app.close())

/** As a tablet that claims that nothing was in it. */
const claimed = {
  name: '',
  called: '',
  left: { allergens: [], unknown: [] },
  after: null,
  holds: { allergens: [], unknown: [] },
}

it('finds what was in a tool whatever the tablet says, writes it on the item, and hangs it up', async () => {
  const bag = uuid()
  const tool = { tool: bag, name: 'Bag 3', kind: 'bag' as const, gone: false }
  const own = kitchen.kitchenId
  expect(await store.one(kitchen.claim('tool-registered', own, tool))).toMatchObject({ code: 'may not' })
  expect(await store.signed(kitchen.claim('tool-registered', own, tool))).toMatchObject({ outcome: 'accepted' })
  const [nutty, plain] = [await store.jelly(1), await store.jelly(1)]
  const through = { step: 'cook', tool: bag, washed: false, ...claimed }
  await store.taken(
    kitchen.claim('added', nutty, { step: 'cook', ingredient: 'hazelnuts', grams: 80, state: 'as it is', lot: null }),
    kitchen.claim('tool-used', nutty, through),
    kitchen.claim('tool-used', plain, through),
  )
  const { facts } = await store.batch(plain)
  expect(facts['tool-used'][0]!.value).toMatchObject({ name: 'Bag 3', left: { allergens: ['tree nuts'] } })
  expect(await store.one(kitchen.claim('tool-used', plain, { ...through, tool: uuid() }))).toMatchObject({
    code: 'not there',
    sentence: 'This kitchen has no such tool.',
  })
  const [item] = await store.putAway(plain, 900)
  const { mayContain, claims } = (await store.item(item)).facts
  expect([mayContain, claims.includes('without nuts')]).toEqual([{ allergens: ['tree nuts'], unknown: [] }, false])

  // The label names it, for the kitchen and for sale, and so do the list and the notice.
  const picture = async (query: string) =>
    ((await kitchen.get(`/api/labels/${item}.png${query}`).expect(200)).body as Buffer).toString('base64')
  expect(await picture('?use=sale&v=1')).not.toBe(await picture('?v=1'))
  await kitchen.get(`/api/labels/${item}.png?use=resale`).expect(400)
  const { items } = (await kitchen.get('/api/store')).body as { items: ItemCard[] }
  expect(items.find(({ id }) => id === item)).toMatchObject({ mayContain: { allergens: ['tree nuts'] } })
  const csv = (await kitchen.get('/api/store/stock.csv')).text
  expect(csv.split('\n')[0]).toContain('may contain')
  const notice = (await kitchen.get('/api/labels/notice.pdf').expect(200)).body as Buffer
  expect(notice.subarray(0, 5).toString()).toBe('%PDF-')
})

it('told only after it was put away, it is on the item and on what was split off it, found by its entry and refolded', async () => {
  const bag = uuid()
  await store.signed(
    kitchen.claim('tool-registered', kitchen.kitchenId, { tool: bag, name: 'Bag 4', kind: 'bag', gone: false }),
  )
  const [nutty, plain] = [await store.jelly(1), await store.jelly(1)]
  const through = { step: 'cook', tool: bag, washed: false, ...claimed }
  await store.taken(
    kitchen.claim('tool-used', nutty, through, ago(20 * 60_000)),
    kitchen.claim('tool-used', plain, through, ago(15 * 60_000)),
  )
  const [item] = await store.putAway(plain, 900)
  const into = uuid()
  const parent = await store.item(item)
  const measure = { value: 300, unit: 'g' as const }
  const as = inheritedOf(parent, 1 / 3)
  await store.taken(kitchen.claim('item-split', item, { into, code: nextSplitCode(parent.code, []), measure, as }))
  const nuts = { step: 'cook', ingredient: 'hazelnuts', grams: 80, state: 'as it is' as const, lot: null }
  await store.taken(kitchen.claim('added', nutty, nuts, ago(25 * 60_000)))
  for (const each of [item, into]) {
    const { facts, reached } = await store.item(each)
    expect(facts.mayContain).toEqual({ allergens: ['tree nuts'], unknown: [] })
    expect(reached).toHaveLength(1)
  }
  const { standing } = (await kitchen.get(`/api/items/${item}`).expect(200)).body as { standing: ItemStanding }
  expect(standing).toMatchObject({ asks: 'lead decides', why: 'label lacks' })
  expect(await store.one(kitchen.claim('item-used', item, { measure, then: 'sold' }))).toMatchObject({
    outcome: 'refused',
  })
  const witnesses = { seals: null, role: 'lt_app' }
  const { faults } = await verify(kitchen.scope, kitchen.kitchenId, witnesses)
  // This kitchen's story is told in the past, so that times go back in it; the rest holds.
  expect(faults.filter(({ code }) => code !== 'unguarded' && code !== 'recorded earlier')).toEqual([])
})
