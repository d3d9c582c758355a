import 'reflect-metadata'
import { fork } from 'node:child_process'
import { request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { MikroORM } from '@mikro-orm/postgresql'
import type { NextFunction, Request, Response } from 'express'
import { v7 as uuid } from 'uuid'
import { dayOf, heldTo, type AnyClaim, type Id } from '@logged-thermal/core'
import {
  claimMaker,
  configFrom,
  createApp,
  KitchenScope,
  ormConfig,
  rebuild,
  requireShift,
  Shifts,
  type Seeded,
} from '@logged-thermal/server'
import { busyKitchen } from './busyKitchen'
import type { Came, Crowd } from './loadClient'

const CLIENTS = 50
const LASTS = 4_000

/** `npm run bench -- load`: one server under many tablets, which live in another process on the same machine. */
async function load(): Promise<void> {
  const owner = await MikroORM.init(ormConfig(configFrom(process.env).ownerUrl))
  await owner.em.execute('create table if not exists fixed_row (id uuid primary key, said text not null)')
  await owner.em.execute('grant insert on fixed_row to lt_app')

  const config = { ...configFrom(process.env), logLevel: 'silent', rates: { strangers: 1e6, tablets: 1e6 } }
  const app = await createApp(config)
  const shifts = app.get(Shifts)
  const scope = app.get(KitchenScope)
  app.use('/api/bench/fixed', (asked: Request, answer: Response, next: NextFunction) => {
    requireShift(asked, shifts, 'write')
      .then(() =>
        scope.inKitchen(kitchen.kitchenId, (em) =>
          em.execute('insert into fixed_row (id, said) values (?, ?)', [uuid(), 'a fixed row']),
        ),
      )
      .then(() => answer.json({ written: true }), next)
  })
  await app.listen(0, '127.0.0.1')
  const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
  const kitchen = await busyKitchen(owner)
  await owner.close()
  const cookie = await shiftOf(port, kitchen)
  const claims = claimsOf(kitchen)
  const run = crowds({ port, cookie, lasts: LASTS, pause: 0, method: 'POST', path: '/api/entries', clients: CLIENTS })
  /** Batches of their own each time: states grow with their readings. */
  const batches = async (many: number) => {
    const ids = Array.from({ length: many }, () => uuid())
    await post(
      port,
      cookie,
      ids.map((id) => claims.start(id)),
    )
    return ids
  }
  const readings = async (clients: number, many: number) => ({
    claim: { template: claims.reading(uuid()), about: await batches(clients), many },
  })

  const one: Came[] = []
  const fixed: Came[] = []
  for (let round = 0; round < 3; round++) {
    one.push(await run({ ...(await readings(CLIENTS, 1)) }))
    fixed.push(await run({ path: '/api/bench/fixed', ...(await readings(CLIENTS, 1)) }))
  }
  const rate = (came: Came[]) =>
    came.reduce((sum, { ms }) => sum + ms.length, 0) / (came.reduce((sum, { took }) => sum + took, 0) / 1000)
  least('posts of one entry, 50 clients, a second', rate(one), 250)
  least(
    'the same / a POST that writes a fixed row',
    rate(one) / rate(fixed),
    0.5,
    `${rate(fixed).toFixed(0)} fixed rows a second`,
  )
  most(
    '99 of 100 of them are answered within, ms',
    percentile(
      one.flatMap(({ ms }) => ms),
      99,
    ),
    250,
  )
  const four = await run({ ...(await readings(CLIENTS, 4)) })
  least('entries, four a post, 50 clients, a second', 4 * rate([four]), 400)
  const alone = await run({ clients: 1, ...(await readings(1, 1)) })
  least('posts of one entry, one client, a second', rate([alone]), 54)

  const delay = monitorEventLoopDelay({ resolution: 5 })
  const paper = `/api/labels/sheet.pdf?items=${kitchen.packages.slice(0, 200).join()}&copies=1&paper=a4`
  await run({
    method: 'GET',
    path: paper.replace(/items=[^&]*/, `items=${kitchen.packages[0]!}`),
    clients: 1,
    lasts: 0,
  })
  const batchesOf20 = await readings(20, 1)
  delay.enable()
  const [logged, labels, lines] = await Promise.all([
    run({ clients: 20, pause: 500, lasts: 8_000, ...batchesOf20 }),
    run({ method: 'GET', path: paper, clients: 1, lasts: 0 }),
    run({ method: 'GET', path: '/api/line', clients: 50, pause: 1_000, lasts: 8_000 }),
  ])
  delay.disable()
  most('20 log, 200 labels print, 50 read: delay of the loop, ms', delay.percentile(99) / 1e6, 50, 'p99')
  most('the labels came after, s', labels.took / 1000, 60)
  most('an entry was answered within, ms', percentile(logged.ms, 99), 500, 'p99')
  most('the Line was answered within, ms', percentile(lines.ms, 95), 1_000, 'p95')

  const beside = await readings(20, 1)
  const [during] = await Promise.all([
    run({ clients: 20, pause: 100, lasts: 5_000, ...beside }),
    rebuild(scope, kitchen.kitchenId),
  ])
  most('while all is folded anew, an entry was answered within, ms', percentile(during.ms, 99), 250, 'p99')

  await post(port, cookie, [claims.start(uuid())])
  const back = await run({ method: 'GET', path: '/api/line', clients: 100, lasts: 0 })
  most('100 tablets that come back have the Line after, ms', back.took, 2_000)
  for (const came of [...one, ...fixed, four, alone, logged, labels, lines, during, back])
    if (Object.keys(came.other).length > 0) throw new Error(`not all was answered: ${JSON.stringify(came.other)}`)
  run.end()
  await app.close()
}

/** Sends crowds of clients from processes of their own. */
function crowds(usual: Omit<Crowd, 'claim'>) {
  const children: ReturnType<typeof fork>[] = []
  const run = (job: Partial<Crowd>) =>
    new Promise<Came>((done, failed) => {
      const child = fork(join(__dirname, 'loadClient.js'))
      children.push(child)
      child.once('message', (came: Came | { error: string }) => {
        child.disconnect()
        if ('error' in came) failed(new Error(came.error))
        else done(came)
      })
      child.send({ ...usual, ...job } satisfies Crowd)
    })
  return Object.assign(run, { end: () => children.forEach((child) => child.kill()) })
}

function claimsOf({ kitchenId, people, starter }: Seeded) {
  const by = people.find(({ key }) => key === 'mina')!.id
  const claim = claimMaker(kitchenId)
  const method = starter.methods[1]!
  let code = 0
  return {
    start: (id: Id): AnyClaim =>
      claim('batch-started', id, Date.now(), by, {
        code: `L-${++code}`,
        ...heldTo(method, 1, starter.limits, false, dayOf(Date.now(), 'UTC')),
        // The demo has set them anew once.
        limits: { id: starter.limits.id, version: 2 },
        vessel: method.vessel,
        factor: 1,
      }),
    reading: (batch: Id): AnyClaim =>
      claim('reading-taken', batch, Date.now(), by, {
        typed: { value: 61.4, unit: 'C' },
        where: 'core',
        of: 'mixture',
        instrument: starter.probe.id,
      }),
  }
}

async function shiftOf(port: number, { kitchenId, people }: Seeded): Promise<string> {
  const { id, pin } = people.find(({ key }) => key === 'mina')!
  const { cookie } = await send(port, '/api/shift', { kitchen: kitchenId, person: id, pin, device: kitchenId })
  return cookie
}

async function post(port: number, cookie: string, entries: AnyClaim[]): Promise<void> {
  const { text } = await send(port, '/api/entries', { sentAt: Date.now(), entries }, cookie)
  const { results } = JSON.parse(text) as { results: { outcome: string }[] }
  const refused = results.find(({ outcome }) => outcome !== 'accepted')
  if (refused) throw new Error(JSON.stringify(refused))
}

function send(port: number, path: string, body: object, cookie = ''): Promise<{ cookie: string; text: string }> {
  const headers = { 'Content-Type': 'application/json', cookie }
  return new Promise((done, failed) => {
    const sent = request({ port, host: '127.0.0.1', path, method: 'POST', headers }, (response) => {
      let text = ''
      response.on('data', (piece: Buffer) => (text += piece.toString()))
      response.on('end', () => done({ cookie: response.headers['set-cookie']?.[0]?.split(';')[0] ?? '', text }))
    })
    sent.on('error', failed)
    sent.end(JSON.stringify(body))
  })
}

function percentile(values: number[], percent: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor((sorted.length * percent) / 100))] ?? 0
}

function least(name: string, value: number, bar: number, more = ''): void {
  row(name, value, `at least ${bar}`, value >= bar, more)
}

function most(name: string, value: number, bar: number, more = ''): void {
  row(name, value, `at most ${bar}`, value <= bar, more)
}

function row(name: string, value: number, bar: string, ok: boolean, more: string): void {
  const shown = value > 100 ? value.toFixed(0) : value.toFixed(2)
  console.log(`${name.padEnd(56)} ${shown.padStart(9)}   ${bar.padEnd(16)} ${ok ? 'ok' : 'MISSED'}   ${more}`)
}

void load().catch((error: unknown) => {
  console.error(error)
  process.exit(1)
})
