import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'

const NAME = 'Kitchen of the shifts'
let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ name: NAME, rates: { strangers: 1e6, tablets: 1e6 } })
})
afterAll(() => kitchen.app.close())

const http = () => request(kitchen.app.getHttpServer())
const open = (key: string, pin: string) =>
  http()
    .post('/api/shift')
    .send({ kitchen: kitchen.kitchenId, person: kitchen.person(key).id, pin, device: kitchen.device })

describe('a shift', () => {
  it('needs a name and its PIN, and says which field is wrong', async () => {
    expect((await open('teo', '12')).body).toMatchObject({
      status: 400,
      field: 'pin',
      detail: 'A PIN has four digits or more.',
    })
    expect((await open('teo', '0000')).body).toMatchObject({
      status: 403,
      field: 'pin',
      detail: expect.stringContaining('4 tries left') as string,
    })
    expect((await open('teo', kitchen.person('teo').pin)).status).toBe(200)
  })

  it('locks a name for a minute after five wrong tries, also when they come at once', async () => {
    const tries = await Promise.all(Array.from({ length: 12 }, () => open('noor', '0000')))
    expect(tries.filter(({ status }) => status === 403)).toHaveLength(5)
    expect(tries.filter(({ status }) => status === 429)).toHaveLength(7)
    expect((await open('noor', kitchen.person('noor').pin)).body).toMatchObject({ title: 'locked' })
  })

  it('keeps its cookie from scripts and other sites, and its PINs from everybody', async () => {
    const opened = await open('ilse', kitchen.person('ilse').pin)
    const [cookie] = opened.headers['set-cookie'] as unknown as string[]
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Strict/)
    const login = await http().get('/api/login')
    // By the names of its fields: an id by chance may spell anything.
    expect(JSON.stringify(login.body)).not.toMatch(/argon2|"\w*pin\w*":/i)
  })

  it('still shows the Line when locked, and takes nothing', async () => {
    const opened = await open('ilse', kitchen.person('ilse').pin)
    const cookie = opened.headers['set-cookie'] as unknown as string[]
    await http().post('/api/shift/lock').set('Cookie', cookie).expect(200)
    await http().get('/api/line').set('Cookie', cookie).expect(200)
    const refused = await http()
      .post('/api/entries')
      .set('Cookie', cookie)
      .send({ sentAt: 0, entries: [kitchen.start('x-1')] })
    expect(refused.body).toMatchObject({ status: 401, title: 'locked' })
    await http().get('/api/line').expect(401)
  })
})

