import request from 'supertest'
import { openKitchen, type TestKitchen } from '../test/kitchen'

const NAME = 'Kitchen of the routes'
let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ name: NAME })
})
afterAll(() => kitchen.app.close())

const bare = () => request(kitchen.app.getHttpServer())

/** What anybody may ask for: who works here, their own shift, a calendar whose address is its secret, the file's schema. */
const OPEN = [
  'get /api/login',
  'get /api/shift',
  'post /api/shift',
  'post /api/set-up',
  'get /api/calendar/{kitchen}/{file}',
  'get /api/methods/schema.json',
  'get /health/live',
  'get /health/ready',
]

it('is closed to a tablet without a shift, route by route, but for the few that are open by word', async () => {
  const { paths } = (await bare().get('/api/docs-json')).body as { paths: Record<string, Record<string, object>> }
  const routes = Object.entries(paths).flatMap(([path, methods]) => Object.keys(methods).map((verb) => [verb, path]))
  expect(routes.length).toBeGreaterThan(20)
  const open: string[] = []
  for (const [verb, path] of routes) {
    const address = path!.replace(/\{[^}]*\}/g, kitchen.kitchenId)
    const { status } = await bare()[verb as 'get' | 'post'](address).set('Accept', 'application/json')
    if (status !== 401) open.push(`${verb} ${path}`)
  }
  expect(open.sort()).toEqual([...OPEN].sort())
})

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
