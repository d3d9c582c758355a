import { v7 as uuid } from 'uuid'
import request from 'supertest'
import { openKitchen, type TestKitchen } from '../../test/kitchen'
import { storeOf } from '../../test/storeKitchen'

interface Result {
  outcome: string
  status?: number
  field?: string
}

let kitchen: TestKitchen
let cookie: string[]
beforeAll(async () => {
  kitchen = await openKitchen({ rates: { strangers: 60, tablets: 6_000 } })
  cookie = await kitchen.cookieOf('mina')
})
afterAll(() => kitchen.app.close())

const bare = () => request(kitchen.app.getHttpServer())
const send = (path: string, body: string) => bare().post(path).set('Content-Type', 'application/json').send(body)

describe('what a stranger sends', () => {
  it('is refused before it is read where it needs a shift', async () => {
    expect((await send('/api/entries', '{"half')).body).toMatchObject({ status: 401, title: 'no shift' })
    await kitchen.send('/api/shift/lock').set('Cookie', cookie).expect(200)
    const locked = await send('/api/entries', '{"half').set('Cookie', cookie)
    expect(locked.body).toMatchObject({ status: 401, title: 'locked' })
    cookie = await kitchen.cookieOf('mina')
  })

  it('is refused for its length, its fields or its depth where it needs none', async () => {
    const fields = Array.from({ length: 90_000 }, (_, i) => `"f${i}":1`).join()
    expect((await send('/api/shift', `{${fields}}`)).body).toMatchObject({ status: 413, title: 'too large' })
    expect((await send('/api/shift', '['.repeat(1_500) + ']'.repeat(1_500))).body).toMatchObject({ status: 400 })
    expect((await send('/api/shift', '{"kitchen": 1}')).body).toMatchObject({ status: 400, field: 'kitchen' })
  })

  it('is a shift of nobody where the cookie is garbage, for as long as it is shown', async () => {
    for (const value of [
      'x',
      '%00',
      `${kitchen.kitchenId}.\u00e9`,
      'j:{"a":1}',
      `${'-'.repeat(36)}.a`,
      "' or 1=1 --",
    ]) {
      const got = await bare()
        .get('/api/line')
        .set('Cookie', `lt_shift=${encodeURIComponent(value)}`)
      expect([value, got.status]).toEqual([value, 401])
    }
  })

  it('is not let in from a page of another site', async () => {
    const posted = (origin: string) => kitchen.send('/api/shift/lock').set('Cookie', cookie).set('Origin', origin)
    for (const origin of ['https://elsewhere.example', 'null']) {
      expect((await posted(origin)).body).toMatchObject({ status: 403, title: 'other site' })
    }
    await bare().get('/api/line').set('Cookie', cookie).expect(200)
    await kitchen.send('/api/entries').set('Origin', 'http://127.0.0.1:4310').expect(400)
  })

  it('is told to wait once it has asked too often, and holds up no tablet behind the same address', async () => {
    const asked = await Promise.all(Array.from({ length: 100 }, () => bare().get('/api/login')))
    const refused = asked.filter(({ status }) => status === 429)
    expect(refused.length).toBeGreaterThanOrEqual(40)
    expect(refused[0]!.body).toMatchObject({ title: 'too often' })
    await bare().get('/api/line').set('Cookie', cookie).expect(200)
  })
})

describe('what a tablet sends', () => {
  it('is refused by the field where it cannot be, and all else of the same post is still judged', async () => {
    const batch = uuid()
    expect((await kitchen.post([kitchen.start('i-1', batch)])).status).toBe(200)
    const good = () => JSON.stringify(kitchen.reading(batch, 60))
    const wrong = (value: string) => good().replace('"value":60', `"value":${value}`)
    const deep = '['.repeat(1_500) + ']'.repeat(1_500)
    const entries = [
      wrong('1e308'),
      wrong('1e400'),
      wrong(deep),
      wrong('"\\u0000"'),
      good().replace('"core"', deep),
      deep,
      good(),
    ]
    const post = await send('/api/entries', `{"sentAt":${Date.now()},"entries":[${entries.join()}]}`).set(
      'Cookie',
      cookie,
    )
    expect(post.status).toBe(200)
    const { results } = post.body as { results: Result[] }
    const [last, ...refused] = results.reverse()
    expect(last).toMatchObject({ outcome: 'accepted' })
    for (const each of refused) expect(each).toMatchObject({ outcome: 'refused', status: 422 })
    expect(results.slice(1).map(({ field }) => field)).toEqual([
      'entry',
      'body.where',
      ...Array<string>(4).fill('body.typed.value'),
    ])
  })

  it.each([
    ['sentAt', '{"sentAt": 1e308, "entries": [{}]}'],
    ['sentAt', '{"sentAt": 1e400, "entries": [{}]}'],
    ['entries', '{"sentAt": 1, "entries": {}}'],
  ])('names %s where the post itself is wrong', async (field, body) => {
    expect((await send('/api/entries', body).set('Cookie', cookie)).body).toMatchObject({ status: 400, field })
  })

  it.each(['/api/items/%00', '/api/store/find?code=%00', '/api/batches/%zz', '/api/calendar/%0a/x'])(
    'has an address that can be read: not %s',
    async (path) => expect((await bare().get(path).set('Cookie', cookie)).status).toBe(400),
  )
})

describe('labels', () => {
  it('are drawn beside the work: everybody else is answered meanwhile', async () => {
    const store = storeOf(kitchen)
    const [item] = await store.putAway(await store.jelly(2), 650, { last: true })
    const items = Array<string>(100).fill(item).join()
    const order: string[] = []
    const printed = kitchen.get(`/api/labels/sheet.pdf?items=${items}&copies=5&paper=a4`).then((sheet) => {
      order.push('labels')
      return sheet
    })
    for (let i = 0; i < 10; i++) {
      await bare().get('/health/live').expect(200)
      order.push('live')
    }
    const sheet = await printed
    expect([sheet.status, sheet.headers['content-type']]).toEqual([200, 'application/pdf'])
    expect(order).toEqual([...Array<string>(10).fill('live'), 'labels'])
  })

  it('are no more at a time than anybody sticks on', async () => {
    const many = Array.from({ length: 200 }, () => uuid()).join()
    const refused = await kitchen.get(`/api/labels/sheet.pdf?items=${many}&copies=200&paper=a4`)
    expect(refused.body).toMatchObject({ status: 400, field: 'copies' })
  })
})

it('keeps answers out of caches and the machine out of reach of the page', async () => {
  const { headers } = await kitchen.get('/api/line')
  expect(headers['cache-control']).toBe('no-store')
  expect(headers['permissions-policy']).toContain('camera=()')
})
