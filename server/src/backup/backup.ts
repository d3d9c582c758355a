import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id, Instant, PublicKey } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { StoredChain } from '../verify/storedChain'
import { sha256 } from '../sealing/sha256'
import { readBackup, writeBackup, type BackupLine } from './backupFile'
import { accountsOf } from './keptAccounts'

const PIECE = 1_000
const PHOTOS = 10

/** What a backup was found to hold. */
export interface BackedUp {
  made: Instant
  keys: readonly PublicKey[]
  kitchens: { id: Id; name: string; entries: number }[]
}

/**
 * Writes everything that cannot be made anew into a file, and goes through the copy. Signing keys, shifts and tablets are
 * not in it. Throws an Error where the copy is not what it should be.
 */
export async function backup(
  scope: KitchenScope,
  path: string,
  made: Instant,
  keys: readonly PublicKey[],
): Promise<BackedUp> {
  await writeBackup(path, linesOf(scope, made, keys))
  return checkBackup(path)
}

async function* linesOf(scope: KitchenScope, made: Instant, keys: readonly PublicKey[]): AsyncGenerator<BackupLine> {
  const kitchens = await scope.kitchens()
  yield { backup: 1, made }
  yield { keys }
  for (const { id } of kitchens) yield* kitchenLines(scope, id)
  yield {
    accounts: await scope.inNone((em) =>
      accountsOf(
        em,
        kitchens.map(({ id }) => id),
      ),
    ),
  }
  yield { whole: { kitchens: kitchens.length } }
}

async function* kitchenLines(scope: KitchenScope, id: Id): AsyncGenerator<BackupLine> {
  const of = <R extends object>(sql: string, params: unknown[] = [id]) =>
    scope.inKitchen(id, (em: EntityManager) => query<R>(em, { sql, params }))
  // The end is read first: what is entered meanwhile belongs to the next backup.
  const [end] = await of<{ id: Id; seq: string; hash: string }>(
    'select kitchen_id as id, seq, hash from chain_head where kitchen_id = ?',
  )
  const last = Number(end!.seq)
  const [kitchen] = await of<Extract<BackupLine, { kitchen: unknown }>['kitchen']>(
    `select id, name, zone, unit, limits_id as "limitsId", (select secret from feed where kitchen_id = k.id) as feed
     from kitchen k where id = ?`,
  )
  yield { kitchen: kitchen! }
  yield {
    people: await of(
      'select id, name, role, job, pin_hash as "pinHash", pin_digits as "pinDigits" from person where kitchen_id = ? order by id',
    ),
  }
  for (let seq = 0; seq < last; seq += PIECE) {
    const rows = await of<{ canon: string }>(
      'select canon from entry where kitchen_id = ? and seq > ? and seq <= ? order by seq',
      [id, seq, Math.min(seq + PIECE, last)],
    )
    yield { entries: rows.map(({ canon }) => canon) }
  }
  yield {
    heads: await of(
      'select seq::integer as seq, statement, signature from signed_head where kitchen_id = ? and seq <= ? order by seq',
      [id, last],
    ),
  }
  // A few at a time: they are what is large.
  for (let after = ''; ;) {
    const photos = await of<Extract<BackupLine, { photos: unknown }>['photos'][number]>(
      `select hash, translate(encode(bytes, 'base64'), E'\\n', '') as jpeg, at::float8 as at, by from photo
       where kitchen_id = ? and hash > ? order by hash limit ${PHOTOS}`,
      [id, after],
    )
    if (photos.length === 0) break
    yield { photos }
    after = photos.at(-1)!.hash
  }
  yield { end: { ...end!, seq: last } }
}

/** Goes through a backup: it is whole, and every logbook in it is a chain that ends where it says. Throws an Error otherwise. */
export async function checkBackup(path: string): Promise<BackedUp> {
  const found: BackedUp = { made: 0, keys: [], kitchens: [] }
  let chain = new StoredChain()
  let name = ''
  for await (const line of readBackup(path)) {
    if ('backup' in line) found.made = line.made
    else if ('keys' in line) found.keys = line.keys
    else if ('kitchen' in line) {
      chain = new StoredChain()
      name = line.kitchen.name
    } else if ('entries' in line) {
      for (const canon of line.entries) chain.next({ seq: String(chain.head.seq + 1), hash: sha256(canon), canon })
    } else if ('end' in line) {
      const { id, seq, hash } = line.end
      const fault = chain.faults.find(({ code }) => code !== 'recorded earlier')
      if (fault || chain.head.seq !== seq || chain.head.hash !== hash)
        throw new Error(`${path}: the logbook of ${name} is not whole, or not the one that was backed up.`)
      found.kitchens.push({ id, name, entries: seq })
    } else if ('whole' in line && line.whole.kitchens !== found.kitchens.length)
      throw new Error(`${path} is not whole: it lacks a kitchen.`)
  }
  return found
}