describe('tablets of the kitchen', () => {
  const lead = () => kitchen.person('ilse')
  const shiftOf = async (key: string, tablet: string[] = []) => {
    const { id, pin } = kitchen.person(key)
    const opened = await http()
      .post('/api/shift')
      .set('Cookie', tablet)
      .send({ kitchen: kitchen.kitchenId, person: id, pin, device: uuid() })
    return opened.headers['set-cookie'] as unknown as string[]
  }
  const enrolled = async (name: string, shift: string[]) => {
    const answer = await http()
      .post('/api/tablets')
      .set('Cookie', shift)
      .send({ name, signer: lead().id, pin: lead().pin })
    expect(answer.status).toBe(200)
    return answer.headers['set-cookie'] as unknown as string[]
  }
  const list = async (cookies: string[]) =>
    (await http().get('/api/tablets').set('Cookie', cookies)).body as Answers['Tablets']

  it('are enrolled by the lead, named, and forgotten at once with every shift on them', async () => {
    const shift = await shiftOf('mina')
    const asCook = { name: 'Mine', signer: kitchen.person('mina').id, pin: kitchen.person('mina').pin }
    const refused = await http().post('/api/tablets').set('Cookie', shift).send(asCook)
    expect(refused.body).toMatchObject({ status: 403, field: 'signer' })
    const tablet = await enrolled('Sauce bench', shift)
    const again = { name: 'Other', signer: lead().id, pin: lead().pin }
    const twice = await http()
      .post('/api/tablets')
      .set('Cookie', [...shift, ...tablet])
      .send(again)
    expect(twice.body).toMatchObject({ status: 409 })
    const { tablets } = await list([...shift, ...tablet])
    expect(tablets).toMatchObject([{ name: 'Sauce bench', here: true }])
    const later = await shiftOf('teo', tablet)
    const forget = http()
      .post(`/api/tablets/${tablets[0]!.id}/forget`)
      .set('Cookie', await shiftOf('ilse'))
    await forget.send({ signer: lead().id, pin: lead().pin }).expect(200)
    for (const cookie of [shift, later]) await http().get('/api/line').set('Cookie', cookie).expect(401)
    expect((await list(await shiftOf('ilse'))).tablets).toEqual([])
  })

  it('are opened side by side, or told to wait: a right PIN never fails on our side', async () => {
    const tablet = await enrolled('Rush', await shiftOf('ilse'))
    const { id, pin } = kitchen.person('noor')
    const all = await Promise.all(
      Array.from({ length: 8 }, () =>
        http()
          .post('/api/shift')
          .set('Cookie', tablet)
          .send({ kitchen: kitchen.kitchenId, person: id, pin, device: uuid() }),
      ),
    )
    expect(all.map(({ status }) => status).filter((status) => status !== 200 && status !== 429)).toEqual([])
    expect(all.some(({ status }) => status === 200)).toBe(true)
  })

  it('have one shift at a time: another one ends it', async () => {
    const tablet = await enrolled('Cold side', await shiftOf('ilse'))
    const first = await shiftOf('mina', tablet)
    const second = await shiftOf('teo', tablet)
    await http().get('/api/line').set('Cookie', first).expect(401)
    await http().get('/api/line').set('Cookie', second).expect(200)
  })

  it('are not locked by what strangers guess, and the lead sees who was locked out', async () => {
    const tablet = await enrolled('Pass', await shiftOf('ilse'))
    for (let i = 0; i < 6; i++) await open('teo', '0000')
    expect((await open('teo', kitchen.person('teo').pin)).body).toMatchObject({ status: 429, title: 'locked' })
    expect(await shiftOf('teo', tablet)).toBeDefined()
    const { lockOuts } = await list(await shiftOf('ilse'))
    expect(lockOuts[0]).toMatchObject({ person: 'Teo Brandt', tablet: null, wrong: 5 })
  })

  it('that nobody enrolled are told names and nothing that can be used', async () => {
    const told = (await http().get('/api/login')).body as Answers['Login']
    const here = told.find(({ name }) => name === NAME)!
    expect(JSON.stringify(told)).not.toContain(kitchen.person('mina').id)
    expect(here.people[0]).toEqual({ id: expect.any(String) as string, name: 'Ilse Varrow', job: null, digits: null })
    const tablet = await enrolled('Oven', await shiftOf('ilse'))
    const [own, ...others] = (await http().get('/api/login').set('Cookie', tablet)).body as Answers['Login']
    expect(others).toEqual([])
    expect(own).toMatchObject({ id: kitchen.kitchenId, people: [{ job: 'food-safety lead', digits: 4 }, {}, {}, {}] })
    const mina = told
      .flatMap(({ id, people }) => people.map((person) => ({ id, person })))
      .filter(({ person }) => person.name === 'Mina Osk')
    const opened = await Promise.all(
      mina.map(({ id, person }) =>
        http()
          .post('/api/shift')
          .send({ kitchen: id, person: person.id, pin: kitchen.person('mina').pin, device: uuid() }),
      ),
    )
    expect(opened.some(({ status }) => status === 200)).toBe(true)
    const old = { kitchen: 'x', person: 'y', pin: '1182', device: uuid() }
    expect((await http().post('/api/shift').send(old)).body).toMatchObject({ status: 403, field: 'person' })
  })
})

