import request from 'supertest'
import { Secret, TOTP } from 'otpauth'
import { v7 as uuid } from 'uuid'
import { DAY, HOUR, MINUTE, type SealedEntry } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { Accounts } from '../people/accounts.service'
import { openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
let other: TestKitchen
let begun = 0
beforeAll(async () => {
  kitchen = await openKitchen({ name: 'Kitchen of the accounts', rates: { strangers: 1e6, tablets: 1e6 } })
  other = await openKitchen({ name: 'The other kitchen' })
})
afterAll(() => Promise.all([kitchen.app.close(), other.app.close()]))
beforeEach(() => void (begun = clock.now()))
afterEach(() => clock.set(begun))

const http = () => request(kitchen.app.getHttpServer())
const PASSWORD = 'ladle under the window'

/** A name of its own for each story: accounts are the installation's. */
let names = 0
const newName = () => `somebody.${++names}.${uuid().slice(-6)}`

interface Giving {
  called: string
  person?: string
  signer?: string
  password?: string
  current?: string
}
async function give(where: TestKitchen, { person = 'ilse', signer = person, ...asked }: Giving) {
  const { id, pin } = where.person(signer)
  const body = { password: PASSWORD, ...asked, person: where.person(person).id, signer: id, pin }
  return request(where.app.getHttpServer())
    .post('/api/people/password')
    .set('Cookie', await where.cookieOf('mina'))
    .send(body)
}
const signIn = (called: string, password = PASSWORD, code?: string, cookie: string[] = []) =>
  http().post('/api/sign-in').set('Cookie', cookie).send({ called, password, code })
const cookieIn = ({ headers }: request.Response) => headers['set-cookie'] as unknown as string[]
const account = async (cookie: string[]) =>
  ((await http().get('/api/account').set('Cookie', cookie)).body as Answers['Account']).account

describe('a password', () => {
  it.each([
    ['too short', 'short', 'has 10 characters or more'],
    ['one of many people', 'Password-1234!', 'Many people use'],
    ['a row', '12345678901', 'Many people use'],
    ['the same again', 'abcabcabcabc', 'Many people use'],
    ['made of names', 'Ilse Varrow 2026', 'made of names'],
  ])('is refused where it is %s, and says so beside it', async (_, password, sentence) => {
    const refused = await give(kitchen, { called: newName(), password })
    expect(refused.body).toMatchObject({
      status: 400,
      field: 'password',
      detail: expect.stringContaining(sentence) as string,
    })
  })

  it('is for leads and auditors, signed with a PIN, and stands in the logbook as given', async () => {
    expect((await give(kitchen, { called: newName(), person: 'teo' })).body).toMatchObject({
      status: 409,
      field: 'person',
    })
    expect((await give(kitchen, { called: newName(), signer: 'noor' })).body).toMatchObject({ status: 403 })
    expect((await give(kitchen, { called: newName() })).status).toBe(200)
    const entries = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
      em.execute<{ canon: string }[]>('select canon from entry where kitchen_id = ? order by seq desc limit 1', [
        kitchen.kitchenId,
      ]),
    )
    const { claim } = JSON.parse(entries[0]!.canon) as SealedEntry
    expect(claim).toMatchObject({ kind: 'password-given', body: { person: kitchen.person('ilse').id } })
    expect(entries[0]!.canon).not.toContain('argon2')
    const bare = kitchen.claim('password-given', kitchen.kitchenId, { person: kitchen.person('ilse').id })
    expect((await kitchen.post([bare])).body).toMatchObject({ results: [{ outcome: 'refused' }] })
  })

  it('signs in, opens the kitchen, and is over after twelve hours, or at once by signing out', async () => {
    const called = newName()
    await give(kitchen, { called })
    const cookie = cookieIn(await signIn(called))
    expect(cookie[0]).toMatch(/^lt_account=.*HttpOnly.*SameSite=Strict/)
    expect(await account(cookie)).toEqual({
      name: called,
      codes: false,
      kitchens: [{ id: kitchen.kitchenId, name: 'Kitchen of the accounts', role: 'lead' }],
    })
    const opened = await http()
      .post('/api/account/open')
      .set('Cookie', cookie)
      .send({ kitchen: kitchen.kitchenId, device: uuid() })
    await http().get('/api/line').set('Cookie', cookieIn(opened)).expect(200)
    clock.set(begun + 12 * HOUR + MINUTE)
    expect(await account(cookie)).toBeNull()
    clock.set(begun)
    const both = [...cookie, ...cookieIn(opened)]
    await http().post('/api/account/out').set('Cookie', both).expect(200)
    expect(await account(cookie)).toBeNull()
    await http().get('/api/line').set('Cookie', cookieIn(opened)).expect(401)
  })

  it('is changed by whoever has it, which ends every session; another sign-in on a browser ends the one before', async () => {
    const called = newName()
    await give(kitchen, { called })
    const first = cookieIn(await signIn(called))
    const second = cookieIn(await signIn(called, PASSWORD, undefined, first))
    expect([await account(first), (await account(second))?.name]).toEqual([null, called])
    const into = { kitchen: kitchen.kitchenId, device: uuid() }
    const shift = cookieIn(await http().post('/api/account/open').set('Cookie', second).send(into))
    await http().get('/api/line').set('Cookie', shift).expect(200)
    expect((await give(kitchen, { called, password: 'another ladle entirely' })).status).toBe(200)
    await http().get('/api/line').set('Cookie', shift).expect(401)
    expect(await account(second)).toBeNull()
    expect((await signIn(called)).body).toMatchObject({ status: 403, detail: 'Wrong name or password.' })
    expect((await signIn(called, 'another ladle entirely')).status).toBe(200)
  })

  it('locks after five wrong tries, also when they come at once; the lead sees it; a name that there is not answers alike', async () => {
    const called = newName()
    await give(kitchen, { called })
    const tries = await Promise.all(Array.from({ length: 9 }, () => signIn(called, 'not the one at all')))
    expect(tries.map(({ status }) => status).sort((a, b) => a - b)).toEqual([
      403, 403, 403, 403, 403, 429, 429, 429, 429,
    ])
    expect((await signIn(called)).body).toMatchObject({ status: 429, title: 'locked' })
    const unknown = await signIn('nobody.at.all', 'not the one at all')
    expect(unknown.body).toEqual(tries.find(({ status }) => status === 403)!.body)
    const { lockOuts } = (await kitchen.get('/api/tablets')).body as Answers['Tablets']
    expect(lockOuts[0]).toMatchObject({ person: 'Ilse Varrow', tablet: null, wrong: 5 })
    clock.set(begun + 2 * MINUTE)
    expect((await signIn(called)).status).toBe(200)
  })
})

