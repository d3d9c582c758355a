import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { canonical, GENESIS, seal, type AnyClaim, type Seal } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { grantTo } from '../database/grants'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../ormConfig'
import { Proofs } from '../proof/proofs.service'
import { Heads } from '../sealing/heads.service'
import { sealsIn } from '../sealing/sealing.module'
import { sha256 } from '../sealing/sha256'
import { emptyDatabase, openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import { verify } from '../verify/verify'
import { archive } from './archive'
import { takeIn } from './takeIn'

const folder = mkdtempSync(join(tmpdir(), 'lt-archive-'))
const file = join(folder, 'kitchen.zip')
let kitchen: TestKitchen
let owner: MikroORM
let app: MikroORM

beforeAll(async () => {
  kitchen = await openKitchen({ folder: mkdtempSync(join(tmpdir(), 'lt-seals-')) })
  const store = storeOf(kitchen)
  await store.putAway(await store.jelly(2), 650, { last: true })
  await kitchen.scope.inKitchen(kitchen.kitchenId, (em) =>
    em.execute(`insert into photo select ?, encode(sha256(b), 'hex'), b, 1, ? from (select 'picture'::bytea) of (b)`, [
      kitchen.kitchenId,
      kitchen.person('mina').id,
    ]),
  )
  await archive(kitchen.scope, kitchen.app.get(Proofs), kitchen.kitchenId, file, clock.now())
  owner = await MikroORM.init(ormConfig(emptyDatabase('another').ownerUrl))
  await owner.getMigrator().up()
  await grantTo('lt_app', owner)
  app = await MikroORM.init(ormConfig(emptyDatabase('another').appUrl))
})
afterAll(async () => {
  await app.close()
  await owner.close()
  await kitchen.app.close()
})

const there = () => new KitchenScope(app.em.fork())

/** The same archive with some of its files changed, or taken out. */
function changed(name: string, change: Record<string, ((text: string) => string) | null>): string {
  const files = unzipSync(readFileSync(file))
  for (const [of, to] of Object.entries(change)) {
    if (to === null) delete files[of]
    else files[of] = strToU8(to(strFromU8(files[of] ?? new Uint8Array())))
  }
  const path = join(folder, name)
  writeFileSync(path, zipSync(files, { level: 1 }))
  return path
}

/** The lines of a logbook sealed anew with one claim changed, and signed by nobody. */
function rewritten(text: string, change: (claim: AnyClaim, i: number) => AnyClaim): string {
  let head = GENESIS
  let i = 0
  return text
    .split('\n')
    .map((line) => {
      if (line.startsWith('{"heads"')) return '{"heads":[]}'
      if (!line.startsWith('{"entry"')) return line
      const { claim, seal: was } = JSON.parse((JSON.parse(line) as { entry: string }).entry) as {
        claim: AnyClaim
        seal: Seal
      }
      const made = seal(change(claim, i++), head, was, sha256)
      head = made.entry.seal
      return JSON.stringify({ entry: made.canon, hash: made.entry.seal.hash })
    })
    .join('\n')
}

describe('an archive is refused, and nothing of it stays', () => {
  afterEach(async () => expect(await there().kitchens()).toEqual([]))
  const refused = (path: string) => expect(takeIn(owner, path)).rejects

  it('where it is none, is damaged, or lacks what it names', async () => {
    await refused(join(folder, 'none.zip')).toThrow('is not there')
    const text = join(folder, 'text.zip')
    writeFileSync(text, 'hello')
    await refused(text).toThrow('is no archive of a kitchen')
    const half = join(folder, 'half.zip')
    writeFileSync(half, readFileSync(file).subarray(0, 4000))
    await refused(half).toThrow('is no archive of a kitchen')
    await refused(changed('a.zip', { 'logbook.proof': null })).toThrow('is no archive of a kitchen')
    await refused(changed('b.zip', { 'kitchen.json': () => '{"archive":1}' })).toThrow('is no archive of a kitchen')
    const [photo] = Object.keys(unzipSync(readFileSync(file))).filter((name) => name.startsWith('photos/'))
    await refused(changed('c.zip', { [photo!]: () => 'another' })).toThrow('a photo is missing, or is another')
  })

  it('where a name leads out of it, or a file has no end', async () => {
    await refused(changed('d.zip', { '../../evil.json': () => 'x' })).toThrow('is no archive of a kitchen')
    await refused(changed('e.zip', { 'kitchen.json': () => ' '.repeat(20_000_000) })).toThrow('larger than anything')
    await refused(changed('f.zip', { 'logbook.proof': () => 'x'.repeat(20_000_000) })).toThrow('has no end')
  })

  it('where one line was changed, all was sealed anew, or a part is missing', async () => {
    await refused(changed('g.zip', { 'logbook.proof': (text) => text.replace('Rhubarb', 'Quinces') })).toThrow(
      /does not check out\. Line \d+: entry \d+ is not the text that was sealed\./,
    )
    const cut = (text: string) => text.split('\n').slice(0, -4).join('\n')
    await refused(changed('h.zip', { 'logbook.proof': cut })).toThrow('it breaks off here')
  })

  it('where it says something else than its logbook: another zone, other limits, somebody whom nobody knows', async () => {
    const said = (from: RegExp, to: string) => (text: string) => text.replace(from, to)
    await refused(changed('l.zip', { 'kitchen.json': said(/"zone": "UTC"/, '"zone": "Asia/Tokyo"') })).toThrow(
      'another zone',
    )
    const both = {
      'kitchen.json': said(/"zone": "UTC"/, '"zone": "Asia/Tokyo"'),
      'logbook.proof': said(/"zone":"UTC"/, '"zone":"Asia/Tokyo"'),
    }
    await refused(changed('m.zip', both)).toThrow('another time zone')
    const limits = said(/"limitsId": "[^"]*"/, `"limitsId": "${uuid()}"`)
    await refused(changed('n.zip', { 'kitchen.json': limits })).toThrow('other limits')
    const stranger = said(/"people": \[/, `"people": [{"id":"${uuid()}","name":"Nobody Known","role":"lead","job":""},`)
    await refused(changed('o.zip', { 'kitchen.json': stranger })).toThrow(
      'Nobody Known, whom its logbook does not know',
    )
  })

  it('where it is of a newer version, or its parts of two kitchens', async () => {
    await refused(changed('i.zip', { 'kitchen.json': () => '{"archive":2}' })).toThrow('newer version')
    const sung = (claim: AnyClaim, i: number) =>
      i === 9 ? ({ ...claim, kind: 'sung-to' } as unknown as AnyClaim) : claim
    await refused(changed('j.zip', { 'logbook.proof': (text) => rewritten(text, sung) })).toThrow('newer version')
    const other = (text: string) => text.replace(kitchen.kitchenId, uuid())
    await refused(changed('k.zip', { 'kitchen.json': other })).toThrow('of another kitchen')
  })
})

it('goes into another installation, beside a kitchen that is there, every entry as it was; and out again the same', async () => {
  // Another kitchen was there first.
  const neighbour = changed('neighbour.zip', {
    // A cook who calls himself lead in it is the cook that the logbook knows.
    'kitchen.json': (text) =>
      text.replaceAll(kitchen.kitchenId, NEIGHBOUR).replaceAll('"role": "cook"', '"role": "lead"'),
    'logbook.proof': (text) =>
      rewritten(text.replaceAll(kitchen.kitchenId, NEIGHBOUR), (claim) => ({ ...claim, kitchen: NEIGHBOUR })),
  })
  expect(await takeIn(owner, neighbour)).toMatchObject({ id: NEIGHBOUR, unsigned: true })

  const leads = await there().inKitchen(NEIGHBOUR, (em) =>
    em.execute<{ name: string }[]>(`select name from person where role = 'lead'`),
  )
  expect(leads).toEqual([{ name: 'Ilse Varrow' }])

  const { entries, keys, unsigned } = await takeIn(owner, file)
  expect(unsigned).toBe(false)
  await expect(takeIn(owner, file)).rejects.toThrow('This kitchen is here already: Test kitchen.')
  const canons = (scope: KitchenScope) =>
    scope.inKitchen(kitchen.kitchenId, (em) =>
      em.execute<{ canon: string }[]>('select canon from entry where seq <= ? order by seq', [entries]),
    )
  expect(await canons(there())).toEqual(await canons(kitchen.scope))
  const states = (scope: KitchenScope) =>
    scope.inKitchen(kitchen.kitchenId, (em) => em.execute<object[]>('select id, state, card from item order by id'))
  expect(canonical(await states(there()))).toBe(canonical(await states(kitchen.scope)))

  const seals = sealsIn(mkdtempSync(join(tmpdir(), 'lt-seals-')))
  seals.keys.takeOver(keys)
  const { faults, signed } = await verify(there(), kitchen.kitchenId, { seals, role: 'lt_app' })
  expect(faults.filter(({ code }) => code !== 'recorded earlier')).toEqual([])
  expect(signed).toBeGreaterThan(0)

  const again = join(folder, 'again.zip')
  await archive(there(), new Proofs(there(), new Heads(there(), null, null)), kitchen.kitchenId, again, clock.now())
  const logbook = (path: string) =>
    strFromU8(unzipSync(readFileSync(path))['logbook.proof']!)
      .split('\n')
      .filter((line) => line.startsWith('{"entry"'))
  expect(logbook(again).slice(0, entries)).toEqual(logbook(file))
})

const NEIGHBOUR = '0195b000-0000-7000-8000-0000000000aa'
