import request from 'supertest'
import { openKitchen, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
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
      detail: 'A PIN has four digits.',
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
    expect(JSON.stringify(login.body)).not.toMatch(/argon2|pin/i)
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

describe('the login', () => {
  it('sends a strict content policy and describes its API', async () => {
    const { headers } = await http().get('/health/live').expect(200)
    expect(headers['content-security-policy']).toContain("default-src 'self'")
    await http().get('/health/ready').expect(200)
    await http().get('/api/docs-json').expect(200)
    expect((await http().get('/api/nothing')).body).toMatchObject({ status: 404, title: 'not there' })
  })
})
