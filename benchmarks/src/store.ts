import type { AddressInfo } from 'node:net'
import { MikroORM } from '@mikro-orm/postgresql'
import { canonical, kinds, type AnyClaim, type Seal } from '@logged-thermal/core'
import { v7 as uuid } from 'uuid'
import {
  configFrom,
  createApp,
  KitchenScope,
  ormConfig,
  type Seeded,
  seedKitchen,
  rebuild,
} from '@logged-thermal/server'
import { DEMO_PEOPLE } from '@logged-thermal/demo'
import { openAsker } from './asker'
import { ITEMS_A_PAIR, storeHistory } from './storeHistory'

const ITEMS = Number(process.env.LT_BENCH_ITEMS ?? 200_000)
const ASKED = 120
const MOST_MS = 25
const MOST_GROWTH = 1.5

/** How long the cold store takes to answer in a kitchen with years of history, and in one with a tenth of it. */
async function storeBenchmarks(): Promise<void> {
  const config = { ...configFrom(process.env), logLevel: 'silent' }
  const app = await createApp(config)
  await app.listen(0, '127.0.0.1')
  const { port } = (app.getHttpServer() as { address(): AddressInfo }).address()
  const orm = app.get<MikroORM>(MikroORM)
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  const small = await measured(await filled(orm, owner, ITEMS / 10), port)
  const large = await measured(await filled(orm, owner, ITEMS), port)
  for (const [name, ms] of Object.entries(large)) {
    row(`${name}, p95, ms`, ms, MOST_MS, `${small[name]!.toFixed(1)} with a tenth`)
    row(`${name}, grown from a tenth`, ms / small[name]!, MOST_GROWTH, '')
  }
  await owner.close()
  await app.close()
}

/** A kitchen whose logbook is written entry by entry, and folded by the rebuild command. */
async function filled(
  orm: MikroORM,
  owner: MikroORM,
  items: number,
): Promise<Seeded & { lots: string[]; some: string[]; held: string[] }> {
  const now = Date.now()
  const kitchen = await seedKitchen(owner, {
    name: `Bench ${items}`,
    zone: 'UTC',
    people: DEMO_PEOPLE,
    now: now - 4 * 365 * 86_400_000,
  })
  const scope = new KitchenScope(orm.em.fork())
  const [head] = await scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ seq: string; hash: string }[]>('select seq, hash from chain_head where kitchen_id = ?', [
      kitchen.kitchenId,
    ]),
  )
  const began = performance.now()
  const start = { seq: Number(head!.seq), hash: head!.hash }
  const owned = new KitchenScope(owner.em.fork())
  let piece: string[] = []
  let written = 0
  const flush = async () => {
    const sql = 'select append_entries(?::uuid, array(select json_array_elements_text(?::json)))'
    await owned.inKitchen(kitchen.kitchenId, (em) => em.execute(sql, [kitchen.kitchenId, JSON.stringify(piece)]))
    written += piece.length
    piece = []
  }
  for (const { claim, seal } of storeHistory(kitchen, Math.round(items / ITEMS_A_PAIR), now, start)) {
    piece.push(canonical({ claim, seal: unhashed(seal) }))
    if (piece.length === 5_000) await flush()
  }
  if (piece.length) await flush()
  const wrote = performance.now()
  await rebuild(scope, kitchen.kitchenId)
  await owner.em.execute('analyze')
  const seconds = (ms: number) => Math.round(ms / 1000)
  console.log(
    `${items} items: ${written} entries written in ${seconds(wrote - began)} s, folded in ${seconds(performance.now() - wrote)} s`,
  )
  const ids = (sql: string) =>
    scope.inKitchen(kitchen.kitchenId, async (em) =>
      (await em.execute<{ id: string }[]>(sql, [kitchen.kitchenId])).map(({ id }) => id),
    )
  return {
    ...kitchen,
    lots: await ids(`select id from lot where kitchen_id = ? and code like 'E-%' order by id`),
    some: await ids(`select id from item where kitchen_id = ? order by id limit 2000`),
    held: await ids(`select id from item where kitchen_id = ? and live order by id`),
  }
}

/** A seal as it was hashed. */
function unhashed(seal: Seal): Omit<Seal, 'hash'> {
  const without: Partial<Seal> = { ...seal }
  delete without.hash
  return without as Omit<Seal, 'hash'>
}

async function measured(kitchen: Awaited<ReturnType<typeof filled>>, port: number): Promise<Record<string, number>> {
  const { ask, close } = openAsker(port)
  const mina = kitchen.people.find(({ key }) => key === 'mina')!
  const { cookie } = await ask('POST', '/api/shift', {
    kitchen: kitchen.kitchenId,
    person: mina.id,
    pin: mina.pin,
    device: kitchen.kitchenId,
  })
  const { lots, some } = kitchen
  // An entry before each answer, as in a kitchen: nothing is answered from what was read just before.
  const enter = async (i: number) => {
    const claim = lookAt(kitchen, i)
    const { text } = await ask('POST', '/api/entries', { sentAt: claim.at, entries: [claim] }, cookie)
    if (!text.includes('accepted')) throw new Error(`entry: ${text}`)
  }
  const p95 = async (path: (i: number) => string) => {
    const times: number[] = []
    for (let i = 0; i < ASKED + 20; i++) {
      await enter(i)
      const { status, ms } = await ask('GET', path(i), null, cookie)
      if (status !== 200) throw new Error(`${path(i)}: ${status}`)
      // The first answers warm the caches.
      if (i >= 20) times.push(ms)
    }
    return times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!
  }
  const found = {
    'Cold Store': await p95(() => '/api/store'),
    'what goes today': await p95(() => '/api/store/discards'),
    'lineage of a lot, five generations': await p95((i) => `/api/lineage/lot/${lots[(i * 7) % lots.length]!}`),
    'lineage of an item': await p95((i) => `/api/lineage/item/${some[(i * 13) % some.length]!}`),
  }
  await close()
  return found
}

/** Units are read all the time, items are moved. */
function lookAt({ kitchenId, people, starter, held }: Awaited<ReturnType<typeof filled>>, i: number): AnyClaim {
  const at = Date.now()
  const by = people.find(({ key }) => key === 'mina')!.id
  const made = { id: uuid(), kitchen: kitchenId, at, madeAt: at, by, device: kitchenId }
  const unit = starter.units[i % 2]!.id
  return i % 2 === 0
    ? {
        ...made,
        kind: 'unit-read',
        v: kinds['unit-read'].v,
        about: { type: 'unit', id: unit },
        body: { typed: { value: 3.1, unit: 'C' }, instrument: null, noted: null },
      }
    : {
        ...made,
        kind: 'label-printed',
        v: kinds['label-printed'].v,
        about: { type: 'item', id: held[i % held.length]! },
        body: { copies: 1 },
      }
}

function row(name: string, value: number, most: number, more: string): void {
  console.log(
    `${name.padEnd(52)} ${value.toFixed(2).padStart(9)}   at most ${String(most).padEnd(6)} ${value <= most ? 'ok' : 'MISSED'}   ${more}`,
  )
}

void storeBenchmarks().catch((error: unknown) => {
  console.error(error)
  process.exitCode = 1
})