describe('one-time codes', () => {
  const codeOf = (uri: string, at = clock.now()) => {
    const secret = Secret.fromBase32(new URL(uri).searchParams.get('secret')!)
    return new TOTP({ secret }).generate({ timestamp: at })
  }
  const withCodes = async () => {
    const called = newName()
    await give(kitchen, { called })
    const cookie = cookieIn(await signIn(called))
    const send = (path: string, body: object) =>
      http().post(`/api/account/codes${path}`).set('Cookie', cookie).send(body)
    expect((await send('', { password: 'not the one at all' })).status).toBe(403)
    const { uri, qr } = (await send('', { password: PASSWORD })).body as Answers['CodesPrepared']
    expect(qr).toContain('<svg')
    // Not on before the app is known to show them.
    expect((await signIn(called)).status).toBe(200)
    expect((await send('/on', { code: '000000' })).body).toMatchObject({ status: 403, field: 'code' })
    const { recovery } = (await send('/on', { code: codeOf(uri) })).body as Answers['CodesOn']
    return { called, uri, recovery, send }
  }

  it('are asked for once the first came; each is good once, a late one never, and wrong ones lock', async () => {
    const { called, uri } = await withCodes()
    expect((await signIn(called)).body).toMatchObject({ status: 401, title: 'code needed', field: 'code' })
    // The one that turned them on is used.
    expect((await signIn(called, PASSWORD, codeOf(uri))).body).toMatchObject({ status: 403, title: 'wrong code' })
    clock.set(begun + MINUTE)
    expect((await signIn(called, 'not the one at all', codeOf(uri))).body).toMatchObject({ title: 'wrong password' })
    const code = codeOf(uri)
    expect((await signIn(called, PASSWORD, code)).status).toBe(200)
    expect((await signIn(called, PASSWORD, code)).body).toMatchObject({ title: 'wrong code' })
    clock.set(begun + 5 * MINUTE)
    expect((await signIn(called, PASSWORD, codeOf(uri, begun + MINUTE))).body).toMatchObject({ title: 'wrong code' })
    for (let i = 0; i < 3; i++) await signIn(called, PASSWORD, '000000')
    expect((await signIn(called, PASSWORD, codeOf(uri))).body).toMatchObject({ status: 429 })
    // Whoever looks after the machine opens it again, without codes.
    expect(await kitchen.app.get(Accounts).reset(called, 'given by the machine')).toBe(true)
    expect((await signIn(called, 'given by the machine')).status).toBe(200)
  })

  it('have eight codes for whoever loses the app, each good once; with the password they are turned off', async () => {
    const { called, recovery, send } = await withCodes()
    expect(recovery).toHaveLength(8)
    expect((await signIn(called, PASSWORD, recovery[0]!.toLowerCase().replaceAll('-', ''))).status).toBe(200)
    expect((await signIn(called, PASSWORD, recovery[0])).body).toMatchObject({ title: 'wrong code' })
    expect((await send('/off', { password: 'not the one at all' })).status).toBe(403)
    expect((await send('/off', { password: PASSWORD })).status).toBe(200)
    expect((await signIn(called)).status).toBe(200)
  })
})

