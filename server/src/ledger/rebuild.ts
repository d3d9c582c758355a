import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { touches, type Id } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { readAfter } from './entries.service'
import { Projections } from './projections'
import { saveStates, TABLES } from './statements'

const PIECE = 5_000

/** Throws away a kitchen's projections and folds them anew from the chain. Returns how many entries were folded. */
export function rebuild(scope: KitchenScope, kitchenId: Id): Promise<number> {
  return scope.inKitchen(kitchenId, async (em: SqlEntityManager) => {
    await em.execute('select 1 from chain_head where kitchen_id = ? for update', [kitchenId])
    for (const table of Object.values(TABLES))
      await em.execute(`delete from ${table} where kitchen_id = ?`, [kitchenId])
    const projections = new Projections()
    let seq = 0
    for (;;) {
      const entries = await readAfter(em, kitchenId, seq, PIECE)
      for (const entry of entries) projections.fold(touches(entry.claim), entry)
      seq += entries.length
      if (entries.length < PIECE) break
    }
    for (const statement of saveStates(kitchenId, projections.changed())) await query(em, statement)
    return seq
  })
}
