import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { openKitchen, type TestKitchen } from '../test/kitchen'

const NAME = 'Kitchen of the routes'
let kitchen: TestKitchen
let other: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ name: NAME, rates: { strangers: 1e6, tablets: 1e6 } })
  other = await openKitchen()
})
afterAll(() => Promise.all([kitchen.app.close(), other.app.close()]))

const bare = () => request(kitchen.app.getHttpServer())

it('tells its figures to this machine: entries, refusals, requests, the pool, the delay of the loop', async () => {
  await kitchen.post([kitchen.reading(kitchen.kitchenId, 60)])
  const { text, headers } = await bare().get('/metrics')
  expect(headers['content-type']).toContain('text/plain')
  expect(text).toContain('lt_entries_total{outcome="refused"} 1')
  expect(text).toContain('lt_refusals_total{code="not there"} 1')
  expect(text).toMatch(/lt_request_seconds_count\{.*route="\/api\/entries".*status="200".*\} 1/)
  for (const name of ['lt_pool_used', 'lt_live_streams 0', 'nodejs_eventloop_lag_seconds']) expect(text).toContain(name)
})

it('names a kitchen with those who work in it for the login', async () => {
  const doors = (await bare().get('/api/login')).body as { name: string; people: { name: string }[] }[]
  const own = doors.find(({ name }) => name === NAME)!
  expect(own.people.map(({ name }) => name)).toEqual(['Ilse Varrow', 'Mina Osk', 'Noor Hallet', 'Teo Brandt'])
})

type Who = keyof typeof ASKED_BY

/**
 * Every route and who is let in: anybody; whoever has a shift; or a shift that is open, and not an auditor's; or whoever signed in with a password. What the lead
 * signs asks for the PIN beyond that. A route that is not here fails the walk.
 */
const ROUTES: Record<string, readonly Who[]> = {}
const open = (...routes: string[]) => routes.forEach((route) => (ROUTES[route] = WHO))
const read = (...routes: string[]) => routes.forEach((route) => (ROUTES[route] = ['cook', 'lead', 'auditor', 'locked']))
const write = (...routes: string[]) => routes.forEach((route) => (ROUTES[route] = ['cook', 'lead']))

/** Each with its cookie, told once the kitchen is there. */
const ASKED_BY = {
  nobody: () => Promise.resolve<string[]>([]),
  cook: () => kitchen.cookieOf('mina'),
  lead: () => kitchen.cookieOf('ilse'),
  auditor: () => kitchen.cookieOf('noor'),
  locked: async () => {
    const cookie = await kitchen.cookieOf('mina')
    await bare().post('/api/shift/lock').set('Cookie', cookie)
    return cookie
  },
  /** Another was opened on the same tablet since. */
  ended: async () => {
    const tablet = uuid()
    const cookie = await kitchen.cookieOf('mina', tablet)
    await kitchen.cookieOf('ilse', tablet)
    return cookie
  },
  left: async () => {
    const cookie = await kitchen.cookieOf('teo')
    await giveRole('teo', null)
    return cookie
  },
  forged: () => Promise.resolve([`lt_shift=${kitchen.kitchenId}.${'A'.repeat(43)}`]),
  /** Signed in with a password, and no shift. */
  account: async () => {
    const { id, pin } = kitchen.person('ilse')
    const named = { called: `routes.${uuid().slice(-8)}`, password: 'ladle under the window' }
    await kitchen
      .send('/api/people/password')
      .send({ ...named, person: id, signer: id, pin })
      .expect(200)
    const { headers } = await bare().post('/api/sign-in').send(named).expect(200)
    return headers['set-cookie'] as unknown as string[]
  },
  /** A good token of another kitchen, under this one's name. */
  otherKitchen: async () => {
    const [cookie] = await other.cookieOf('ilse')
    return [cookie!.replace(other.kitchenId, kitchen.kitchenId)]
  },
}
const WHO = Object.keys(ASKED_BY) as Who[]

