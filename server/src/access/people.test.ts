import request from 'supertest'
import { v7 as uuid } from 'uuid'
import type { KitchenState } from '@logged-thermal/core'
import type { LineAnswer } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { newPin } from './newPin'

let kitchen: TestKitchen
let other: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ rates: { strangers: 1e6, tablets: 1e6 } })
  other = await openKitchen()
})
afterAll(() => Promise.all([kitchen.app.close(), other.app.close()]))

const open = (person: string, pin: string) =>
  request(kitchen.app.getHttpServer())
    .post('/api/shift')
    .send({ kitchen: kitchen.kitchenId, person, pin, device: uuid() })

const ANA = { name: 'Ana Lind', job: 'pastry cook', role: 'cook', next: '7352' }

function add(body: object, signer = 'ilse', pin = kitchen.person(signer).pin) {
  return kitchen.send('/api/people').send({ ...ANA, signer: kitchen.person(signer).id, pin, ...body })
}

function giveRole(person: string, role: string | null, signer = 'ilse', administers = false) {
  return kitchen
    .send(`/api/people/${person}/role`)
    .send({ role, administers, signer: kitchen.person(signer).id, pin: kitchen.person(signer).pin })
}

/** How many entries and people there are: a refusal leaves both as they were. */
async function counted() {
  const [row] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<object[]>('select (select count(*) from entry) as entries, (select count(*) from person) as people'),
  )
  return row
}

async function rolesSealed(): Promise<KitchenState['people']> {
  const [row] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ state: KitchenState }[]>('select state from kitchen_state'),
  )
  return row!.state.people
}

const line = async () => (await kitchen.get('/api/line')).body as LineAnswer

it('adds somebody, who opens a shift with their own PIN; the entry says what they may do and never their name', async () => {
  const added = await add({})
  expect(added.status).toBe(200)
  const { id } = added.body as { id: string }
  expect((await open(id, ANA.next)).status).toBe(200)
  expect(await rolesSealed()).toContainEqual({ id, role: 'cook' })
  expect((await line()).people).toContainEqual({ id, name: 'Ana Lind', role: 'cook', job: 'pastry cook', digits: 4 })
  const [last] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ kind: string; canon: string }[]>('select kind, canon from entry order by seq desc limit 1'),
  )
  expect(last!.kind).toBe('role-given')
  expect(last!.canon).not.toContain('Ana')
})

it.each([
  ['a name that somebody has', { name: ' ilse varrow ' }, 'ilse', { status: 409, field: 'name' }],
  ['no name', { name: ' ' }, 'ilse', { status: 400, field: 'name' }],
  ['a PIN that anybody tries', { next: '1234' }, 'ilse', { status: 400, field: 'next' }],
  ['a lead with four digits', { role: 'lead' }, 'ilse', { status: 400, field: 'next' }],
  ['a role that there is not', { role: 'owner' }, 'ilse', { status: 400, field: 'role' }],
  ['a cook who signs', { name: 'Ben Ro' }, 'teo', { status: 403, field: 'signer' }],
])('refuses %s, and writes nothing', async (_, body, signer, told) => {
  const before = await counted()
  expect((await add(body, signer)).body).toMatchObject(told)
  expect(await counted()).toEqual(before)
})

it('does not add by a PIN that is not the lead’s', async () => {
  const before = await counted()
  expect((await add({ name: 'Ben Ro' }, 'ilse', '000000')).body).toMatchObject({ status: 403, field: 'pin' })
  expect(await counted()).toEqual(before)
})

it('ends the shifts of whoever works here no more, keeps their name for what they logged, and lets the name come back', async () => {
  const teo = kitchen.person('teo')
  const cookie = await kitchen.cookieOf('teo')
  expect((await giveRole(teo.id, null)).body).toEqual({ changed: true })
  expect((await kitchen.get('/api/line').set('Cookie', cookie)).status).toBe(401)
  expect((await open(teo.id, teo.pin)).body).toMatchObject({ status: 403, title: 'not on the list' })
  expect((await line()).people.find(({ id }) => id === teo.id)).toMatchObject({ name: 'Teo Brandt', role: null })
  expect((await add({ name: 'Teo Brandt' })).status).toBe(200)
})

