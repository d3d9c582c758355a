import { v7 as uuid } from 'uuid'
import { Client } from 'pg'
import type { Appended } from '@logged-thermal/core'
import { Append } from './append.service'
import { openKitchen, OWNER_URL, type TestKitchen } from '../test/kitchen'

let kitchen: TestKitchen
let batch: string
beforeAll(async () => {
  kitchen = await openKitchen()
  batch = uuid()
  await kitchen.post([kitchen.start('q-1', batch)])
})
afterAll(() => kitchen.app.close())

const postOf = (claims: readonly unknown[]) => {
  const by = kitchen.person('mina').id
  return { kitchenId: kitchen.kitchenId, postedBy: by, signedBy: null, clockAheadMs: 0, claims }
}
const append = (claims: readonly unknown[], more = {}) => kitchen.app.get(Append).append({ ...postOf(claims), ...more })
const said = (outcomes: Appended[]) => outcomes.map(({ outcome }) => outcome)

describe('posts that come at once', () => {
  it('go into few transactions, each answered for its own, in the order they came', async () => {
    const posts = Array.from({ length: 40 }, (_, i) => [
      kitchen.reading(batch, 20 + i),
      kitchen.reading(batch, i % 2 ? 900 : 60),
    ])
    const outcomes = await Promise.all(posts.map((claims) => append(claims)))
    outcomes.forEach((each, i) => expect(said(each)).toEqual(['accepted', i % 2 ? 'refused' : 'accepted']))
    const seqs = outcomes.map(([first]) => (first as { seal: { seq: number } }).seal.seq)
    expect(seqs).toEqual([...seqs].sort((a, b) => a - b))
    const transactions = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
      em.execute<{ xmin: string }[]>(
        'select distinct xmin::text as xmin from entry where kitchen_id = ? and seq >= ?',
        [kitchen.kitchenId, seqs[0]],
      ),
    )
    expect(transactions.length).toBeLessThan(10)
  })

  it('fail alone where one of them cannot be written', async () => {
    const failing = () => {
      throw new Error('cannot be')
    }
    const posts = Array.from({ length: 5 }, (_, i) =>
      append([kitchen.reading(batch, 30 + i)], i === 2 ? { recordedAt: failing } : {}),
    )
    const settled = await Promise.allSettled(posts)
    expect(settled.map(({ status }) => status)).toEqual([
      'fulfilled',
      'fulfilled',
      'rejected',
      'fulfilled',
      'fulfilled',
    ])
  })

  it('are told to come again where too many wait, and lose nothing of what was taken', async () => {
    const claims = Array.from({ length: 450 }, () => kitchen.reading(batch, 40))
    const settled = await Promise.allSettled(claims.map((claim) => append([claim])))
    const refused = settled.filter((each) => each.status === 'rejected')
    expect(refused.length).toBeGreaterThan(0)
    expect(refused[0]!.reason).toMatchObject({ status: 503, code: 'busy' })
    const again = (await Promise.all(claims.slice(0, 300).map((claim) => append([claim])))).flatMap(said)
    expect(new Set(again)).toEqual(new Set(['already there']))
  })
})

it('lets everybody read while somebody else holds the logbook, and says then that it is busy', async () => {
  const owner = new Client({ connectionString: OWNER_URL() })
  await owner.connect()
  try {
    await owner.query('begin')
    await owner.query(`select set_config('lt.kitchen', $1, true)`, [kitchen.kitchenId])
    await owner.query('select * from chain_head where kitchen_id = $1 for update', [kitchen.kitchenId])
    const order: string[] = []
    const posted = Array.from({ length: 15 }, () =>
      kitchen.post([kitchen.reading(batch, 61)]).then((answer) => {
        order.push('post')
        return answer
      }),
    )
    for (let i = 0; i < 5; i++) {
      expect((await kitchen.get('/api/line')).status).toBe(200)
      order.push('read')
    }
    const answers = await Promise.all(posted)
    expect(order.slice(0, 5)).toEqual(Array<string>(5).fill('read'))
    for (const { body } of answers) expect(body).toMatchObject({ status: 503, title: 'busy' })
  } finally {
    await owner.query('rollback')
    await owner.end()
  }
  expect((await kitchen.post([kitchen.reading(batch, 61)])).body).toMatchObject({ results: [{ outcome: 'accepted' }] })
}, 60_000)

it('takes no second connection while it holds one: many kitchens at once would each wait for another', async () => {
  const nested = kitchen.scope.inKitchen(kitchen.kitchenId, () =>
    kitchen.scope.asOfOneMoment(kitchen.kitchenId, () => Promise.resolve()),
  )
  await expect(nested).rejects.toThrow('takes no second connection')
})

it('says which part is to blame while it is not ready', async () => {
  const ready = await kitchen.get('/health/ready')
  expect(ready.body).toMatchObject({
    ready: true,
    parts: [{ part: 'reading' }, { part: 'writing' }, { part: 'queue' }, { part: 'logbook' }],
  })
  const owner = new Client({ connectionString: OWNER_URL() })
  await owner.connect()
  try {
    await owner.query('begin')
    await owner.query('lock table chain_head in access exclusive mode')
    const answer = await kitchen.get('/health/ready')
    expect(answer.status).toBe(503)
    expect(answer.body).toMatchObject({
      ready: false,
      parts: [{ ok: false }, { ok: false, why: 'no answer' }, { ok: true }, { ok: true }],
    })
  } finally {
    await owner.query('rollback')
    await owner.end()
  }
}, 30_000)

it('says that the disk is full, writes nothing then, and takes the same post once there is room', async () => {
  const owner = new Client({ connectionString: OWNER_URL() })
  await owner.connect()
  const claims = [kitchen.reading(batch, 33)]
  try {
    // What PostgreSQL raises where it cannot extend a file.
    await owner.query(`create function no_room() returns trigger language plpgsql as
      $$ begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$`)
    await owner.query('create trigger no_room before insert on entry for each row execute function no_room()')
    const full = await kitchen.post(claims)
    expect(full.status).toBe(507)
    expect(full.body).toMatchObject({ title: 'disk full' })
  } finally {
    await owner.query('drop trigger if exists no_room on entry')
    await owner.query('drop function if exists no_room()')
    await owner.end()
  }
  expect(said(await append(claims))).toEqual(['accepted'])
})