open('get /api/login', 'get /api/shift', 'post /api/shift', 'post /api/set-up', 'get /api/methods/schema.json')
open('post /api/sign-in', 'get /api/account')
const signedIn = (...routes: string[]) => routes.forEach((route) => (ROUTES[route] = ['account']))
signedIn('post /api/account/out', 'post /api/account/open', 'post /api/account/codes', 'post /api/account/codes/on')
signedIn('post /api/account/codes/off', 'get /api/group', 'get /api/group/{kitchen}/line')
signedIn('get /api/group/{kitchen}/line/traces/{hash}')
open('get /api/calendar/{kitchen}/{file}', 'get /health/live', 'get /health/ready')
/** Nothing is sent with it: what has a body is read of an open shift alone. */
const TOUCHED = 'post /api/shift/touched'
read(
  TOUCHED,
  'post /api/shift/lock',
  'get /api/live',
  'get /api/live/now',
  'get /api/live/since',
  'get /api/line',
  'get /api/line/traces/{hash}',
)
read(
  'get /api/batches/{id}',
  'get /api/batches/{id}/entries',
  'get /api/log',
  'get /api/matters',
  'get /api/log/changes',
  'get /api/log/events',
  'get /api/log/trends',
  'get /api/matters/raised',
  'get /api/log/week',
  'get /api/log/transcribed',
  'get /api/proof/batch/{id}',
  'get /api/proof/day/{day}',
  'get /api/records/key.pdf',
  'get /api/records/paper.pdf',
  'get /api/records/batch/{id}.pdf',
  'get /api/records/batch/{id}.json',
  'get /api/records/batch/{id}.csv',
  'get /api/records/day/{day}.pdf',
  'get /api/records/plan/{id}.pdf',
  'get /api/records/list/{list}.pdf',
  'get /api/records/list/{list}.csv',
  'get /api/records/list/{list}.json',
  'get /api/log/batches.csv',
  'get /api/entries/{seq}/hash',
  'get /api/methods/{id}/bakes',
)
write('post /api/kitchen', 'post /api/people/password')
read('get /api/instruments/{id}/look-back')
read('get /api/cooling/learned', 'get /api/items/{id}', 'get /api/lineage/{type}/{id}', 'get /api/tablets')
read('get /api/store', 'get /api/store/discards', 'get /api/store/barred', 'get /api/store/discarded')
read('get /api/store/find', 'get /api/store/search', 'get /api/store/stock.csv')
read('get /api/labels/notice.pdf', 'get /api/labels/sheet.pdf', 'get /api/labels/{id}.png')
write('post /api/entries', 'post /api/people', 'post /api/people/pin', 'post /api/people/{id}/role')
read('get /api/notices', 'get /api/photos/{hash}')
write('post /api/photos', 'post /api/notices', 'post /api/notices/try')
write('post /api/fitness', 'post /api/fitness/seen', 'post /api/fitness/{id}/back', 'post /api/fitness/{id}/forget')
write('post /api/tablets', 'post /api/tablets/{id}/forget', 'get /api/store/feed', 'post /api/store/feed/renew')
// Beyond that only the lead asks for packets, and only the lead and an auditor take them: packets.test.ts.
read('get /api/packets', 'get /api/packets/{id}/file')
write('post /api/packets', 'post /api/packets/{id}/cancel')

const ENDS = ['post /api/shift/lock', 'post /api/account/out']

function giveRole(person: string, role: string | null) {
  const { id, pin } = kitchen.person('ilse')
  return kitchen.send(`/api/people/${kitchen.person(person).id}/role`).send({ role, signer: id, pin })
}

it('lets in whom each route names, and nobody else: no shift, locked, ended, left, forged, of another kitchen, an auditor', async () => {
  await giveRole('noor', 'inspector')
  const { paths } = (await bare().get('/api/docs-json')).body as { paths: Record<string, Record<string, object>> }
  const routes = Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((verb) => `${verb} ${path}`),
  )
  expect(routes.filter((route) => !ROUTES[route])).toEqual([])
  expect(Object.keys(ROUTES).filter((route) => !routes.includes(route))).toEqual([])
  const wrong: string[] = []
  for (const who of WHO) {
    const cookie = await ASKED_BY[who]()
    // What ends a shift, or signs out, is no secret of its own: it is not asked for.
    for (const route of routes.filter((each) => !ENDS.includes(each))) {
      const [verb, path] = route.split(' ')
      const address = path!.replace(/\{[^}]*\}/g, kitchen.kitchenId)
      const ask = () => bare()[verb as 'get' | 'post'](address).set('Cookie', cookie).set('Accept', 'application/json')
      const sent = verb === 'post' && route !== TOUCHED
      const answered = path === '/api/live' ? begun(cookie) : sent ? ask().send({}) : ask()
      const answer: { status: number; body: unknown } = await answered
      const { status, body } = answer
      const letIn = status !== 401 && (body as { title?: string }).title !== 'reads only'
      if (letIn !== ROUTES[route]!.includes(who)) wrong.push(`${who}: ${route} answers ${status}`)
    }
  }
  expect(wrong).toEqual([])
}, 60_000)

/** What goes on for ever is left once it has begun. */
async function begun(cookie: readonly string[]): Promise<{ status: number; body: unknown }> {
  const leave = new AbortController()
  const headers = { cookie: cookie.map((each) => each.split(';')[0]).join('; ') }
  const { status } = await fetch(`${await kitchen.app.getUrl()}/api/live`, { headers, signal: leave.signal })
  leave.abort()
  return { status, body: {} }
}