it('makes nobody a lead whose PIN is short, and leaves no kitchen without one', async () => {
  const { id: noor } = kitchen.person('noor')
  expect((await giveRole(noor, 'lead')).body).toMatchObject({ status: 409, field: 'role' })
  const before = await counted()
  expect((await giveRole(kitchen.person('ilse').id, 'chef')).status).toBe(403)
  expect((await giveRole(noor, 'lead', 'mina')).status).toBe(409)
  expect((await giveRole(noor, 'inspector', 'mina')).body).toMatchObject({ status: 403, field: 'signer' })
  expect(await counted()).toEqual(before)
  expect((await giveRole(noor, 'inspector')).status).toBe(200)
  expect(await rolesSealed()).toContainEqual({ id: noor, role: 'inspector' })
})

it('lets a cook whom the lead asked to look after people and tablets, as far as that goes', async () => {
  const teo = (await line()).people.find(({ name, role }) => name === 'Teo Brandt' && role !== null)!
  // The cook who came back has the PIN of somebody new.
  const signed = { signer: teo.id, pin: ANA.next }
  const addBen = () => kitchen.send('/api/people').send({ ...ANA, name: 'Ben Ro', ...signed })
  const enrol = () => kitchen.send('/api/tablets').send({ name: 'Office', ...signed })
  expect((await addBen()).body).toMatchObject({ status: 403, field: 'signer' })
  expect((await enrol()).body).toMatchObject({ status: 403, field: 'signer' })

  expect((await giveRole(teo.id, 'cook', 'ilse', true)).status).toBe(200)
  expect((await line()).people.find(({ id }) => id === teo.id)).toMatchObject({ role: 'cook', administers: true })
  const added = await addBen()
  expect(added.status).toBe(200)
  expect((await enrol()).status).toBe(200)
  const { id: ben } = added.body as { id: string }
  const give = (role: string | null, administers = false) =>
    kitchen.send(`/api/people/${ben}/role`).send({ role, administers, ...signed })
  const before = await counted()
  expect((await give('lead')).status).toBe(409)
  expect((await give('chef', true)).body).toMatchObject({ status: 403, field: 'signer' })
  expect((await give('inspector', true)).body).toMatchObject({ status: 403, field: 'signer' })
  expect(await counted()).toEqual(before)
  expect((await give(null)).status).toBe(200)
})

it('adds to no other kitchen: neither by its route nor by what the serving role may call', async () => {
  expect((await giveRole(other.person('teo').id, null)).body).toMatchObject({ status: 404 })
  const call = kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute(`select add_person(?, ?, 'Ana Lind', 'lead', 'cook', 'x', 4::smallint)`, [
      other.kitchenId,
      kitchen.kitchenId,
    ]),
  )
  await expect(call).rejects.toThrow(/row-level security/)
  const insert = kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute(`insert into person select * from person limit 1`),
  )
  await expect(insert).rejects.toThrow(/permission denied/)
})

it('gives a forgotten PIN anew from the server: the old one is none, and locked names open again', async () => {
  const { id, pin: old } = kitchen.person('mina')
  for (let i = 0; i < 6; i++) await open(id, '0000')
  expect((await open(id, old)).status).toBe(429)
  expect(await newPin(kitchen.scope, kitchen.kitchenId, 'Nobody Here')).toBeNull()
  const pin = await newPin(kitchen.scope, kitchen.kitchenId, 'mina osk')
  expect(pin).toMatch(/^\d{6}$/)
  expect((await open(id, old)).status).toBe(403)
  expect((await open(id, pin!)).status).toBe(200)
  const [last] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ kind: string; canon: string }[]>('select kind, canon from entry order by seq desc limit 1'),
  )
  expect(last!.kind).toBe('pin-changed')
  expect(last!.canon).not.toContain(pin)
})
