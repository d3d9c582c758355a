import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { deflateSync, inflateSync } from 'node:zlib'
import type { EntityManager } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { ProofCheck, standingsOf, judgeBatch, type ChainHead, type Id, type ProofFound } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { sha256 } from '../sealing/sha256'
import { Heads } from '../sealing/heads.service'
import { KEYS } from '../sealing/keyTools'
import { asOwner, openKitchen, type TestKitchen } from '../test/kitchen'
import { verify } from '../verify/verify'
import { Proofs, type Handed } from './proofs.service'

let kitchen: TestKitchen
const batch = uuid()
const other = uuid()

beforeAll(async () => {
  kitchen = await openKitchen({ folder: mkdtempSync(join(tmpdir(), 'lt-proof-')) })
  await kitchen.post([kitchen.start('1-1', batch), kitchen.start('1-2', other)])
  await kitchen.post([kitchen.reading(batch, 60), kitchen.reading(other, 61)])
  await decided(batch, 'discard')
  await decided(other, 'hold')
})
afterAll(() => kitchen.app.close())

/** The lead decides over a batch, with the standings as the server has them. */
async function decided(id: Id, decision: 'discard' | 'hold') {
  const { id: by, pin } = kitchen.person('ilse')
  const at = clock.now()
  const read = await kitchen.get(`/api/batches/${id}`)
  const findings = standingsOf(judgeBatch((read.body as { batch: never }).batch, { zone: 'UTC' }, at))
  const body = { decision, reason: 'never cooked through', findings, core: 'tablet' }
  const { body: answer } = (await kitchen.post([kitchen.claim('disposed', id, body, { by, at })], {
    signer: by,
    pin,
  })) as { body: { results: { outcome: string }[] } }
  expect(answer.results).toMatchObject([{ outcome: 'accepted' }])
}

function checked(text: string): ProofFound {
  const check = new ProofCheck({
    sha256,
    ...KEYS,
    pack: (each) => deflateSync(each),
    unpack: (packed) => inflateSync(packed).toString(),
  })
  for (const line of text.trimEnd().split('\n')) check.next(line)
  return check.end()
}

async function handed(what: Handed, proofs = kitchen.app.get(Proofs), head?: ChainHead): Promise<ProofFound> {
  const lines: string[] = []
  for await (const line of proofs.lines(kitchen.kitchenId, head ?? (await proofs.head(kitchen.kitchenId)), what))
    lines.push(JSON.stringify(line))
  return checked(lines.join('\n'))
}

it('hands out a batch that proves itself, against a head that was signed, without showing another', async () => {
  const { text, headers } = await kitchen
    .get(`/api/proof/batch/${batch}`)
    .buffer(true)
    .parse((response, done) => {
      let all = ''
      response.on('data', (piece: Buffer) => (all += piece.toString()))
      response.on('end', () => done(null, all))
    })
    .then(({ body, headers: said }) => ({ text: body as string, headers: said }))
  expect(headers['content-disposition']).toBe('attachment; filename="batch-1-1.proof"')
  const found = checked(text)
  expect(found).toMatchObject({ faults: [], cautions: [], shown: 3, judged: 1 })
  expect(found.head?.seq).toBe(found.shown + found.left)
  expect(found.head?.key).toBe(kitchen.app.get(Heads).publicKeys().at(-1)!.id)
  expect(text).not.toContain(other)
  expect((await kitchen.get(`/api/proof/batch/${uuid()}`)).status).toBe(404)
})

it('hands out all of it, or a period with the batches that began in it', async () => {
  const all = await handed('all')
  expect(all).toMatchObject({ faults: [], left: 0, judged: 2 })
  const later = clock.now()
  const period = await handed({ batches: [other], from: later, to: later + 1 })
  expect(period).toMatchObject({ faults: [], judged: 1, shown: 3 })
  expect(await handed({ batches: [], from: 0, to: later + 1 })).toMatchObject({ faults: [], left: 0 })
})

