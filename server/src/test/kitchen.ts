import 'reflect-metadata'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import {
  dayOf,
  heldTo,
  HOUR,
  kinds,
  MINUTE,
  startOfDay,
  type AnyClaim,
  type Bodies,
  type Id,
  type Instant,
  type Kind,
} from '@logged-thermal/core'
import { configFrom, type Rates } from '../config'
import { createApp } from '../createApp'
import { grantTo } from '../database/grants'
import { KitchenScope } from '../database/kitchenScope'
import { prepareJobs } from '../jobs/prepareJobs'
import { ormConfig } from '../ormConfig'
import { Packets } from '../packets/packets.service'
import { Heads } from '../sealing/heads.service'
import { type Seeded, seedKitchen } from '../kitchens/newKitchen'
import { PEOPLE } from './people'
import { clock, clockFrom } from '../clock/clock'
import { Client } from 'pg'
import request from 'supertest'

/** Test files that run side by side have a database each: some lock, change or break tables. */
const databases = () => JSON.parse(process.env.TEST_DATABASES!) as Record<string, { ownerUrl: string; appUrl: string }>
const ours = () => databases()[`worker_${process.env.JEST_WORKER_ID}`]!
export const OWNER_URL = () => ours().ownerUrl
export const APP_URL = () => ours().appUrl
/** Databases without a table: each for one test file. */
export const emptyDatabase = (name: 'empty' | 'another') => databases()[name]!

/** Migrates the test database; safe to call from every file. */
export async function migrated(): Promise<void> {
  await asOwner(async (owner) => {
    await owner.getMigrator().up()
    await grantTo('lt_app', owner)
  })
}

/** Something that the serving role may not do. */
export async function asOwner<T>(work: (owner: MikroORM) => Promise<T>): Promise<T> {
  const owner = await MikroORM.init(ormConfig(OWNER_URL()))
  try {
    return await work(owner)
  } finally {
    await owner.close()
  }
}

/** A running server and a kitchen of its own in the real database. */
export interface TestKitchen extends Seeded {
  app: NestExpressApplication
  orm: MikroORM
  scope: KitchenScope
  device: Id
  person(key: string): { id: Id; pin: string }
  claim<K extends Kind>(kind: K, about: Id, body: Bodies[K], more?: Partial<AnyClaim>): AnyClaim
  /** The claim that starts a batch of the first method. */
  start(code: string, id?: Id): AnyClaim
  reading(batch: Id, celsius: number, more?: Partial<AnyClaim>): AnyClaim
  /** Entries are posted as they were made: those of an earlier time one by one, with the clock set to then. */
  post(entries: unknown[], more?: object): Promise<request.Response>
  get(path: string): request.Test
  /** POST without a body. */
  send(path: string): request.Test
  /** Opens a shift on another tablet, or on that: all else is Mina’s. */
  cookieOf(key: string, tablet?: Id): Promise<string[]>
}

/** Three in the afternoon: late enough for a day's work, whatever the time is as the tests run. */
const USUAL_HOUR = 15

interface Opening {
  /** Where a test looks it up by name, and others have people come and go. */
  name?: string
  /** When it is: on the day of the tests, in the afternoon, unless a story needs another time. */
  at?: Instant
  rates?: Rates
  /** By which SMTP server letters go out; without it none do. */
  mail?: string
  /** Where its keys are; without it nothing is signed. */
  folder?: string
  /** Whether it makes packets: of one test file alone. */
  packets?: true
}

