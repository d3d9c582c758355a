import request from 'supertest'
import { openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
beforeAll(async () => (kitchen = await openKitchen()))
afterAll(() => kitchen.app.close())

const NAMED = { name: 'Fennimore Row pastry', address: '14 Fennimore Row', unit: 'F' }

const name = async (key: string, body: object) =>
  request(kitchen.app.getHttpServer())
    .post('/api/kitchen')
    .set('Cookie', await kitchen.cookieOf(key))
    .send({ ...NAMED, signer: kitchen.person('ilse').id, pin: kitchen.person('ilse').pin, ...body })

const asTold = async () => ((await kitchen.get('/api/line')).body as { kitchen: object }).kitchen

it('is named by the lead: an entry with its author, and the same on the Line and at the door', async () => {
  const other = await openKitchen()
  const theirs = ((await other.get('/api/line')).body as { kitchen: object }).kitchen
  expect((await name('mina', {})).body).toEqual({ named: true })
  expect(await asTold()).toMatchObject(NAMED)
  const doors = (await request(kitchen.app.getHttpServer()).get('/api/login')).body as { name: string }[]
  expect(doors.map((door) => door.name)).toContain(NAMED.name)
  const [entry] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ canon: string }[]>('select canon from entry order by seq desc limit 1'),
  )
  const { claim } = JSON.parse(entry!.canon) as { claim: { kind: string; by: string; body: object } }
  expect(claim).toMatchObject({ kind: 'kitchen-named', by: kitchen.person('ilse').id, body: NAMED })
  // Another kitchen of the same installation never hears of it.
  expect(((await other.get('/api/line')).body as { kitchen: object }).kitchen).toEqual(theirs)
  await other.app.close()
})

it.each([
  ['a cook who signs', { signer: 'mina' }, { status: 403 }],
  ['a wrong PIN', { pin: '999999' }, { status: 403 }],
  ['no name', { name: ' ' }, { status: 400, field: 'name' }],
  ['a unit that there is not', { unit: 'K' }, { status: 400, field: 'unit' }],
  ['an address of two lines', { address: 'one\ntwo' }, { status: 400, field: 'address' }],
])('is not named by %s, and stays as it was', async (_, wrong, told) => {
  const before = await asTold()
  const signer = 'signer' in wrong ? { signer: kitchen.person('mina').id, pin: kitchen.person('mina').pin } : wrong
  expect((await name('ilse', { name: 'Another', ...signer })).body).toMatchObject(told)
  expect(await asTold()).toEqual(before)
})

it('is not renamed past its entry by whoever serves, nor from another kitchen', async () => {
  const tried = (sql: string) => kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute(sql))
  await expect(tried(`update kitchen set name = 'x'`)).rejects.toThrow(/permission denied/)
  const bare = kitchen.claim('kitchen-named', kitchen.kitchenId, { name: 'x', address: null, unit: 'C' })
  expect((await kitchen.post([bare])).body).toMatchObject({ results: [{ code: 'has its own route' }] })
})
