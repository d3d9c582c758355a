import 'reflect-metadata'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { MikroORM } from '@mikro-orm/postgresql'
import request from 'supertest'
import { v7 as uuid } from 'uuid'
import { dayOf, heldTo, kinds, type AnyClaim, type Bodies, type Id, type Kind } from '@logged-thermal/core'
import { configFrom } from '../config'
import { createApp } from '../createApp'
import { grantTo } from '../database/grants'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../database/ormConfig'
import { DEMO_PEOPLE, seedKitchen, type Seeded } from '../demo/seed'

export const OWNER_URL = () => process.env.TEST_OWNER_URL!
export const APP_URL = () => process.env.TEST_DATABASE_URL!

/** Migrates the test database; safe to call from every file. */
export async function migrated(): Promise<void> {
  const owner = await MikroORM.init(ormConfig(OWNER_URL()))
  // Test files run side by side; one of them migrates while the others wait.
  await owner.em.transactional(async (em) => {
    await em.execute('select pg_advisory_xact_lock(4310)')
    const migrator = await MikroORM.init(ormConfig(OWNER_URL()))
    await migrator.getMigrator().up()
    await grantTo('lt_app', migrator)
    await migrator.close()
  })
  await owner.close()
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
  post(entries: unknown[], more?: object): request.Test
  get(path: string): request.Test
  /** POST without a body. */
  send(path: string): request.Test
  /** Opens a shift on another tablet: all else is Mina's. */
  cookieOf(key: string): Promise<string[]>
}

export async function openKitchen(): Promise<TestKitchen> {
  await migrated()
  const config = configFrom({ DATABASE_URL: APP_URL(), LT_LOG_LEVEL: 'silent' })
  const app = await createApp(config)
  await app.listen(0, '127.0.0.1')
  const orm = app.get<MikroORM>(MikroORM)
  const seeded = await seedKitchen(orm, {
    name: 'Test kitchen',
    zone: 'UTC',
    people: DEMO_PEOPLE,
    now: Date.now() - 86_400_000,
  })
  const device = uuid()
  const person = (key: string) => seeded.people.find((candidate) => candidate.key === key)!
  const http = request(app.getHttpServer())
  const cookieOf = async (key: string) => {
    const { id, pin } = person(key)
    const opened = await http.post('/api/shift').send({ kitchen: seeded.kitchenId, person: id, pin, device })
    return opened.headers['set-cookie'] as unknown as string[]
  }
  const cookie = await cookieOf('mina')
  const { methods, limits, probe } = seeded.starter
  const method = methods[0]!

  const claim: TestKitchen['claim'] = (kind, about, body, more = {}) => {
    const at = Date.now()
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
        ...heldTo(method, 1, limits, false, dayOf(Date.now(), 'UTC')),
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
    post: (entries, more = {}) =>
      http
        .post('/api/entries')
        .set('Cookie', cookie)
        .send({ sentAt: Date.now(), entries, ...more }),
    get: (path) => http.get(path).set('Cookie', cookie),
    send: (path) => http.post(path).set('Cookie', cookie),
    cookieOf,
  }
}