export async function openKitchen({
  name = 'Test kitchen',
  at,
  rates,
  mail,
  folder,
  packets,
}: Opening = {}): Promise<TestKitchen> {
  clockFrom(process.env)
  clock.set(at ?? startOfDay(dayOf(clock.now(), 'UTC'), 'UTC') + USUAL_HOUR * HOUR)
  await migrated()
  const config = configFrom({
    DATABASE_URL: APP_URL(),
    LT_LOG_LEVEL: 'silent',
    ...(folder ? { LT_DATA_FOLDER: folder } : {}),
    ...(mail ? { LT_SMTP_URL: mail, LT_MAIL_FROM: 'Kitchen <kitchen@example.org>' } : {}),
  })
  if (mail || folder) await asOwner((owner) => prepareJobs(OWNER_URL(), 'lt_app', owner))
  // As it starts it signs every kitchen there is: here those of other test files too, with keys that are not theirs.
  if (folder) jest.spyOn(Heads.prototype, 'onApplicationBootstrap').mockResolvedValue()
  // Nor does it take the jobs of another file's kitchen: what it made would lie in a folder of its own.
  if (folder && !packets) jest.spyOn(Packets.prototype, 'onApplicationBootstrap').mockResolvedValue()
  const app = await createApp({ ...config, rates: rates ?? config.rates })
  await app.listen(0, '127.0.0.1')
  const orm = app.get<MikroORM>(MikroORM)
  const now = clock.now() - 86_400_000
  const seeded = await asOwner((owner) => seedKitchen(owner, { name, zone: 'UTC', people: PEOPLE, now }))
  const device = uuid()
  const person = (key: string) => seeded.people.find((candidate) => candidate.key === key)!
  const http = request(app.getHttpServer())
  const cookieOf = async (key: string, of: Id = uuid()) => {
    const { id, pin } = person(key)
    const opened = await http.post('/api/shift').send({ kitchen: seeded.kitchenId, person: id, pin, device: of })
    return opened.headers['set-cookie'] as unknown as string[]
  }
  const cookie = await cookieOf('mina', device)
  const { methods, limits, probe } = seeded.starter
  const method = methods[0]!

  const claim: TestKitchen['claim'] = (kind, about, body, more = {}) => {
    const at = clock.now()
    const made = {
      id: uuid(),
      kitchen: seeded.kitchenId,
      kind,
      v: kinds[kind].v,
      about: { type: kinds[kind].about, id: about },
    }
    return { ...made, at, madeAt: at, by: person('mina').id, device, body, ...more } as AnyClaim
  }
  return {
    ...seeded,
    app,
    orm,
    scope: new KitchenScope(orm.em.fork()),
    device,
    person,
    claim,
    start: (code, id = uuid()) => {
      return claim('batch-started', id, {
        code,
        ...heldTo(method, 1, limits, false, dayOf(clock.now(), 'UTC')),
        limits: { id: limits.id, version: 1 },
        vessel: method.vessel,
        factor: 1,
      })
    },
    reading: (batch, celsius, more) =>
      claim(
        'reading-taken',
        batch,
        { typed: { value: celsius, unit: 'C' }, where: 'core', of: 'mixture', instrument: probe.id },
        more,
      ),
    post: asMade(seeded.kitchenId, (entries, more) =>
      http
        .post('/api/entries')
        .set('Cookie', cookie)
        .send({ sentAt: clock.now(), entries, ...more }),
    ),
    get: (path) => http.get(path).set('Cookie', cookie),
    send: (path) => http.post(path).set('Cookie', cookie),
    cookieOf,
  }
}

type Post = (entries: unknown[], more?: object) => Promise<request.Response>

/** Nothing is recorded before what was recorded: a story that is told late begins before it, which only the owner can do. */
async function forgetTime(kitchenId: Id): Promise<void> {
  const owner = new Client({ connectionString: OWNER_URL() })
  await owner.connect()
  await owner.query(`select set_config('lt.kitchen', $1, false)`, [kitchenId])
  await owner.query('update chain_head set recorded_at = 0 where kitchen_id = $1', [kitchenId])
  await owner.end()
}

/** An entry made longer ago than this is posted with the clock set to then. */
const AGO = 2 * MINUTE

function asMade(kitchenId: Id, post: (entries: unknown[], more: object) => request.Test): Post {
  return async (entries, more = {}) => {
    const now = clock.now()
    const madeAt = (entry: unknown) => (entry as { madeAt?: number } | null)?.madeAt ?? now
    if (!entries.some((entry) => madeAt(entry) < now - AGO)) return post(entries, more)
    const results: unknown[] = []
    let last: request.Response | null = null
    for (const entry of entries) {
      const real = Date.now()
      clock.set(Math.min(madeAt(entry), now))
      await forgetTime(kitchenId)
      last = await post([entry], more)
      clock.set(now + Date.now() - real)
      results.push(...((last.body as { results?: unknown[] }).results ?? []))
    }
    ;(last!.body as { results: unknown[] }).results = results
    return last!
  }
}
