import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import type { AnyClaim, BatchState, Id } from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { Heads } from '../sealing/heads.service'
import { Contacts } from '../people/contacts.service'
import { Append } from './append.service'
import { digestOf } from './foldCore'
import { Refold } from './refold'
import { TABLES } from './statements'

let kitchen: TestKitchen
let batch: Id
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())
beforeEach(async () => {
  batch = uuid()
  await kitchen.post([kitchen.start(`u-${batch.slice(-4)}`, batch), kitchen.reading(batch, 61.2)])
})

const execute = (sql: string) =>
  kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute(sql, [kitchen.kitchenId]))
/** Every state and card, without who folded it. */
const rows = async () => {
  const tables = Object.values(TABLES).map((table) => `select '${table}' as name, id, seq, state::text from ${table}`)
  const all = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<object[]>(`${tables.join(' union all ')} order by 1, 2`),
  )
  const cards = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<object[]>('select id, card::text, course::text, barred, live from item order by id'),
  )
  const edges = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<object[]>('select child_id, parent_id from edge order by 1, 2'),
  )
  return { all, cards, edges }
}
/** What older code would have kept: states that lack what came since, by a lower number; and none of its subjects found. */
const asOfOlderCode = async () => {
  await execute(`update batch set core = 0, closed = true, state = state - 'terms' - 'facts' where kitchen_id = ?`)
  await execute(`update item set core = 0, card = '{}', course = '{}' where kitchen_id = ?`)
  await execute(`update chain_head set core = 0, subjects_core = 0 where kitchen_id = ?`)
}
const readingsOf = ({ facts }: BatchState) => facts['reading-taken'].map(({ value }) => value.typed.value)

describe('after an upgrade', () => {
  it('is folded anew in pieces, to the very rows that were there', async () => {
    const before = await rows()
    await asOfOlderCode()
    expect(await rows()).not.toEqual(before)
    await new Refold(kitchen.scope).whole(kitchen.kitchenId)
    expect(await rows()).toEqual(before)
  })

  it('is folded anew where it is touched first, and the entry is judged by that', async () => {
    await asOfOlderCode()
    const append = new Append(
      kitchen.scope,
      new Refold(kitchen.scope),
      new Heads(kitchen.scope, null, null),
      new Contacts(kitchen.scope),
    )
    const { kitchenId } = kitchen
    const postedBy = kitchen.person('mina').id
    const post = (claim: AnyClaim) =>
      append.append({ kitchenId, postedBy, signedBy: null, clockAheadMs: 0, claims: [claim] })
    expect(await post(kitchen.reading(batch, 63))).toMatchObject([{ outcome: 'accepted' }])
    const [row] = await kitchen.scope.inKitchen(kitchenId, (em) =>
      em.execute<{ state: BatchState; closed: boolean }[]>(`select state, closed from batch where id = ?`, [batch]),
    )
    expect(readingsOf(row!.state)).toEqual([61.2, 63])
    expect(row!.closed).toBe(false)
  })

  it('leaves what newer code folded as it is: reads it, and writes nothing over it', async () => {
    await new Refold(kitchen.scope).whole(kitchen.kitchenId)
    await execute('update batch set core = 1000000 where kitchen_id = ?')
    const before = await rows()
    const refused = await kitchen.post([kitchen.reading(batch, 63)])
    expect([refused.status, refused.body]).toMatchObject([503, { type: 'urn:logged-thermal:problem:server-behind' }])
    await new Refold(kitchen.scope).whole(kitchen.kitchenId)
    const read = (await kitchen.get(`/api/batches/${batch}`)).body as { batch: BatchState }
    expect(readingsOf(read.batch)).toEqual([61.2])
    expect(await rows()).toEqual(before)
    await execute('update batch set core = (select max(number) from fold_core) where kitchen_id = ?')
  })

  it('knows a claim that was sent before it, in the older version of its kind', async () => {
    const former = {
      ...kitchen.claim('step-marked', batch, { step: 'warm', edge: 'done', reason: null }),
      v: 1,
      body: { step: 'warm', edge: 'done' },
    }
    const outcomes = async (claim: unknown) =>
      ((await kitchen.post([claim])).body as { results: { outcome: string }[] }).results.map(({ outcome }) => outcome)
    expect(await outcomes(former)).toEqual(['accepted'])
    expect(await outcomes(former)).toEqual(['already there'])
    expect(await outcomes({ ...former, v: 2, body: { ...former.body, reason: null } })).toEqual(['already there'])
    expect(await outcomes({ ...former, v: 2, body: { ...former.body, reason: 'else' } })).toEqual(['refused'])
  })
})

it('tells code apart by every file that the stored rows depend on, and by no other', () => {
  const folder = mkdtempSync(join(tmpdir(), 'lt-digest-'))
  const file = (name: string, text: string) => writeFileSync(join(folder, name), text)
  file('entry.js', `const fold = require("./fold")\n`)
  file('fold.js', 'exports.fold = 1\n')
  file('screen.js', 'exports.screen = 1\n')
  const before = digestOf(join(folder, 'entry.js'))
  file('screen.js', 'exports.screen = 2\n')
  expect(digestOf(join(folder, 'entry.js'))).toBe(before)
  file('fold.js', 'exports.fold = 2\n')
  expect(digestOf(join(folder, 'entry.js'))).not.toBe(before)
})
