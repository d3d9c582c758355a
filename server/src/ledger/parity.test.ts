import { createHash } from 'node:crypto'
import { v7 as uuid } from 'uuid'
import {
  dayOf,
  heldTo,
  openKitchen as openInMemory,
  SECOND,
  type AnyClaim,
  type Id,
  type MemoryKitchen,
  type SubjectType,
} from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { PEOPLE } from '../test/people'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import { TABLES } from './statements'

const CLAIMS = 250
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')
/** From 0 to 1, the same in every run. */
const chance = (of: string) => parseInt(sha256(of).slice(0, 8), 16) / 2 ** 32

interface Answer {
  outcome: string
  code?: string
  field?: string
  seal?: { seq: number; hash: string; recordedAt: number }
}

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

/** All states of the kitchen, as the database holds them. */
async function states(): Promise<Map<string, unknown>> {
  const rows = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ type: string; id: string; state: unknown }[]>(
      Object.entries(TABLES)
        .map(([type, table]) => `select '${type}' as type, id, state from ${table}`)
        .join(' union all '),
    ),
  )
  return new Map(rows.map(({ type, id, state }) => [`${type} ${id}`, state]))
}

async function head(): Promise<{ seq: number; hash: string }> {
  const [row] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ seq: string; hash: string }[]>('select seq, hash from chain_head'),
  )
  return { seq: Number(row!.seq), hash: row!.hash }
}

async function inMemory(): Promise<MemoryKitchen> {
  return openInMemory({
    id: kitchen.kitchenId,
    zone: 'UTC',
    ruleSet: 'us-food-code-2022',
    people: PEOPLE.map(({ key, role }) => ({ id: kitchen.person(key).id, role })),
    now: clock.now(),
    sha256,
    from: {
      head: await head(),
      states: [...(await states())].map(([key, state]) => {
        const [type, id] = key.split(' ') as [SubjectType, Id]
        return { type, id, state }
      }),
    },
  })
}

/** What somebody enters, well or badly, by numbers from 0 to 1. */
function entered(posted: readonly AnyClaim[], batches: readonly Id[], items: readonly Id[]) {
  const { starter, kitchenId } = kitchen
  const claim: TestKitchen['claim'] = (...of) => kitchen.claim(...of)
  const pick = <T>(from: readonly T[], at: number): T => from[Math.min(from.length - 1, Math.floor(at * from.length))]!
  return ([what = 0, a = 0, b = 0, c = 0]: readonly number[]): AnyClaim => {
    const batch = pick(batches, a)
    const item = pick(items, a)
    const typed = { value: Math.round(c * 950) / 10, unit: 'C' as const }
    const instrument = b < 0.7 ? starter.probe.id : null
    const past = clock.now() - Math.round(c * 3_000_000)
    const late = b < 0.2 ? { at: past, madeAt: past } : b > 0.9 ? { by: kitchen.person('noor').id } : {}
    const earlier = pick(posted, b)
    const step = pick(['temper', 'cook', 'cool', 'no such step'], c)
    const lot = pick(starter.lots, c)
    const made: (() => AnyClaim)[] = [
      () => claim('reading-taken', batch, { typed, where: 'core', of: 'mixture', instrument }, late),
      () => claim('reading-taken', batch, { typed, where: 'core', of: 'mixture', instrument, portion: '1' }, late),
      () => claim('step-marked', batch, { step, edge: pick(['started', 'combined', 'done'], b), reason: 'so' }, late),
      () =>
        claim('added', batch, {
          step,
          ingredient: 'yolk',
          grams: 20,
          state: 'pasteurized lot',
          lot: b < 0.5 ? lot.id : 'a box',
        }),
      () => claim('added', batch, { step, ingredient: 'butter', grams: 20, state: 'as it is', lot: null }),
      () =>
        claim('eggs-taken', batch, {
          step,
          lot: lot.id,
          form: lot.lot.form ?? 'shell',
          as: 'yolk',
          cracked: null,
          rejected: 0,
          grams: { yolk: 20 },
          size: 'US L',
          item: b < 0.8 ? (lot.lot.held?.item ?? null) : null,
          ...(b > 0.6 ? { happened: true as const } : {}),
        }),
      () => claim('washed', batch, { step }, late),
      () => claim('went-out-answered', item, { reason: 'nobody had eaten of it' }),
      () => claim('noted', batch, { text: 'thin on the spoon', cue: null }, late),
      () =>
        claim(
          'corrected',
          earlier?.about.id ?? batch,
          { target: earlier?.id ?? batch, reason: 'undo', now: 'void', item: null },
          late,
        ),
      () =>
        claim(
          'item-moved',
          item,
          {
            how: pick(['move', 'out', 'freeze', 'thaw'], c),
            unit: b < 0.8 ? pick(starter.units, c).id : null,
            shelf: 1,
          },
          late,
        ),
      () => claim('item-read', item, { typed: { value: Math.round(c * 120) / 10, unit: 'C' }, instrument }, late),
      () =>
        claim('item-used', item, {
          measure: { value: Math.round(b * 100), unit: pick(['g', 'piece'], c) },
          then: 'served',
          ...(b > 0.8 ? { happened: true as const } : {}),
        }),
      () => claim('item-opened', item, {}),
      () => claim('item-held', item, { reason: 'smells' }, late),
      () => claim('taken-back', item, { target: earlier?.id ?? item, also: [] }, late),
      () =>
        claim('item-discarded', item, {
          reason: 'not kept',
          note: null,
          measure: { value: 5, unit: 'g' },
          grams: null,
          cost: null,
        }),
      () =>
        claim(
          'unit-read',
          pick(starter.units, a).id,
          { typed: { value: Math.round(c * 120) / 10, unit: 'C' }, instrument: null, noted: null },
          late,
        ),
      () => claim('served', batch, { discarded: 1, ...(b < 0.3 ? { happened: true } : {}) }),
      // What is sent twice, changed under its id, of another kitchen, of tomorrow, and no claim at all.
      () => earlier ?? claim('noted', batch, { text: 'first', cue: null }),
      () => ({ ...(earlier ?? claim('noted', batch, { text: 'x', cue: null })), madeAt: clock.now() }),
      () => claim('noted', batch, { text: 'elsewhere', cue: null }, { kitchen: uuid() }),
      () =>
        claim('noted', batch, { text: 'tomorrow', cue: null }, { at: clock.now() + 86_400_000, madeAt: clock.now() }),
      () =>
        ({
          ...claim('noted', uuid(), { text: 'x', cue: null }),
          body: { text: kitchenId.repeat(40) },
        }) as unknown as AnyClaim,
    ]
    return pick(made, what)()
  }
}

