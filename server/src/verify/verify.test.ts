import { mkdtempSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { EntityManager } from '@mikro-orm/postgresql'
import { Client } from 'pg'
import { v7 as uuid } from 'uuid'
import { canonical, GENESIS, seal, type AnyClaim, type Seal } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { Heads } from '../sealing/heads.service'
import { sealsIn } from '../sealing/sealing.module'
import { sha256 } from '../sealing/sha256'
import { TABLES } from '../ledger/statements'
import { APP_URL, asOwner, openKitchen, OWNER_URL, type TestKitchen } from '../test/kitchen'
import { clock } from '../clock/clock'
import type { Verified } from './fault'
import { guardFaults } from './guards'
import { verify, type Witnesses } from './verify'

let kitchen: TestKitchen
let folder: string
let witnesses: Witnesses
let batch: string

/** Signs where the logbook ends, as the server does beside its work. */
async function signed(): Promise<void> {
  const { keys, heads } = witnesses.seals!
  const [head] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ seq: string; hash: string }[]>('select seq, hash from chain_head where kitchen_id = ?', [
      kitchen.kitchenId,
    ]),
  )
  const service = new Heads(kitchen.scope, keys, heads)
  service.move(kitchen.kitchenId, { seq: Number(head!.seq), hash: head!.hash })
  await service.onApplicationShutdown()
}

beforeAll(async () => {
  kitchen = await openKitchen()
  folder = mkdtempSync(join(tmpdir(), 'lt-seals-'))
  witnesses = { seals: sealsIn(folder), role: 'lt_app' }
  batch = uuid()
  await kitchen.post([kitchen.start('v-1', batch), kitchen.reading(batch, 61.2), kitchen.reading(batch, 66.4)])
  await signed()
  await kitchen.post([kitchen.reading(batch, 70.1)])
})
afterAll(() => kitchen.app.close())

class Undone extends Error {}

/** What is found after something was done as the owner; then it is undone. */
async function foundAfter<T>(
  deed: (em: EntityManager) => Promise<unknown>,
  look: (em: EntityManager) => Promise<T>,
): Promise<T> {
  let found: T
  const doing = asOwner((owner) =>
    owner.em.fork().transactional(async (em) => {
      await em.execute(`select set_config('lt.kitchen', ?, true)`, [kitchen.kitchenId])
      await deed(em)
      found = await look(em)
      throw new Undone()
    }),
  )
  await doing.catch((error: unknown) => {
    if (!(error instanceof Undone)) throw error
  })
  return found!
}

async function pastTriggers(em: EntityManager, deed: (em: EntityManager) => Promise<unknown>): Promise<void> {
  for (const table of ['entry', 'signed_head']) await em.execute(`alter table ${table} disable trigger user`)
  await deed(em)
  for (const table of ['entry', 'signed_head']) await em.execute(`alter table ${table} enable trigger user`)
}

const verified = (em: EntityManager): Promise<Verified> => {
  const inside = { asOfOneMoment: (_: string, work: (em: EntityManager) => Promise<unknown>) => work(em) }
  return verify(inside as unknown as KitchenScope, kitchen.kitchenId, witnesses)
}
const faultsAfter = async (deed: (em: EntityManager) => Promise<unknown>) =>
  (await foundAfter((em) => pastTriggers(em, deed), verified)).faults
const sql =
  (text: string, ...params: unknown[]) =>
  (em: EntityManager) =>
    em.execute(text, params)

/** A seal without what sealing adds. */
function stampOf(seal: Partial<Seal>): Omit<Seal, 'seq' | 'prev' | 'hash'> {
  const { seq, prev, hash, ...stamp } = seal
  expect([typeof seq, typeof prev, hash]).toEqual(['number', 'string', undefined])
  return stamp as Omit<Seal, 'seq' | 'prev' | 'hash'>
}

