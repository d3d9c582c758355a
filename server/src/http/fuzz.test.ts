import { Agent, request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { v7 as uuid } from 'uuid'
import { chanceOf, malformedAddress, malformedPost, seedClaims, type Chance } from '../test/malformed'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { clock } from '../clock/clock'

/** `npm run fuzz -- http` sends as many, and looks at the time and the memory too. */
const ASKED = process.env.LT_FUZZ_REQUESTS === undefined ? null : Number(process.env.LT_FUZZ_REQUESTS)
const REQUESTS = ASKED ?? 1_200
const AT_A_TIME = 8
const SLOWEST_MS = 500
const SEED = Number(process.env.LT_FUZZ_SEED ?? 20270303)

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen({ rates: { strangers: 1e9, tablets: 1e9 } })
})
afterAll(() => kitchen.app.close())

interface Sent {
  method: string
  path: string
  body: string | null
}

const agent = new Agent({ keepAlive: true, maxSockets: AT_A_TIME })

function send({ method, path, body }: Sent, cookie: string): Promise<{ status: number; ms: number }> {
  const { port } = kitchen.app.getHttpServer().address() as AddressInfo
  const headers = { cookie, ...(body === null ? {} : { 'Content-Type': 'application/json' }) }
  const began = performance.now()
  return new Promise((done, failed) => {
    const asked = request({ port, host: '127.0.0.1', method, path, agent, headers }, (answer) => {
      answer.resume().on('end', () => done({ status: answer.statusCode ?? 0, ms: performance.now() - began }))
    })
    asked.on('error', failed)
    asked.end(body)
  })
}

it('answers whatever is sent with a refusal, never with a failure of its own', async () => {
  const cookie = (await kitchen.cookieOf('mina'))[0]!.split(';')[0]!
  const batch = uuid()
  await kitchen.post([kitchen.start('z-1', batch), kitchen.reading(batch, 61)])
  const { paths } = (await kitchen.get('/api/docs-json')).body as { paths: Record<string, Record<string, object>> }
  const routes = Object.entries(paths).flatMap(([path, verbs]) =>
    Object.keys(verbs).map((verb) => [verb.toUpperCase(), path]),
  )
  // A stream of entries does not end; a shift that is locked would end the run.
  const asked = routes.filter(([, path]) => !['/api/live', '/api/shift/lock'].includes(path!)) as [string, string][]
  const ids = [batch, kitchen.kitchenId, uuid(), 'abc']
  const claims = seedClaims(kitchen.kitchenId, kitchen.person('mina').id)
  expect(claims.length).toBeGreaterThan(40)

  const made = (chance: Chance): Sent => {
    const [method, path] = asked[chance(asked.length)]!
    if (chance(4) > 0) return { method: 'POST', path: '/api/entries', body: malformedPost(claims, clock.now(), chance) }
    const body =
      method === 'POST' || chance(10) === 0 ? malformedPost(claims, clock.now(), chance).slice(0, 3_900) : null
    return { method: chance(20) ? method : 'PATCH', path: malformedAddress(path, ids, chance), body }
  }
  const chance = chanceOf(SEED)
  const bad: string[] = []
  let slowest = 0
  let memory = 0
  for (let sent = 0; sent < REQUESTS; sent += AT_A_TIME) {
    const requests = Array.from({ length: AT_A_TIME }, () => made(chance))
    const answers = await Promise.all(requests.map((each) => send(each, cookie)))
    answers.forEach(({ status, ms }, i) => {
      const { method, path, body } = requests[i]!
      if (status >= 500 || status === 0) bad.push(`${status} ${method} ${path} ${body?.slice(0, 1_500) ?? ''}`)
      slowest = Math.max(slowest, sent < 200 ? 0 : ms)
    })
    if (sent < REQUESTS / 2) memory = Math.max(memory, process.memoryUsage().rss)
  }
  expect(bad).toEqual([])
  expect((await kitchen.get(`/api/batches/${batch}`)).status).toBe(200)
  if (ASKED !== null) {
    const grown = process.memoryUsage().rss / memory
    console.log(
      `${REQUESTS} requests, none failed; slowest ${slowest.toFixed(0)} ms; memory ${grown.toFixed(2)} of half-way's most`,
    )
    expect(slowest).toBeLessThan(SLOWEST_MS)
    expect(grown).toBeLessThan(1.3)
  }
}, 3_600_000)