it('a kitchen in memory takes, refuses, seals and folds exactly as the server does', async () => {
  const store = storeOf(kitchen)
  const batches: Id[] = []
  for (const name of ['Bay-leaf pouring custard', 'Rye-malt custard', 'Caraway soufflé']) {
    const method = store.methodOf(name)
    const body = {
      code: `p-${batches.length}`,
      ...heldTo(method, 1, store.limits(), false, dayOf(clock.now(), 'UTC')),
      limits: { id: store.limits().id, version: 1 },
      vessel: method.vessel,
      factor: 1,
    }
    const started = kitchen.claim('batch-started', uuid(), body)
    await store.taken(started)
    batches.push(started.about.id)
  }
  const [portion] = await store.putAway(await store.jelly(3), 700)
  const items = [portion, ...kitchen.starter.lots.flatMap(({ lot }) => (lot.held ? [lot.held.item] : []))]
  const memory = await inMemory()
  const postedBy = kitchen.person('mina').id
  const deeds = Array.from({ length: CLAIMS }, (_, i) => [0, 1, 2, 3].map((k) => chance(`${i} ${k}`)))

  const posted: AnyClaim[] = []
  const codes = new Map<string, number>()
  for (const deed of deeds) {
    const claim = entered(posted, batches, items)(deed)
    const response = await kitchen.post([claim])
    const [server] = (response.body as { results: Answer[] }).results
    const now = server!.seal?.recordedAt ?? clock.now()
    const here = memory.post(claim, { postedBy, now })
    const said = here.ok ? 'taken' : here.code
    const there = server!.outcome === 'refused' ? server!.code! : 'taken'
    expect(`${claim.kind} ${said}`).toBe(`${claim.kind} ${there}`)
    if (here.ok) expect(here.seq).toBe(server!.seal!.seq)
    else expect(here.field).toBe(server!.field)
    codes.set(there, (codes.get(there) ?? 0) + 1)
    if (there === 'taken' && !posted.some(({ id }) => id === claim.id)) posted.push(claim)
    clock.set(clock.now() + 20 * SECOND)
  }

  expect(memory.entries().at(-1)!.seal.hash).toBe((await head()).hash)
  for (const [key, state] of await states()) {
    const [type, id] = key.split(' ') as [SubjectType, Id]
    expect(memory.read(type, id)).toEqual(state)
  }
  expect(codes.get('taken')).toBeGreaterThan(CLAIMS / 3)
  expect(codes.size).toBeGreaterThan(10)
}, 300_000)
