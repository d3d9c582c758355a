import { asFolded, type Id, type Subject } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { readAfter } from './entries.service'
import { foldCore } from './foldCore'
import { renewRows, subjectsOf } from './foldSubjects'
import { ENTRIES, PIECE } from './refold'
import { lockHead, saveSubjects, TABLES } from './statements'

/**
 * Folds every projection of a kitchen anew from the chain, and throws away what the chain knows nothing of. In pieces:
 * meanwhile everybody goes on logging. Returns how many entries were there as it began.
 */
export async function rebuild(scope: KitchenScope, kitchenId: Id): Promise<number> {
  const { seq, subjects } = await surveyed(scope, kitchenId)
  await removeUnknown(scope, kitchenId, subjects, seq)
  const all = [...subjects.values()]
  for (let i = 0; i < all.length; i += PIECE) await renewRows(scope, kitchenId, all.slice(i, i + PIECE))
  await scope.inKitchen(kitchenId, async (em) => {
    await query(em, lockHead(kitchenId))
    const core = await foldCore(em)
    const sql = 'update chain_head set core = ?, subjects_core = ? where kitchen_id = ?'
    await query(em, { sql, params: [core, core, kitchenId] })
  })
  return seq
}

/** Goes through the chain: how long it is, and all that it is about. */
async function surveyed(scope: KitchenScope, kitchenId: Id) {
  const subjects = new Map<string, Subject>()
  let seq = 0
  for (let read = ENTRIES; read === ENTRIES; seq += read) {
    read = await scope.inKitchen(kitchenId, async (em) => {
      const entries = (await readAfter(em, kitchenId, seq, ENTRIES)).map(asFolded)
      for (const [key, subject] of subjectsOf(entries)) subjects.set(key, subject)
      for (const statement of saveSubjects(kitchenId, entries)) await query(em, statement)
      return entries.length
    })
  }
  return { seq, subjects }
}

/** Rows that no entry made, and numbers of entries that there are not: then nothing is taken for newer than it is. */
async function removeUnknown(
  scope: KitchenScope,
  kitchenId: Id,
  subjects: ReadonlyMap<string, Subject>,
  seq: number,
): Promise<void> {
  const idsOf = (type: string) =>
    JSON.stringify([...subjects.values()].filter((subject) => subject.type === type).map(({ id }) => id))
  for (const [type, table] of Object.entries(TABLES)) {
    await scope.inKitchen(kitchenId, async (em) => {
      const [head] = await query<{ seq: string }>(em, lockHead(kitchenId))
      const bogus = `update ${table} set seq = 0 where kitchen_id = ? and seq > ?`
      await query(em, { sql: bogus, params: [kitchenId, head!.seq] })
      const sql = `delete from ${table} where kitchen_id = ? and seq <= ?
        and id not in (select k::uuid from json_array_elements_text(?::json) k)`
      await query(em, { sql, params: [kitchenId, seq, idsOf(type)] })
    })
  }
  await scope.inKitchen(kitchenId, async (em) => {
    await query(em, lockHead(kitchenId))
    const sql = `delete from edge where kitchen_id = ? and child_id not in
      (${Object.values(TABLES)
        .map((table) => `select id from ${table}`)
        .join(' union all ')})`
    await query(em, { sql, params: [kitchenId] })
  })
}
