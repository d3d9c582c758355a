import type { ItemState } from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import { labelArt } from './labelArt'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const NAMED = { name: 'Fennimore Row pastry', address: '12 Mill Lane, Harrowfield', unit: 'C' }

it('says whose it is: the kitchen’s name, and its address once the lead gave one, on every label from then on', async () => {
  const store = storeOf(kitchen)
  const [item] = await store.putAway(await store.jelly(2), 650, { last: true })
  const picture = async () => ((await kitchen.get(`/api/labels/${item}.png`)).body as Buffer).toString('base64')
  const before = await picture()
  expect(await picture()).toBe(before)
  const { id: signer, pin } = kitchen.person('ilse')
  await kitchen
    .send('/api/kitchen')
    .send({ ...NAMED, signer, pin })
    .expect(200)
  expect(await picture()).not.toBe(before)

  const { item: state } = (await kitchen.get(`/api/items/${item}`)).body as { item: ItemState }
  const facts = { item: state, address: 'http://here', initials: 'MO', storage: '', advisory: '', fruitNote: '' }
  const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
  const said = (of: string, size = { width: 62, height: 40 }) => labelArt({ ...facts, kitchen: of, reader }, size)
  expect(said(`${NAMED.name}, ${NAMED.address}`).replace(/<[^>]*>/g, '')).toContain('12 Mill Lane')
  // However long it is, nothing of the item gives way to it.
  const long = said(`${NAMED.name} ${'of the very long street '.repeat(8)}`)
  expect(long).toContain(state.name.split(' ')[0])
  expect(long).toContain('bin at')
})
