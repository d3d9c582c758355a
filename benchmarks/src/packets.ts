import 'reflect-metadata'
import { fork, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { addDays, DAY, dayOf } from '@logged-thermal/core'
import { claimMaker, configFrom, KitchenScope, ormConfig, seedKitchen } from '@logged-thermal/server'
import { DEMO_PEOPLE } from '@logged-thermal/demo'
import { openAsker } from './asker'
import { cooked, multiplied } from './manyBatches'

/** Batches of a year of a busy kitchen. */
const BATCHES = Number(process.env.LT_BENCH_BATCHES ?? 20_000)
/** Over so many days: fewer make as busy a kitchen of fewer batches. */
const DAYS = Number(process.env.LT_BENCH_DAYS ?? 364)
/** Memory of the whole server, its threads included, MB; how long its loop is held up, ms. */
const MOST_MB = 512
const MOST_DELAY_MS = 50
/** A reading comes so often meanwhile, ms. */
const READ_EVERY = 200
const PORT = 4391

/** What the packet of a year costs the server that makes it, while tablets go on logging. The server is a process of its own. */
async function packetBenchmarks(): Promise<void> {
  const config = configFrom(process.env)
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  const kitchen = await seedKitchen(owner, {
    name: 'Bench packet',
    zone: 'UTC',
    people: DEMO_PEOPLE,
    now: Date.now() - DAY,
  })
  await owner.close()
  let server = await served()
  const { ask, close } = openAsker(PORT)
  const device = uuid()
  const opened = async (key: string) => {
    const { id, pin } = kitchen.people.find((each) => each.key === key)!
    const { cookie } = await ask('POST', '/api/shift', { kitchen: kitchen.kitchenId, person: id, pin, device: uuid() })
    return { id, cookie }
  }
  const [cook, lead] = [await opened('mina'), await opened('ilse')]
  const post = (claims: unknown[]) => ask('POST', '/api/entries', { sentAt: Date.now(), entries: claims }, cook.cookie)
  const batch = await cooked(kitchen, device, post)
  const orm = await MikroORM.init(ormConfig(config.databaseUrl))
  const many = { batches: BATCHES, apart: Math.floor((DAYS * DAY) / BATCHES) }
  await multiplied(new KitchenScope(orm.em.fork()), kitchen.kitchenId, batch, many)
  await orm.close()
  // Rows of the Log are made once, whoever asks first.
  const { status } = await ask('GET', `/api/log?from=${Date.now() - 30 * DAY}&to=${Date.now()}`, null, lead.cookie)
  if (status !== 200) throw new Error(`The Log answered with ${status}.`)
  // They were made day by day, and not all this afternoon: what that left in memory is not the packet's.
  await stopped(server)
  server = await served()

  const claim = claimMaker(kitchen.kitchenId, device)
  const reading = () => {
    const typed = { value: 70, unit: 'C' as const }
    const of = { where: 'core' as const, of: 'mixture' as const, instrument: kitchen.starter.probe.id }
    return claim('reading-taken', batch, Date.now(), cook.id, { typed, ...of })
  }
  // From here on: what was asked for last is forgotten with each asking.
  await loopDelayMs(ask)
  const began = performance.now()
  const today = dayOf(Date.now(), 'UTC')
  const { text } = await ask('POST', '/api/packets', { from: addDays(today, -365), to: today, scale: 'C' }, lead.cookie)
  const { id } = JSON.parse(text) as { id: string }
  const answered: number[] = []
  let memory = 0
  let state = 'waits'
  let bytes = 0
  let said: string | null = null
  for (let round = 0; state === 'waits' || state === 'made'; round++) {
    const at = performance.now()
    await post([reading()])
    answered.push(performance.now() - at)
    memory = Math.max(memory, residentMb(server.pid!))
    if (round % 10 === 0) {
      const { text: listed } = await ask('GET', '/api/packets', null, lead.cookie)
      const { packets } = JSON.parse(listed) as { packets: Asked[] }
      const packet = packets.find((each) => each.id === id)!
      state = packet.state
      bytes = packet.bytes ?? 0
      said = packet.said
    }
    await new Promise((done) => setTimeout(done, READ_EVERY))
  }
  const delay = await loopDelayMs(ask)
  const seconds = (performance.now() - began) / 1000
  if (said !== null) console.log(said)
  console.log(`${BATCHES} batches: ${state} in ${Math.round(seconds)} s, ${(bytes / 1e6).toFixed(0)} MB`)
  row('memory while it was made, at most, MB', memory, MOST_MB)
  row('delay of the event loop, p99, ms', delay, MOST_DELAY_MS)
  console.log(`${answered.length} readings meanwhile, p95 ${p95(answered).toFixed(0)} ms`)
  if (state !== 'ready') process.exitCode = 1
  void close()
  await stopped(server)
}

interface Asked {
  id: string
  state: string
  bytes: number | null
  /** Why it failed. */
  said: string | null
}

/** The server as it is started, once it answers. */
async function served() {
  const env = { ...process.env, LT_PORT: String(PORT), LT_HOST: '127.0.0.1', LT_LOG_LEVEL: 'error' }
  const server = fork(join(require.resolve('@logged-thermal/server'), '../main.js'), { env })
  await new Promise((ready, failed) => {
    server.once('message', ready)
    server.once('exit', () => failed(new Error('The server did not start.')))
  })
  return server
}

function stopped(server: ChildProcess): Promise<unknown> {
  const gone = new Promise((done) => server.once('exit', done))
  server.kill('SIGTERM')
  return gone
}

/** What a process holds in memory, MB. */
function residentMb(pid: number): number {
  const [, kilobytes] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? []
  return Number(kilobytes) / 1000
}

/** The p99 of how long the loop was held up since this was asked last. */
async function loopDelayMs(ask: ReturnType<typeof openAsker>['ask']): Promise<number> {
  const { text } = await ask('GET', '/metrics')
  const [, seconds] = /^nodejs_eventloop_lag_p99_seconds (\S+)/m.exec(text) ?? []
  return Number(seconds) * 1000
}

function p95(times: number[]): number {
  return times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!
}

function row(name: string, value: number, most: number): void {
  const verdict = value <= most ? 'ok' : 'MISSED'
  console.log(`${name.padEnd(52)} ${value.toFixed(1).padStart(9)}   at most ${String(most).padEnd(6)} ${verdict}`)
  // What could not be measured is no success.
  if (!(value <= most)) process.exitCode = 1
}

void packetBenchmarks()