it('keeps a head whenever somebody signs with a PIN, however short ago another was kept', async () => {
  const heads = async () =>
    (await kitchen.scope.inKitchen(kitchen.kitchenId, (em) => em.execute<object[]>('select seq from signed_head')))
      .length
  await handed('all')
  const before = await heads()
  await decided(other, 'hold')
  for (let tries = 0; tries < 50 && (await heads()) === before; tries++)
    await new Promise((done) => setTimeout(done, 100))
  expect(await heads()).toBe(before + 1)
})

it('proves the same of a logbook that has grown by many entries, shown or left out', async () => {
  const many = Array.from({ length: 300 }, (_, i) => kitchen.reading(other, 50 + i / 100))
  await kitchen.post(many)
  const found = await handed('all')
  expect(found).toMatchObject({ faults: [], left: 0 })
  expect(found.shown).toBeGreaterThan(300)
  expect(await handed({ batches: [batch] })).toMatchObject({ faults: [], shown: 3 })
})

class Undone extends Error {}

/** As the serving role reads, on the connection of the owner: what is done there is seen, and undone after. */
class SeenByOwner extends KitchenScope {
  constructor(private readonly owner: EntityManager) {
    super(owner)
  }
  override inKitchen<T>(_: Id, work: (em: EntityManager) => Promise<T>): Promise<T> {
    return work(this.owner)
  }
  override asOfOneMoment<T>(_: Id, work: (em: EntityManager) => Promise<T>): Promise<T> {
    return work(this.owner)
  }
}

async function afterDeed<T>(deed: string, look: (em: EntityManager, head: ChainHead) => Promise<T>): Promise<T> {
  let found: T
  const doing = asOwner((owner) =>
    owner.em.fork().transactional(async (em) => {
      await em.execute(`select set_config('lt.kitchen', ?, true)`, [kitchen.kitchenId])
      for (const table of ['entry', 'signed_head']) await em.execute(`alter table ${table} disable trigger user`)
      const [head] = await em.execute<{ seq: string; hash: string }[]>('select seq, hash from chain_head')
      await em.execute(deed)
      found = await look(em, { seq: Number(head!.seq), hash: head!.hash })
      throw new Undone()
    }),
  )
  await doing.catch((error: unknown) => {
    if (!(error instanceof Undone)) throw error
  })
  return found!
}

const handedOut = (em: EntityManager, head: ChainHead) =>
  handed('all', new Proofs(new SeenByOwner(em), kitchen.app.get(Heads)), head)

describe('whatever the owner of the database changes, the file tells', () => {
  const reading = `(select max(seq) from entry where kind = 'reading-taken' and about_id = '${batch}')`
  it.each([
    [
      'a value',
      `update entry set canon = replace(canon, '"value":60', '"value":80') where seq = ${reading}`,
      'altered',
    ],
    [
      'a value and its hash',
      `update entry set canon = replace(canon, '"value":60', '"value":80'), hash = encode(sha256(convert_to(
        replace(canon, '"value":60', '"value":80'), 'UTF8')), 'hex') where seq = ${reading}`,
      'broken link',
    ],
    [
      'a limit',
      `update entry set canon = replace(canon, '"limits-set"', '"limits-set" ') where kind = 'limits-set'`,
      'altered',
    ],
    ['the head’s signature', `update signed_head set signature = reverse(signature)`, 'not signed so'],
  ])('%s', async (_, deed, code) => {
    expect((await afterDeed(deed, handedOut)).faults[0]?.code).toBe(code)
  })

  it('and whoever goes through the records finds a tree that is not theirs', async () => {
    const verified = (em: EntityManager) => verify(new SeenByOwner(em), kitchen.kitchenId, { seals: null, role: null })
    const { faults } = await afterDeed(`update entry_block set root = repeat('0', 64) where index = 0`, verified)
    expect(faults).toContainEqual({ code: 'other block', seq: 256 })
  })

  it('and of a logbook that lacks an entry nothing is handed out', async () => {
    await expect(afterDeed('delete from entry where seq = 5', handedOut)).rejects.toThrow('beyond the entries')
  })
})