/** The logbook with one entry changed, and every later one hashed anew so that all links fit. */
async function rehashed(em: EntityManager): Promise<void> {
  const rows = await em.execute<{ seq: string; canon: string }[]>('select seq, canon from entry order by seq')
  let head = GENESIS
  for (const { seq, canon } of rows) {
    const { claim, seal: was } = JSON.parse(canon.replace('"value":61.2', '"value":71.2')) as {
      claim: AnyClaim
      seal: Seal
    }
    const stamp = stampOf(was)
    const { entry, canon: text } = seal(claim, head, stamp, sha256)
    await em.execute('update entry set hash = ?, canon = ? where seq = ?', [entry.seal.hash, text, seq])
    head = entry.seal
  }
  await em.execute('update chain_head set hash = ?', [head.hash])
}

describe('records that nobody touched', () => {
  it('have no fault, and what was signed agrees', async () => {
    const { faults, entries, signed: agreed, older } = await verify(kitchen.scope, kitchen.kitchenId, witnesses)
    expect(faults).toEqual([])
    expect(entries).toBeGreaterThan(20)
    expect(agreed).toBeGreaterThanOrEqual(2)
    expect(older).toBe(0)
  })

  it('are vouched for by a file that nobody else reads', () => {
    for (const name of ['signing-keys.json', 'signed-heads.json'])
      expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600)
  })
})

