import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { asFolded, touches, type Id, type SealedEntry, type States, type SubjectType } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { readAfter } from './entries.service'
import { foldCore } from './foldCore'
import { Projections } from './projections'
import { gatherStates, saveEdges, saveStates, saveSubjects, TABLES, type Gathered } from './statements'

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
    const core = await foldCore(em)
    let seq = 0
    for (;;) {
      const entries = await readAfter(em, kitchenId, seq, PIECE)
      await foldPiece(em, kitchenId, kitchen!.zone, entries, core, seq === 0)
      seq += entries.length
      if (entries.length < PIECE) break
    }
    await query(em, {
      sql: 'update chain_head set core = ?, subjects_core = ? where kitchen_id = ?',
      params: [core, core, kitchenId],
    })
    return seq
  })
}

async function foldPiece(
  em: SqlEntityManager,
  kitchenId: Id,
  zone: string,
  entries: readonly SealedEntry[],
  core: number,
  first: boolean,
): Promise<void> {
  const projections = new Projections(zone)
  const known = entries.map(asFolded)
  const subjects = known.flatMap(({ claim }) => touches(claim))
  if (!first && subjects.length > 0) {
    for (const { what, id, content } of await query<Gathered>(em, gatherStates(kitchenId, subjects)))
      projections.load(what as SubjectType, id, JSON.parse(content!) as States[SubjectType])
  }
  for (const entry of known) projections.fold(touches(entry.claim), entry)
  const changed = projections.changed()
  for (const statement of [
    ...saveStates(kitchenId, changed, core),
    ...saveEdges(kitchenId, changed),
    ...saveSubjects(kitchenId, known),
  ])
    await query(em, statement)
}
