import 'reflect-metadata'
import { readdirSync, readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { MikroORM } from '@mikro-orm/postgresql'
import { Client } from 'pg'
import { v7 as uuid } from 'uuid'
import {
  apply,
  canonical,
  dayOf,
  GENESIS,
  heldTo,
  seal,
  verifyChain,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type ChainHead,
  type Id,
  type Kind,
  type SealedEntry,
} from '@logged-thermal/core'
import {
  claimMaker,
  configFrom,
  createApp,
  KitchenScope,
  type Statement,
  type Seeded,
  seedKitchen,
  readAfter,
  ormConfig,
  rebuild,
  sha256,
  gather,
  lockHead,
  write,
  type Changed,
  type Gathered,
} from '@logged-thermal/server'
import { DEMO_PEOPLE } from '@logged-thermal/demo'

/** Ratios of what we do to the bare work under it, in one run: machines differ, ratios less. Prints a table. */
async function benchmarks(): Promise<void> {
  const config = { ...configFrom(process.env), logLevel: 'silent' }
  const app = await createApp(config)
  await app.listen(0, '127.0.0.1')
  const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
  const orm = app.get<MikroORM>(MikroORM)
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  const kitchen = await seedKitchen(owner, {
    name: 'Bench kitchen',
    zone: 'UTC',
    people: DEMO_PEOPLE,
    now: Date.now() - 1000,
  })
  await owner.close()
  const http = await client(port, kitchen)
  const bare = await bareAppender(config.databaseUrl, kitchen)
  const batch = await http.start('q-1')

  // Interleaved, so that a noisy machine disturbs both alike.
  const rates: { http: number[]; bare: number[]; many: number[] } = { http: [], bare: [], many: [] }
  for (let round = 0; round < 7; round++) {
    // A batch of its own each round: states grow with their readings.
    const [one, two, three] = [
      await http.start(`h-${round}`),
      await bare.start(`b-${round}`),
      await http.start(`m-${round}`),
    ]
    rates.http.push(await rate(60, () => http.post([http.reading(one)])))
    rates.bare.push(await rate(60, () => bare.append(two)))
    rates.many.push(500 * (await rate(2, () => http.post(Array.from({ length: 500 }, () => http.reading(three))))))
  }
  const single = median(rates.http)
  row(
    'append over HTTP / the same transaction bare',
    single / median(rates.bare),
    0.5,
    `${round(single)} and ${round(median(rates.bare))} entries/s`,
  )
  row(
    '500 entries a post / one entry a post',
    median(rates.many) / single,
    15,
    `${round(median(rates.many))} entries/s`,
  )

  await http.post(Array.from({ length: 10 }, () => http.reading(batch)))
  const entries = madeChain(20_000, kitchen)
  const ours: number[] = []
  const loop: number[] = []
  for (let round = 0; round < 5; round++) {
    ours.push(await rate(1, () => Promise.resolve(verifyChain(entries, sha256))))
    loop.push(
      await rate(1, () =>
        Promise.resolve(
          entries.forEach(
            ({ claim, seal: { hash, ...unhashed } }) => sha256(canonical({ claim, seal: unhashed })) === hash,
          ),
        ),
      ),
    )
  }
  row(
    'verifying a chain / canonicalize and SHA-256 alone',
    median(ours) / median(loop),
    0.7,
    `${round(median(ours) * entries.length)} entries/s`,
  )

  const scope = new KitchenScope(orm.em.fork())
  const count = (await scope.inKitchen(kitchen.kitchenId, (em) => readAfter(em, kitchen.kitchenId, 0, 1e6))).length
  const rebuilt: number[] = []
  for (let round = 0; round < 3; round++) rebuilt.push(count * (await rate(1, () => rebuild(scope, kitchen.kitchenId))))
  row('rebuilding, entries/s', median(rebuilt), 15_000, `${count} entries`)

  if (config.webRoot) {
    const kilobytes = firstLoad(config.webRoot) / 1000
    console.log(
      `${'first load of the Line, kB gzip'.padEnd(52)} ${kilobytes.toFixed(0).padStart(9)}   at most 400   ${kilobytes <= 400 ? 'ok' : 'MISSED'}`,
    )
  }
  await bare.close()
  await app.close()
}

function row(name: string, value: number, least: number, more: string): void {
  const shown = value > 100 ? String(round(value)) : value.toFixed(2)
  console.log(
    `${name.padEnd(52)} ${shown.padStart(9)}   at least ${String(least).padEnd(6)} ${value >= least ? 'ok' : 'MISSED'}   ${more}`,
  )
}

async function rate(times: number, work: () => Promise<unknown>): Promise<number> {
  const began = performance.now()
  for (let i = 0; i < times; i++) await work()
  return (times * 1000) / (performance.now() - began)
}

function median(values: number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
}

function round(value: number): number {
  return Math.round(value)
}

/** What a browser fetches for the Line: the page, what it names, and the Latin fonts. */
function firstLoad(root: string): number {
  const page = readFileSync(join(root, 'index.html'), 'utf8')
  const named = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+)"/g)].map(([, path]) => path!)
  const fonts = readdirSync(join(root, 'assets')).filter((name) => /-latin-w[^x].*woff2$/.test(name))
  const zipped = [page, ...named.map((path) => readFileSync(join(root, path)))].map(
    (content) => gzipSync(content).length,
  )
  const plain = fonts.map((name) => readFileSync(join(root, 'assets', name)).length)
  return [...zipped, ...plain].reduce((sum, size) => sum + size, 0)
}