describe('verify finds', () => {
  const found: [string, (em: EntityManager) => Promise<unknown>, string][] = [
    ['a value changed', sql(`update entry set canon = replace(canon, '"value":61.2', '"value":71.2')`), 'altered'],
    [
      'a blank in a text, hashed anew',
      async (em) => {
        await em.execute(`update entry set canon = canon || ' ' where seq = 5`)
        await em.execute(`update entry set hash = encode(sha256(convert_to(canon, 'UTF8')), 'hex') where seq = 5`)
      },
      'altered',
    ],
    ['a value changed and every later entry hashed anew', rehashed, 'signed otherwise'],
    [
      'the tail cut off and the head set back',
      async (em) => {
        await em.execute('delete from entry where seq > 10')
        await em.execute('update chain_head set (seq, hash) = (select seq, hash from entry where seq = 10)')
      },
      'signed otherwise',
    ],
    [
      'all of it deleted',
      async (em) => {
        await em.execute('delete from entry')
        await em.execute('update chain_head set seq = 0, hash = ?', [GENESIS.hash])
        await em.execute('delete from signed_head')
      },
      'signed otherwise',
    ],
    ['an entry taken out of the middle', sql('delete from entry where seq = 7'), 'missing'],
    [
      'two entries that changed places',
      async (em) => {
        await em.execute('alter table entry drop constraint entry_check1, drop constraint entry_kitchen_id_id_key')
        await em.execute(
          'update entry set (hash, canon) = (select hash, canon from entry o where o.seq = 11 - entry.seq) where seq in (5, 6)',
        )
      },
      'altered',
    ],
    [
      'another limit',
      sql(`update entry set canon = regexp_replace(canon, '"house":null', '"house":{}') where kind = 'limits-set'`),
      'altered',
    ],
    ['the head moved', sql('update chain_head set seq = seq - 1'), 'other head'],
    [
      'a head that somebody else signed',
      async (em) => {
        const other = sealsIn(mkdtempSync(join(tmpdir(), 'lt-seals-'))).keys
        const { statement, signature } = other.sign(canonical({ version: 1, seq: 3, key: other.current.id }))
        await em.execute('insert into signed_head values (?, 3, ?, ?)', [kitchen.kitchenId, statement, signature])
      },
      'not our signature',
    ],
    ['a state changed', sql(`update batch set state = jsonb_set(state, '{factor}', '3')`), 'other row'],
    ['what bars a batch taken away', sql(`update batch set barred = 'held'`), 'other row'],
    ['a date on a card changed', sql(`update item set card = replace(card::text, '20', '21')::json`), 'other row'],
    ['a row taken away', sql('delete from batch'), 'no row'],
    [
      'a row that no entry made',
      (em) =>
        em.execute(`insert into lot (kitchen_id, id, seq, state) values (?, ?, 1, '{}')`, [kitchen.kitchenId, uuid()]),
      'row of nothing',
    ],
    ['a subject that its entries are not found by', sql('delete from entry_subject'), 'not found by subject'],
    ['a cook set to lead', sql(`update person set role = 'lead' where role = 'cook'`), 'other role'],
    ['what an item was made of taken away', sql('delete from edge'), 'other lineage'],
  ]
  it.each(found)('%s', async (_, deed, code) => {
    expect((await faultsAfter(deed)).map((fault) => fault.code)).toContain(code)
  })

  it('an entry that was put in around the rules, however well it is formed', async () => {
    const put = async (em: EntityManager) => {
      const [{ canon }] = (await em.execute<{ canon: string }[]>(
        'select canon from entry order by seq desc limit 1',
      )) as [{ canon: string }]
      const { seal: last } = JSON.parse(canon) as { seal: Seal }
      const [head] = await em.execute<{ seq: string; hash: string }[]>('select seq, hash from chain_head')
      const stamp = stampOf(last)
      // Made when it says it was recorded, however slowly this machine came to it.
      const stranger = kitchen.reading(uuid(), 71, { at: last.recordedAt, madeAt: last.recordedAt })
      const made = seal(stranger, { seq: Number(head!.seq), hash: head!.hash }, stamp, sha256)
      await em.execute('select append_entries(?, array[?])', [kitchen.kitchenId, made.canon])
    }
    expect(await faultsAfter(put)).toMatchObject([
      { code: 'not admitted', why: expect.stringContaining('batch') as string },
      // It changes the instrument that it names, too.
      { code: 'not found by subject' },
      { code: 'other row', type: 'instrument' },
    ])
  })

  it.each([
    ['a trigger left off', 'alter table entry disable trigger entry_rows', /Trigger entry_rows/],
    [
      'a trigger that does nothing',
      `create or replace function entry_is_append_only() returns trigger language plpgsql as 'begin return new; end'`,
      /Trigger/,
    ],
    ['row-level security off', 'alter table batch no force row level security', /Table batch shows/],
    ['another policy', 'create policy all_of_them on batch using (true)', /Table batch has other rules/],
    ['a right too many', 'grant insert on entry to lt_app', /may add rows to entry/],
    ['a right to change one column', 'grant update (seq) on chain_head to lt_app', /may change rows of chain_head/],
    ['a right for everybody', 'grant delete on signed_head to public', /may remove rows of signed_head/],
    ['people whom the serving role may change', 'grant update (role) on person to lt_app', /may change rows of person/],
    [
      'another function that appends',
      `create or replace function append_entries(in_kitchen uuid, canons text[]) returns bigint language sql security definer as 'select 1::bigint'`,
      /append_entries/,
    ],
    [
      'a function that does as the owner may',
      `create function hand_over() returns bigint language sql security definer as 'select 1::bigint'`,
      /hand_over/,
    ],
  ])('%s', async (_, deed, said) => {
    const faults = await foundAfter(sql(deed), (em) => guardFaults(em, 'lt_app'))
    expect(faults).toContainEqual({ code: 'unguarded', what: expect.stringMatching(said) as string })
  })
})

describe('keys', () => {
  it('change by a statement that the old one signs; what the old one signed still counts', async () => {
    const { keys } = witnesses.seals!
    const old = keys.current
    const next = keys.rotate(clock.now())
    expect(keys.isSignedBy(old.id, next.introduced!)).toBe(true)
    await signed()
    const again: Witnesses = { ...witnesses, seals: sealsIn(folder) }
    expect(again.seals!.keys.all.map(({ id }) => id)).toEqual([old.id, next.id])
    expect((await verify(kitchen.scope, kitchen.kitchenId, again)).faults).toEqual([])
  })

  it('sign nothing more once the logbook is not the one they signed, and say so', async () => {
    const { keys, heads } = witnesses.seals!
    const service = new Heads(kitchen.scope, keys, heads)
    const last = heads.last(kitchen.kitchenId)
    service.move(kitchen.kitchenId, { seq: 3, hash: 'f'.repeat(64) })
    await service.onApplicationShutdown()
    expect(service.broken).toEqual(new Set([kitchen.kitchenId]))
    expect(heads.last(kitchen.kitchenId)).toEqual(last)
  })
})

