import 'reflect-metadata'
import type { AddressInfo } from 'node:net'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { dayOf, heldTo, MINUTE, type BatchState, type Id } from '@logged-thermal/core'
import {
  claimMaker,
  configFrom,
  createApp,
  KitchenScope,
  ormConfig,
  seedKitchen,
  type Seeded,
} from '@logged-thermal/server'
import { DEMO_PEOPLE } from '@logged-thermal/demo'
import { openAsker } from './asker'

/** Batches of about three years of a busy kitchen. */
const BATCHES = Number(process.env.LT_BENCH_BATCHES ?? 20_000)
/** A key that is typed is answered within so long, ms. */
const MOST_MS = 150
const DISHES = [
  'Quince curd',
  'Juniper mousse',
  'Bay-leaf custard',
  'Rye-malt cream',
  'Elderflower posset',
  'Hazel fool',
]
const TYPED = 'juniper mousse'

/** How long the Log takes to answer each key of a word, and a filter, in a kitchen with years behind it. */
async function logBenchmarks(): Promise<void> {
  const config = { ...configFrom(process.env), logLevel: 'silent' }
  const app = await createApp(config)
  await app.listen(0, '127.0.0.1')
  const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  const now = Date.now()
  const kitchen = await seedKitchen(owner, {
    name: 'Bench log',
    zone: 'UTC',
    people: DEMO_PEOPLE,
    now: now - 86_400_000,
  })
  const { ask, close } = openAsker(port)
  const mina = kitchen.people.find(({ key }) => key === 'mina')!
  const device = uuid()
  const shift = { kitchen: kitchen.kitchenId, person: mina.id, pin: mina.pin, device }
  const { cookie } = await ask('POST', '/api/shift', shift)
  const batch = await cooked(kitchen, device, (claims) =>
    ask('POST', '/api/entries', { sentAt: Date.now(), entries: claims }, cookie),
  )
  await multiplied(new KitchenScope(app.get<MikroORM>(MikroORM).em.fork()), kitchen.kitchenId, batch)
  const period = `from=${now - 9 * 365 * 86_400_000}&to=${now}`
  const timed = async (path: string) => {
    const began = performance.now()
    await ask('GET', path, undefined, cookie)
    return performance.now() - began
  }
  const first = await timed(`/api/log?${period}`)
  console.log(`${BATCHES} batches: rows made in ${Math.round(first / 1000)} s, ${(first / BATCHES).toFixed(2)} ms each`)
  const ofKeys: number[] = []
  const ofFilters: number[] = []
  for (let round = 0; round < 5; round++) {
    for (let keys = 1; keys <= TYPED.length; keys++)
      ofKeys.push(await timed(`/api/log?${period}&words=${encodeURIComponent(TYPED.slice(0, keys))}`))
    for (const filter of [`person=${mina.id}`, 'standing=unproven', `instrument=${kitchen.starter.probe.id}`])
      ofFilters.push(await timed(`/api/log?${period}&${filter}`))
  }
  row('a key typed into the search of the Log, p95, ms', p95(ofKeys))
  row('a filter of the Log, p95, ms', p95(ofFilters))
  // Asked for once, and not while somebody types: told beside one key, not held to its time.
  const month = `from=${now - 31 * 86_400_000}&to=${now}`
  const key = await timed(`/api/log?${month}&words=j`)
  for (const [name, path] of [
    ['trends of a month', `/api/log/trends?${month}`],
    ['trends of the latest 5,000', `/api/log/trends?${period}`],
    ['what was late or put right in a month', `/api/log/changes?${month}`],
  ] as const)
    console.log(`${name.padEnd(52)} ${((await timed(path)) / key).toFixed(1).padStart(9)} times one key of that month`)
  void close()
  await owner.close()
  await app.close()
}

/** One batch as it is cooked and cooled, by the server itself. */
async function cooked(
  kitchen: Seeded,
  device: Id,
  post: (claims: unknown[]) => Promise<{ text: string }>,
): Promise<Id> {
  const id = uuid()
  const { starter, people } = kitchen
  const claim = claimMaker(kitchen.kitchenId, device)
  const by = people.find(({ key }) => key === 'mina')!.id
  const at = Date.now() - 30 * MINUTE
  const method = starter.methods[0]!
  const start = {
    code: 'b-0',
    ...heldTo(method, 1, starter.limits, false, dayOf(at, 'UTC')),
    limits: { id: starter.limits.id, version: 1 },
    vessel: method.vessel,
    factor: 1,
  }
  const readings = Array.from({ length: 12 }, (_, i) =>
    claim('reading-taken', id, at + (i + 2) * MINUTE, by, {
      typed: { value: 60 + i * 2, unit: 'C' },
      where: 'core',
      of: 'mixture',
      instrument: starter.probe.id,
    }),
  )
  const { text } = await post([claim('batch-started', id, at, by, start), ...readings])
  if (text.includes('refused')) throw new Error(text)
  return id
}

/** The same batch over years, a few a day, each under an id, a code and a name of its own. */
async function multiplied(scope: KitchenScope, kitchenId: Id, of: Id): Promise<void> {
  const state = await scope.inKitchen(kitchenId, async (em) => {
    const [row] = await em.execute<{ state: BatchState; core: number }[]>(
      'select state, core from batch where kitchen_id = ? and id = ?',
      [kitchenId, of],
    )
    return row!
  })
  for (let from = 1; from < BATCHES; from += 500) {
    const rows = Array.from({ length: Math.min(500, BATCHES - from) }, (_, i) => {
      const number = from + i
      const shifted = earlier(state.state, number * 80 * MINUTE)
      const id = uuid()
      const method = { ...shifted.method, name: `${DISHES[number % DISHES.length]} ${number % 40}` }
      return { id, state: { ...shifted, id, code: `b-${number}`, method } }
    })
    await scope.inKitchen(kitchenId, (em) =>
      em.execute(
        `insert into batch (kitchen_id, id, seq, core, state, put_away)
         select ?::uuid, (row ->> 'id')::uuid, 1, ?, row -> 'state', true from jsonb_array_elements(?::jsonb) row`,
        [kitchenId, state.core, JSON.stringify(rows)],
      ),
    )
  }
}

/** The same with each instant in it so much earlier, ms. */
function earlier<T>(value: T, ms: number): T {
  const isInstant = (_: string, each: unknown) => (typeof each === 'number' && each > 1e12 ? each - ms : each)
  return JSON.parse(JSON.stringify(value), isInstant) as T
}

function p95(times: number[]): number {
  return times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!
}

function row(name: string, value: number): void {
  const verdict = value <= MOST_MS ? 'ok' : 'MISSED'
  console.log(`${name.padEnd(52)} ${value.toFixed(1).padStart(9)}   at most ${String(MOST_MS).padEnd(6)} ${verdict}`)
  if (value > MOST_MS) process.exitCode = 1
}

void logBenchmarks()