function claimsOf({ kitchenId, people, starter }: Seeded) {
  const by = people.find(({ key }) => key === 'mina')!.id
  const method = starter.methods[0]!
  const claim = <K extends Kind>(kind: K, about: Id, body: Bodies[K]): AnyClaim => {
    return claimMaker(kitchenId)(kind, about, Date.now(), by, body)
  }
  return {
    by,
    start: (id: Id, code: string) => {
      const limits = { id: starter.limits.id, version: 1 }
      return claim('batch-started', id, {
        code,
        ...heldTo(method, 1, starter.limits, false, dayOf(Date.now(), 'UTC')),
        limits,
        vessel: method.vessel,
        factor: 1,
      })
    },
    reading: (batch: Id) =>
      claim('reading-taken', batch, {
        typed: { value: 61.4, unit: 'C' },
        where: 'core',
        of: 'mixture',
        instrument: starter.probe.id,
      }),
  }
}

/** A client that costs little beside the server, for both share this machine: one kept connection, no streams. */
function poster(port: number) {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 })
  return (path: string, body: unknown, cookie = '') =>
    new Promise<{ cookie: string; answer: unknown }>((done, failed) => {
      const headers = { 'Content-Type': 'application/json', cookie }
      const sent = request({ port, host: '127.0.0.1', path, method: 'POST', agent, headers }, (response) => {
        let text = ''
        response.on('data', (chunk: Buffer) => (text += chunk.toString()))
        response.on('end', () =>
          done({ cookie: response.headers['set-cookie']?.[0]?.split(';')[0] ?? '', answer: JSON.parse(text) }),
        )
      })
      sent.on('error', failed)
      sent.end(JSON.stringify(body))
    })
}

async function client(port: number, kitchen: Seeded) {
  const claims = claimsOf(kitchen)
  const send = poster(port)
  const mina = kitchen.people.find(({ key }) => key === 'mina')!
  const shift = { kitchen: kitchen.kitchenId, person: mina.id, pin: mina.pin, device: kitchen.kitchenId }
  const { cookie } = await send('/api/shift', shift)
  const post = async (entries: AnyClaim[]) => {
    const { answer } = await send('/api/entries', { sentAt: Date.now(), entries }, cookie)
    const { results } = answer as { results: { outcome: string }[] }
    if (!results.every(({ outcome }) => outcome === 'accepted')) throw new Error(JSON.stringify(results[0]))
  }
  return {
    post,
    reading: claims.reading,
    start: async (code: string) => {
      const id = uuid()
      await post([claims.start(id, code)])
      return id
    },
  }
}

/** The same statements as an append, by a bare driver on one connection, with nothing around them. */
async function bareAppender(databaseUrl: string, kitchen: Seeded) {
  const { kitchenId } = kitchen
  const claims = claimsOf(kitchen)
  const pg = new Client({ connectionString: databaseUrl })
  await pg.connect()
  const query = async <R extends object>({ sql, params }: Statement) => {
    let n = 0
    return (
      await pg.query<R>(
        sql.replace(/\?/g, () => `$${++n}`),
        params,
      )
    ).rows
  }
  const appendClaim = async (claim: AnyClaim) => {
    await pg.query('begin')
    await pg.query(`select set_config('lt.kitchen', $1, true)`, [kitchenId])
    const [head] = await query<{ seq: string; hash: string; core: number }>(lockHead(kitchenId))
    const rows = await query<Gathered>(gather(kitchenId, [claim], []))
    const known = rows.find(({ what }) => what === 'batch')?.content
    const state = known ? (JSON.parse(known) as BatchState) : null
    const stamp = { recordedAt: Date.now(), offsetMinutes: 0, postedBy: claims.by }
    const { entry, canon } = seal(claim, { seq: Number(head!.seq), hash: head!.hash }, stamp, sha256)
    const { seq } = entry.seal
    const changed: Changed[] = [
      {
        type: 'batch',
        id: claim.about.id,
        seq,
        state: apply.batch(claim.about.id, state, entry),
        columns: { closed: false, put_away: false, barred: null },
        parents: null,
      },
    ]
    await query(write(kitchenId, [{ claim, canon, seal: entry.seal }], changed, Number(head!.core)))
    await pg.query('commit')
  }
  return {
    start: async (code: string) => {
      const id = uuid()
      await appendClaim(claims.start(id, code))
      return id
    },
    append: (batch: Id) => appendClaim(claims.reading(batch)),
    close: () => pg.end(),
  }
}

function madeChain(length: number, kitchen: Seeded): SealedEntry[] {
  const claims = claimsOf(kitchen)
  let head: ChainHead = GENESIS
  return Array.from({ length }, (_, i) => {
    const { entry } = seal(
      claims.reading(kitchen.kitchenId),
      head,
      { recordedAt: i, offsetMinutes: 0, postedBy: claims.by },
      sha256,
    )
    head = entry.seal
    return entry
  })
}

void benchmarks().catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
