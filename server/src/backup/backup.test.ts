import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { MikroORM } from '@mikro-orm/postgresql'
import { grantTo } from '../database/grants'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../ormConfig'
import { Accounts } from '../people/accounts.service'
import { Pins, STRANGERS } from '../people/pins.service'
import { emptyDatabase, openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import { clock } from '../clock/clock'
import { Heads } from '../sealing/heads.service'
import { sealsIn } from '../sealing/sealing.module'
import { verify } from '../verify/verify'
import { backup, checkBackup } from './backup'
import { restore } from './restore'

const CALLED = 'kept.in.a.backup'
const PASSWORD = 'ladle under the window'

const folder = mkdtempSync(join(tmpdir(), 'lt-backup-'))
const seals = sealsIn(mkdtempSync(join(tmpdir(), 'lt-seals-')))
const file = join(folder, 'kitchen.backup')
let kitchen: TestKitchen
/** Only this kitchen: the tests of other files share the database. */
let own: KitchenScope

beforeAll(async () => {
  kitchen = await openKitchen()
  const store = storeOf(kitchen)
  await store.putAway(await store.jelly(2), 650, { last: true })
  await kitchen.get('/api/store/feed')
  await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute(`insert into photo select ?, encode(sha256(b), 'hex'), b, 1, ? from (select 'picture'::bytea) of (b)`, [
      kitchen.kitchenId,
      kitchen.person('mina').id,
    ]),
  )
  await new Accounts(kitchen.scope).give(kitchen.kitchenId, kitchen.person('ilse').id, CALLED, PASSWORD, null)
  const [head] = await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute<{ seq: string; hash: string }[]>('select seq, hash from chain_head where kitchen_id = ?', [
      kitchen.kitchenId,
    ]),
  )
  const heads = new Heads(kitchen.scope, seals.keys, seals.heads)
  heads.move(kitchen.kitchenId, { seq: Number(head!.seq), hash: head!.hash })
  await heads.onApplicationShutdown()
  own = new KitchenScope(kitchen.orm.em.fork())
  own.kitchens = () => Promise.resolve([{ id: kitchen.kitchenId, name: kitchen.name }])
})
afterAll(() => kitchen.app.close())

it('goes into a file that nobody else reads, is whole, and is never written over another', async () => {
  const { kitchens } = await backup(own, file, clock.now(), seals.keys.all)
  expect(kitchens).toEqual([{ id: kitchen.kitchenId, name: 'Test kitchen', entries: expect.any(Number) as number }])
  expect(statSync(file).mode & 0o777).toBe(0o600)
  await expect(backup(own, file, clock.now(), seals.keys.all)).rejects.toThrow('there already')
  await expect(checkBackup(join(folder, 'none'))).rejects.toThrow('not there')
})

it('is refused where it breaks off, was changed, or is something else', async () => {
  const packed = readFileSync(file)
  const text = gunzipSync(packed).toString()
  const made = (name: string, content: Buffer) => {
    writeFileSync(join(folder, name), content)
    return checkBackup(join(folder, name))
  }
  await expect(made('half', packed.subarray(0, packed.length / 2))).rejects.toThrow('no backup')
  await expect(made('cut', gzipSync(text.split('\n').slice(0, -3).join('\n')))).rejects.toThrow('breaks off')
  await expect(made('changed', gzipSync(text.replace('Rhubarb', 'Quinces')))).rejects.toThrow(
    'not the one that was backed up',
  )
  await expect(made('other', gzipSync('{"a":1}\n'))).rejects.toThrow('does not begin as one')
  await expect(made('text', Buffer.from('hello'))).rejects.toThrow('no backup')
})

it('comes back into an empty database entry by entry, and says that it did', async () => {
  const owner = await MikroORM.init(ormConfig(emptyDatabase('empty').ownerUrl))
  await owner.getMigrator().up()
  await grantTo('lt_app', owner)
  const app = await MikroORM.init(ormConfig(emptyDatabase('empty').appUrl))
  try {
    const { kitchens, keys } = await restore(owner, file)
    const scope = new KitchenScope(app.em.fork())
    const ours = sealsIn(mkdtempSync(join(tmpdir(), 'lt-seals-')))
    const asked = () => verify(scope, kitchen.kitchenId, { seals: ours, role: 'lt_app' })
    expect((await asked()).faults.map(({ code }) => code)).toContain('not our signature')
    ours.keys.takeOver(keys)
    const found = await asked()
    expect(found.signed).toBe(1)
    expect(found.faults.filter(({ code }) => code !== 'recorded earlier')).toEqual([])
    expect(found.entries).toBe(kitchens[0]!.entries + 1)
    const rows = (of: KitchenScope) =>
      of.inKitchen(kitchen.kitchenId, (em) =>
        em.execute<object[]>('select id, state, card, course from item order by id'),
      )
    expect(await rows(scope)).toEqual(await rows(own))
    const photos = await scope.inKitchen(kitchen.kitchenId, (em) =>
      em.execute<object[]>(`select convert_from(bytes, 'UTF8') as photo, at, by from photo`),
    )
    expect(photos).toEqual([{ photo: 'picture', at: '1', by: kitchen.person('mina').id }])
    const last = await scope.inKitchen(kitchen.kitchenId, (em) =>
      em.execute<{ kind: string; body: object }[]>('select kind, body from entry order by seq desc limit 1'),
    )
    expect(last).toMatchObject([{ kind: 'restored', body: { seq: kitchens[0]!.entries } }])
    const { id, pin } = kitchen.person('mina')
    expect(await new Pins(scope).require(kitchen.kitchenId, id, pin, STRANGERS)).toMatchObject({ name: 'Mina Osk' })
    const accounts = new Accounts(scope)
    const cookie = await accounts.signIn(CALLED, PASSWORD, null, null)
    expect(await accounts.find(cookie)).toMatchObject({
      name: CALLED,
      kitchens: [{ id: kitchen.kitchenId, role: 'lead' }],
    })
    await expect(restore(owner, file)).rejects.toThrow('This database has a kitchen, Test kitchen')
  } finally {
    await app.close()
    await owner.close()
  }
})