it('ends for whoever works here no more: no shift, no PIN, no name on the door', async () => {
  const hers = await kitchen.cookieOf('mina')
  await http().get('/api/line').set('Cookie', hers).expect(200)
  const lead = kitchen.person('ilse')
  const mina = kitchen.person('mina').id
  const cookie = await kitchen.cookieOf('ilse')
  const give = (role: string | null) =>
    http().post(`/api/people/${mina}/role`).set('Cookie', cookie).send({ role, signer: lead.id, pin: lead.pin })
  // Not as a bare entry, which would leave the list of people as it was.
  const bare = kitchen.claim(
    'role-given',
    kitchen.kitchenId,
    { person: mina, role: null, administers: false },
    { by: lead.id },
  )
  const entries = { sentAt: clock.now(), entries: [bare], signer: lead.id, pin: lead.pin }
  const answer = await http().post('/api/entries').set('Cookie', cookie).send(entries)
  expect(answer.body).toMatchObject({ results: [{ id: bare.id, outcome: 'refused', code: 'has its own route' }] })
  await http().get('/api/line').set('Cookie', hers).expect(200)

  expect((await give(null)).body).toEqual({ changed: true })
  await http().get('/api/line').set('Cookie', hers).expect(401)
  expect((await open('mina', kitchen.person('mina').pin)).body).toMatchObject({ status: 403, title: 'not on the list' })
  await give('cook')
  expect((await open('mina', kitchen.person('mina').pin)).status).toBe(200)
})

describe('a PIN', () => {
  it('is locked longer with each wrong one, so that a day holds few guesses', async () => {
    const day = clock.now()
    let guesses = 0
    // Every five minutes: the first locks end sooner, the later ones hold for much longer.
    for (let minute = 0; minute < 24 * 60; minute += 5) {
      clock.set(day + minute * 60_000)
      const { status } = await open('noor', '0000')
      if (status === 403) guesses++
    }
    expect(guesses).toBeLessThan(40)
    expect(guesses).toBeGreaterThan(20)
    clock.set(day + 26 * 3_600_000)
    expect((await open('noor', kitchen.person('noor').pin)).status).toBe(200)
  }, 120_000)

  it('is changed by its owner or by the lead; that it changed is an entry, and what it is stands nowhere', async () => {
    const cookie = await kitchen.cookieOf('mina')
    const change = (person: string, signer: string, next: string) =>
      kitchen
        .send('/api/people/pin')
        .set('Cookie', cookie)
        .send({
          person: kitchen.person(person).id,
          signer: kitchen.person(signer).id,
          pin: kitchen.person(signer).pin,
          next,
        })
    expect((await change('ilse', 'teo', '735216')).body).toMatchObject({ status: 403, field: 'signer' })
    expect((await change('ilse', 'ilse', '7352')).body).toMatchObject({ status: 400, field: 'next' })
    for (const weak of ['1111', '3456', '6543'])
      expect((await change('teo', 'teo', weak)).body).toMatchObject({ status: 400, field: 'next' })
    expect((await change('teo', 'ilse', '7352')).body).toEqual({ changed: true })
    expect((await open('teo', '7352')).status).toBe(200)
    expect((await open('teo', kitchen.person('teo').pin)).status).toBe(403)
    const last = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
      em.execute<{ kind: string; canon: string }[]>('select kind, canon from entry order by seq desc limit 1'),
    )
    expect(last[0]!.kind).toBe('pin-changed')
    expect(last[0]!.canon).not.toContain('7352')
  })
})

describe('the login', () => {
  it('sends a strict content policy and describes its API', async () => {
    const { headers } = await http().get('/health/live').expect(200)
    expect(headers['content-security-policy']).toContain("default-src 'self'")
    await http().get('/health/ready').expect(200)
    await http().get('/api/docs-json').expect(200)
    expect((await http().get('/api/nothing')).body).toMatchObject({ status: 404, title: 'not there' })
  })
})
