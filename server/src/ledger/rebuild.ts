import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { touches, type Id, type SealedEntry, type SubjectType } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { readAfter } from './entries.service'
import { Projections } from './projections'
import { gatherStates, saveEdges, saveStates, TABLES, type Gathered } from './statements'

/** Entries folded at a time: memory holds the states that these touch, however long the logbook is. */
const PIECE = 10_000

/** Throws away a kitchen's projections and folds them anew from the chain. Returns how many entries were folded. */
export function rebuild(scope: KitchenScope, kitchenId: Id): Promise<number> {
  return scope.inKitchen(kitchenId, async (em: SqlEntityManager) => {
    const [kitchen] = await query<{ zone: string }>(em, {
      sql: 'select k.zone from chain_head h join kitchen k on k.id = h.kitchen_id where h.kitchen_id = ? for update of h',
      params: [kitchenId],
    })
    for (const table of [...Object.values(TABLES), 'edge'])
      await query(em, { sql: `delete from ${table} where kitchen_id = ?`, params: [kitchenId] })
    let seq = 0
    for (;;) {
      const entries = await readAfter(em, kitchenId, seq, PIECE)
      await foldPiece(em, kitchenId, kitchen!.zone, entries, seq === 0)
      seq += entries.length
      if (entries.length < PIECE) return seq
    }
  })
}

async function foldPiece(
  em: SqlEntityManager,
  kitchenId: Id,
  zone: string,
  entries: readonly SealedEntry[],
  first: boolean,
): Promise<void> {
  const projections = new Projections(zone)
  const subjects = entries.flatMap(({ claim }) => touches(claim))
  if (!first && subjects.length > 0) {
    for (const { what, id, content } of await query<Gathered>(em, gatherStates(kitchenId, subjects)))
      projections.load(what as SubjectType, id, JSON.parse(content!))
  }
  for (const entry of entries) projections.fold(touches(entry.claim), entry)
  const changed = projections.changed()
  for (const statement of [...saveStates(kitchenId, changed), ...saveEdges(kitchenId, changed)])
    await query(em, statement)
}
