import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { HOUR } from '@logged-thermal/core'
import { nextKitchenCode } from '../kitchens/nextKitchen'
import { newSetUpCode, setUpHash } from '../kitchens/setUpCode'
import { asOwner, openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ rates: { strangers: 1e6, tablets: 1e6 } })
})
afterAll(() => kitchen.app.close())

const ASKED = {
  // Nobody else's: other suites found kitchens in this database meanwhile.
  name: `Second kitchen ${uuid()}`,
  zone: 'Europe/London',
  unit: 'C',
  ruleSet: 'us-food-code-2022',
  lead: 'Ana Lind',
  pin: '735216',
}

const setUp = (body: object) =>
  request(kitchen.app.getHttpServer())
    .post('/api/set-up')
    .send({ ...ASKED, device: uuid(), ...body })

/** Those that these tests may have founded. */
const kitchens = async () =>
  (await kitchen.scope.kitchens()).filter(({ name }) => name === ASKED.name || name.trim() === '')

it.each([
  ['a code that nobody was given', { code: newSetUpCode() }, { status: 403, field: 'code' }],
  ['half a code', { code: 'K7QM' }, { status: 400, field: 'code' }],
  ['no name', { code: newSetUpCode(), name: ' ' }, { status: 400, field: 'name' }],
  ['a zone that there is not', { code: newSetUpCode(), zone: 'Atlantis/North' }, { status: 400, field: 'zone' }],
  ['rules that there are not', { code: newSetUpCode(), ruleSet: 'none' }, { status: 400, field: 'ruleSet' }],
  ['a lead with four digits', { code: newSetUpCode(), pin: '7352' }, { status: 400, field: 'pin' }],
])('founds nothing with %s', async (_, body, told) => {
  const before = await kitchens()
  expect((await setUp(body)).body).toMatchObject(told)
  expect(await kitchens()).toEqual(before)
})

it('founds no second kitchen with a good code, and keeps the code unused', async () => {
  const code = newSetUpCode()
  const kept = () =>
    asOwner((owner) => owner.em.execute('select code_hash from set_up where code_hash = ?', [setUpHash(code)]))
  await asOwner((owner) => owner.em.execute('insert into set_up (code_hash) values (?)', [setUpHash(code)]))
  const before = await kitchens()
  expect((await setUp({ code })).body).toMatchObject({ status: 403, field: 'code' })
  expect(await kitchens()).toEqual(before)
  expect(await kept()).toHaveLength(1)
  await asOwner((owner) => owner.em.execute('delete from set_up where code_hash = ?', [setUpHash(code)]))
})

it('founds another with a code that was given for one on the server, once and within a day, strictly apart', async () => {
  const given = await asOwner((owner) => nextKitchenCode(owner.em.fork(), Date.now()))
  const opened = await setUp({ code: given, address: ' 3 Mill Lane ' })
  expect(opened.status).toBe(200)
  const cookie = opened.headers['set-cookie'] as unknown as string[]
  const line = await request(kitchen.app.getHttpServer()).get('/api/line').set('Cookie', cookie)
  // Its lead, drafts of methods, and nothing of the kitchen beside it.
  expect(line.body).toMatchObject({
    people: [{ role: 'lead' }],
    batches: [],
    lots: [],
    items: [],
    units: [],
    instruments: [],
  })
  expect((line.body as { kitchen: object }).kitchen).toMatchObject({ name: ASKED.name, address: '3 Mill Lane' })
  expect((await setUp({ code: given })).body).toMatchObject({ status: 403, field: 'code' })
  const late = await asOwner((owner) => nextKitchenCode(owner.em.fork(), Date.now() - 25 * HOUR))
  expect((await setUp({ code: late })).body).toMatchObject({ status: 403, field: 'code' })
})

it('leaves the serving role no other way to a kitchen', async () => {
  const tried = (sql: string) => kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute(sql))
  await expect(tried('insert into kitchen select * from kitchen limit 1')).rejects.toThrow(/permission denied/)
  await expect(tried(`insert into set_up values ('x')`)).rejects.toThrow(/permission denied/)
  await expect(tried('select * from set_up')).rejects.toThrow(/permission denied/)
})

it('reads a code however it is typed', () => {
  const code = newSetUpCode()
  expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}$/)
  expect(setUpHash(code.toLowerCase().replace('-', ' '))).toBe(setUpHash(code))
  expect(setUpHash(newSetUpCode())).not.toBe(setUpHash(code))
})
