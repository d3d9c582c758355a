import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import { GENESIS, type Id } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { enterAsInstallation } from '../ledger/installation'
import { rebuild } from '../ledger/rebuild'
import { checkBackup, type BackedUp } from './backup'
import { readBackup, type BackupLine } from './backupFile'
import { takeAccounts } from './keptAccounts'
import { headOf, newKeptEntries } from './keptEntries'

/**
 * Brings a backup into an empty database, all of it or nothing, folds everything anew and enters that it was restored.
 * @param owner of the role that owns
 * Throws an Error where the database has a kitchen, or the backup is not whole.
 */
export async function restore(owner: MikroORM, path: string): Promise<BackedUp> {
  const found = await checkBackup(path)
  const scope = new KitchenScope(owner.em.fork())
  const [known] = await scope.kitchens()
  if (known)
    throw new Error(`This database has a kitchen, ${known.name}. Restore into an empty one: LT_DATA=another folder.`)
  await owner.em.fork().transactional(async (em) => {
    let kitchen: Id | null = null
    for await (const line of readBackup(path)) kitchen = await take(em, kitchen, line)
  })
  for (const { id } of found.kitchens) {
    await rebuild(scope, id)
    const { seq, hash } = await headOf(scope, id)
    await enterAsInstallation(scope, id, 'restored', { backupMade: found.made, seq, hash })
  }
  return found
}

/** Takes one line in. Returns the kitchen that the next ones belong to. */
async function take(em: EntityManager, kitchen: Id | null, line: BackupLine): Promise<Id | null> {
  const run = (sql: string, params: unknown[]) => query(em, { sql, params })
  if ('kitchen' in line) {
    const { id, name, zone, unit, limitsId, feed } = line.kitchen
    await run(`select set_config('lt.kitchen', ?, true)`, [id])
    await run('insert into kitchen (id, name, zone, unit, limits_id) values (?, ?, ?, ?, ?)', [
      id,
      name,
      zone,
      unit,
      limitsId,
    ])
    await run('insert into chain_head (kitchen_id, seq, hash) values (?, 0, ?)', [id, GENESIS.hash])
    if (feed !== null) await run('insert into feed (kitchen_id, secret) values (?, ?)', [id, feed])
    return id
  }
  if ('people' in line) {
    const sql =
      'insert into person (kitchen_id, id, name, role, job, pin_hash, pin_digits) values (?, ?, ?, ?, ?, ?, ?)'
    for (const { id, name, role, job, pinHash, pinDigits } of line.people)
      await run(sql, [kitchen, id, name, role, job, pinHash, pinDigits])
  }
  if ('entries' in line) await newKeptEntries(em, kitchen!)(line.entries)
  if ('photos' in line) {
    const sql = `insert into photo (kitchen_id, hash, bytes, at, by) values (?, ?, decode(?, 'base64'), ?, ?)`
    for (const { hash, jpeg, at, by } of line.photos) await run(sql, [kitchen, hash, jpeg, at, by])
  }
  if ('accounts' in line) await takeAccounts(em, line.accounts)
  if ('heads' in line) {
    const sql = 'insert into signed_head (kitchen_id, seq, statement, signature) values (?, ?, ?, ?)'
    for (const { seq, statement, signature } of line.heads) await run(sql, [kitchen, seq, statement, signature])
  }
  return kitchen
}