describe('who serves', () => {
  let client: Client
  beforeAll(async () => {
    client = new Client({ connectionString: APP_URL() })
    await client.connect()
    await client.query(`select set_config('lt.kitchen', $1, false)`, [kitchen.kitchenId])
  })
  afterAll(() => client.end())

  it.each([
    ['update', `update entry set canon = canon`],
    [
      'add past the function',
      `insert into entry (kitchen_id, seq, hash, canon) select kitchen_id, 900, hash, canon from entry limit 1`,
    ],
    ['delete', `delete from entry`],
    ['truncate', `truncate entry`],
    ['move the head', `update chain_head set seq = 0`],
    ['set a cook to lead', `update person set role = 'lead'`],
    ['make a kitchen', `insert into kitchen values (gen_random_uuid(), 'x', 'UTC', 'C', gen_random_uuid())`],
    ['make a table that stands before ours', `create temporary table chain_head (seq bigint)`],
    ['disable the triggers', `alter table entry disable trigger all`],
    ['drop the triggers', `drop trigger entry_rows on entry`],
    ['switch off row-level security', `alter table entry no force row level security`],
    ['become the owner', `set role lt_owner`],
  ])('cannot %s', async (_, text) => {
    await expect(client.query(text)).rejects.toMatchObject({ code: '42501' })
  })

  it('can append only what follows: the next number, the link, the time', async () => {
    const { rows } = await client.query<{ canon: string; hash: string }>(
      'select canon, hash from entry order by seq desc limit 1',
    )
    const { claim, seal: last } = JSON.parse(rows[0]!.canon) as { claim: AnyClaim; seal: Seal }
    const wrong = [
      { ...last },
      { ...last, seq: last.seq + 1 },
      { ...last, seq: last.seq + 1, prev: rows[0]!.hash, recordedAt: last.recordedAt - 1 },
    ]
    for (const [i, each] of wrong.entries()) {
      const canon = canonical({ claim: { ...claim, id: uuid() }, seal: each })
      const appended = client.query('select append_entries($1, array[$2])', [kitchen.kitchenId, canon])
      await expect(appended).rejects.toThrow(['next number', 'not linked', 'recorded before'][i])
    }
  })

  it('sees and takes nothing of another kitchen', async () => {
    expect((await client.query('select 1 from entry limit 1')).rowCount).toBe(1)
    await client.query(`select set_config('lt.kitchen', $1, false)`, [uuid()])
    for (const table of ['entry', 'chain_head', 'person', 'shift', 'signed_head', ...Object.values(TABLES)]) {
      expect((await client.query(`select 1 from ${table}`)).rowCount).toBe(0)
    }
    await client.query(`select set_config('lt.kitchen', '', false)`)
    expect((await client.query('select 1 from entry')).rowCount).toBe(0)
    const other = client.query(`select append_entries($1, array['{}'])`, [kitchen.kitchenId])
    await expect(other).rejects.toMatchObject({ code: 'P0002' })
  })

  it('is not alone in that: the owner is kept from changing it too, by trigger', async () => {
    const owner = new Client({ connectionString: OWNER_URL() })
    await owner.connect()
    await owner.query(`select set_config('lt.kitchen', $1, false)`, [kitchen.kitchenId])
    for (const text of [
      'update entry set hash = hash',
      'delete from entry',
      'truncate entry',
      'delete from signed_head',
    ])
      await expect(owner.query(text)).rejects.toThrow('append only')
    await owner.end()
  })
})