/** One story, told in order. */
describe('several kitchens', () => {
  const called = newName()
  const group = (cookie: string[], path = '') => http().get(`/api/group${path}`).set('Cookie', cookie)
  const signedIn = async () => cookieIn(await signIn(called))

  it('never see each other: no Line, no shift, no name', async () => {
    await give(kitchen, { called })
    const cookie = await signedIn()
    expect((await group(cookie, `/${other.kitchenId}/line`)).body).toMatchObject({
      status: 403,
      title: 'other kitchen',
    })
    const opened = http().post('/api/account/open').set('Cookie', cookie)
    expect((await opened.send({ kitchen: other.kitchenId, device: uuid() })).body).toMatchObject({ status: 403 })
    const { kitchens } = (await group(cookie)).body as Answers['Group']
    expect(kitchens.map(({ id }) => id)).toEqual([kitchen.kitchenId])
  })

  it('are one sign-in for who works in both, joined with the password alone, and are seen beside each other', async () => {
    expect((await give(other, { called, password: 'not the one at all' })).body).toMatchObject({
      status: 409,
      field: 'called',
      detail: expect.stringContaining('If it is you') as string,
    })
    expect((await give(other, { called })).status).toBe(200)
    const cookie = await signedIn()
    const names = (await account(cookie))!.kitchens.map(({ name }) => name)
    expect(names).toEqual(['Kitchen of the accounts', 'The other kitchen'])
    await other.post([other.start('far-1')])
    await kitchen.post([kitchen.start('near-1')])
    const { kitchens } = (await group(cookie)).body as Answers['Group']
    expect(kitchens).toMatchObject([
      { id: kitchen.kitchenId, batches: 1 },
      { id: other.kitchenId, batches: 1, decided: { release: 0, hold: 0, rework: 0, discard: 0 }, bySamePerson: 0 },
    ])
    const codes = []
    for (const { kitchenId } of [kitchen, other]) {
      const line = (await group(cookie, `/${kitchenId}/line`)).body as Answers['Line']
      codes.push(line.batches.map(({ code }) => code))
    }
    expect(codes).toEqual([['near-1'], ['far-1']])
    clock.set(begun + 31 * DAY)
    const later = (await group(await signedIn())).body as Answers['Group']
    expect(later.kitchens.map(({ batches }) => batches)).toEqual([0, 0])
  })

  it('are not taken over from one of them: what opens both changes with the password alone', async () => {
    const change = (current?: string) =>
      give(kitchen, { called, password: 'taken over by a pin', ...(current === undefined ? {} : { current }) })
    expect((await change()).body).toMatchObject({ status: 409, title: 'current needed', field: 'current' })
    expect((await change('not the one at all')).body).toMatchObject({ status: 403, field: 'current' })
    expect((await signIn(called)).status).toBe(200)
    expect((await change(PASSWORD)).status).toBe(200)
    expect((await give(kitchen, { called, current: 'taken over by a pin' })).status).toBe(200)
  })

  it('end where the work does, and whoever leads no more looks across no more', async () => {
    const cookie = await signedIn()
    const [ilse, noor] = [kitchen.person('ilse'), kitchen.person('noor')]
    const next = '736190'
    await kitchen.send('/api/people/pin').send({ person: noor.id, signer: ilse.id, pin: ilse.pin, next }).expect(200)
    const role = (person: string, given: string | null, signer: { id: string; pin: string }) =>
      kitchen.send(`/api/people/${person}/role`).send({ role: given, signer: signer.id, pin: signer.pin }).expect(200)
    await role(noor.id, 'lead', ilse)
    await role(ilse.id, 'chef', ilse)
    const seen = async () => ((await group(cookie)).body as Answers['Group']).kitchens.map(({ id }) => id)
    expect(await seen()).toEqual([other.kitchenId])
    expect((await group(cookie, `/${kitchen.kitchenId}/line`)).status).toBe(403)
    await role(ilse.id, null, { id: noor.id, pin: next })
    expect((await account(cookie))!.kitchens.map(({ id }) => id)).toEqual([other.kitchenId])
  })
})
