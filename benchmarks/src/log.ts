import 'reflect-metadata'
import type { AddressInfo } from 'node:net'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { MINUTE } from '@logged-thermal/core'
import { configFrom, createApp, KitchenScope, ormConfig, seedKitchen } from '@logged-thermal/server'
import { DEMO_PEOPLE } from '@logged-thermal/demo'
import { openAsker } from './asker'
import { cooked, multiplied } from './manyBatches'

/** Batches of about three years of a busy kitchen. */
const BATCHES = Number(process.env.LT_BENCH_BATCHES ?? 20_000)
/** A key that is typed is answered within so long, ms. */
const MOST_MS = 150
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
  await multiplied(new KitchenScope(app.get<MikroORM>(MikroORM).em.fork()), kitchen.kitchenId, batch, {
    batches: BATCHES,
    apart: 80 * MINUTE,
  })
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

function p95(times: number[]): number {
  return times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!
}

function row(name: string, value: number): void {
  const verdict = value <= MOST_MS ? 'ok' : 'MISSED'
  console.log(`${name.padEnd(52)} ${value.toFixed(1).padStart(9)}   at most ${String(MOST_MS).padEnd(6)} ${verdict}`)
  if (value > MOST_MS) process.exitCode = 1
}

void logBenchmarks()
