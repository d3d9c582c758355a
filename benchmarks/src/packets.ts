import 'reflect-metadata'
import type { AddressInfo } from 'node:net'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { addDays, DAY, dayOf } from '@logged-thermal/core'
import { claimMaker, configFrom, createApp, KitchenScope, ormConfig, seedKitchen } from '@logged-thermal/server'
import { DEMO_PEOPLE } from '@logged-thermal/demo'
import { openAsker } from './asker'
import { cooked, multiplied } from './manyBatches'

/** Batches of a year of a busy kitchen. */
const BATCHES = Number(process.env.LT_BENCH_BATCHES ?? 20_000)
/** Memory of the whole process, its threads included, MB; how long its loop is held up, ms. */
const MOST_MB = 512
const MOST_DELAY_MS = 50
/** A reading comes so often meanwhile, ms. */
const READ_EVERY = 200

/** What the packet of a year costs the server that makes it, while tablets go on logging. */
async function packetBenchmarks(): Promise<void> {
  const config = { ...configFrom(process.env), logLevel: 'silent' }
  const app = await createApp(config)
  await app.listen(0, '127.0.0.1')
  const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  const kitchen = await seedKitchen(owner, {
    name: 'Bench packet',
    zone: 'UTC',
    people: DEMO_PEOPLE,
    now: Date.now() - DAY,
  })
  const { ask, close } = openAsker(port)
  const device = uuid()
  const opened = async (key: string) => {
    const { id, pin } = kitchen.people.find((each) => each.key === key)!
    const { cookie } = await ask('POST', '/api/shift', { kitchen: kitchen.kitchenId, person: id, pin, device: uuid() })
    return { id, cookie }
  }
  const [cook, lead] = [await opened('mina'), await opened('ilse')]
  const post = (claims: unknown[]) => ask('POST', '/api/entries', { sentAt: Date.now(), entries: claims }, cook.cookie)
  const batch = await cooked(kitchen, device, post)
  const scope = new KitchenScope(app.get<MikroORM>(MikroORM).em.fork())
  await multiplied(scope, kitchen.kitchenId, batch, { batches: BATCHES, apart: Math.floor((364 * DAY) / BATCHES) })
  // Rows of the Log are made once, whoever asks first.
  await ask('GET', `/api/log?from=${Date.now() - 30 * DAY}&to=${Date.now()}`, undefined, lead.cookie)

  const claim = claimMaker(kitchen.kitchenId, device)
  const reading = () => {
    const typed = { value: 70, unit: 'C' as const }
    const of = { where: 'core' as const, of: 'mixture' as const, instrument: kitchen.starter.probe.id }
    return claim('reading-taken', batch, Date.now(), cook.id, { typed, ...of })
  }
  // A server has not just filled a year: what that left behind goes first.
  collected()
  const delay = monitorEventLoopDelay({ resolution: 5 })
  delay.enable()
  const began = performance.now()
  const today = dayOf(Date.now(), 'UTC')
  const { text } = await ask('POST', '/api/packets', { from: addDays(today, -365), to: today, scale: 'C' }, lead.cookie)
  const { id } = JSON.parse(text) as { id: string }
  const answered: number[] = []
  let memory = 0
  let state = 'waits'
  let bytes = 0
  for (let round = 0; state === 'waits' || state === 'made'; round++) {
    const at = performance.now()
    await post([reading()])
    answered.push(performance.now() - at)
    memory = Math.max(memory, process.memoryUsage().rss / 1e6)
    if (round % 10 === 0) {
      const { text: listed } = await ask('GET', '/api/packets', undefined, lead.cookie)
      const { packets } = JSON.parse(listed) as { packets: { id: string; state: string; bytes: number | null }[] }
      const packet = packets.find((each) => each.id === id)!
      state = packet.state
      bytes = packet.bytes ?? 0
    }
    await new Promise((done) => setTimeout(done, READ_EVERY))
  }
  delay.disable()
  const seconds = (performance.now() - began) / 1000
  console.log(`${BATCHES} batches: ${state} in ${Math.round(seconds)} s, ${(bytes / 1e6).toFixed(0)} MB`)
  row('memory while it was made, at most, MB', memory, MOST_MB)
  row('delay of the event loop, p99, ms', delay.percentile(99) / 1e6, MOST_DELAY_MS)
  console.log(`${answered.length} readings meanwhile, p95 ${p95(answered).toFixed(0)} ms`)
  if (state !== 'ready') process.exitCode = 1
  void close()
  await owner.close()
  await app.close()
}

function collected(): void {
  setFlagsFromString('--expose-gc')
  const collect = runInNewContext('gc') as () => void
  collect()
}

function p95(times: number[]): number {
  return times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!
}

function row(name: string, value: number, most: number): void {
  const verdict = value <= most ? 'ok' : 'MISSED'
  console.log(`${name.padEnd(52)} ${value.toFixed(1).padStart(9)}   at most ${String(most).padEnd(6)} ${verdict}`)
  if (value > most) process.exitCode = 1
}

void packetBenchmarks()
