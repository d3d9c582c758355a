import { v7 as uuid } from 'uuid'
import type { EntityManager } from '@mikro-orm/postgresql'
import { rebuild } from '../ledger/rebuild'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { KeptRows } from './keptRows'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

interface Row {
  code: string
  state: { labels: number }
}
const byCode = (a: Row, b: Row) => (a.code < b.code ? -1 : 1)
const rows = () => new KeptRows<Row>('item', 'code, state', 'live', byCode)
const inside = <T>(work: (em: EntityManager) => Promise<T>) => kitchen.scope.asOfOneMoment(kitchen.kitchenId, work)
const said = (all: readonly Row[]) => all.map(({ code, state: { labels } }) => `${code} ${labels}`)

const find = (code: string) =>
  kitchen.claim('item-found', uuid(), {
    code,
    name: 'Tub',
    measure: { value: 300, unit: 'g' },
    unit: null,
    shelf: null,
  })
const gone = { reason: 'undated' as const, note: null, measure: null, grams: null, cost: null }

describe('rows that are kept', () => {
  it('are after any entries as if they were read for the first time', async () => {
    const kept = rows()
    const read = () => inside((em) => kept.read(em, kitchen.kitchenId))
    const fresh = () => inside((em) => rows().read(em, kitchen.kitchenId))
    const [first, second] = [find('k-2'), find('k-1')]
    const changes = [
      [first],
      [second],
      [kitchen.claim('label-printed', first.about.id, { copies: 3 })],
      [kitchen.claim('label-printed', first.about.id, { copies: 1 }), find('k-3')],
      [kitchen.claim('item-discarded', first.about.id, gone)],
      [kitchen.claim('item-discarded', second.about.id, gone), find('k-0')],
    ]
    for (const change of changes) {
      await kitchen.post(change)
      expect(said(await read())).toEqual(said(await fresh()))
    }
    expect(said(await read())).toEqual(expect.arrayContaining(['k-0 0', 'k-3 0']))
    expect(said(await read()).some((each) => each.startsWith('k-2'))).toBe(false)
  })

  it('are the very same while nothing changed, and where all was folded anew', async () => {
    const kept = rows()
    const before = await inside((em) => kept.read(em, kitchen.kitchenId))
    expect(await inside((em) => kept.read(em, kitchen.kitchenId))).toBe(before)
    await rebuild(kitchen.scope, kitchen.kitchenId)
    expect(said(await inside((em) => kept.read(em, kitchen.kitchenId)))).toEqual(
      said(await inside((em) => rows().read(em, kitchen.kitchenId))),
    )
  })

  it('read of one row changed only that row', async () => {
    const kept = rows()
    const before = await inside((em) => kept.read(em, kitchen.kitchenId))
    const one = find('k-9')
    await kitchen.post([one])
    const after = await inside((em) => kept.read(em, kitchen.kitchenId))
    expect(after.length).toBe(before.length + 1)
    for (const row of before) expect(after).toContain(row)
  })

  it('are never those of another kitchen', async () => {
    const other = await openKitchen()
    const kept = rows()
    await inside((em) => kept.read(em, kitchen.kitchenId))
    const theirs = await other.scope.asOfOneMoment(other.kitchenId, (em) => kept.read(em, other.kitchenId))
    expect(said(theirs).some((each) => each.startsWith('k-'))).toBe(false)
    await other.app.close()
  })
})
