import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id, Instant, Seal } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'

/** Puts texts that were sealed before into a new logbook, as they are and in order. As the owner. */
export function newKeptEntries(em: EntityManager, kitchen: Id): (canons: readonly string[]) => Promise<void> {
  return async (canons) => {
    for (const rising of risingRuns(canons)) {
      // Long ago a clock that was set back went back in the logbook too.
      await query(em, { sql: 'update chain_head set recorded_at = 0 where kitchen_id = ?', params: [kitchen] })
      await query(em, {
        sql: 'select append_entries(?::uuid, array(select json_array_elements_text(?::json)))',
        params: [kitchen, JSON.stringify(rising)],
      })
    }
  }
}

/** Entries in runs in which the time of recording does not go back. */
function risingRuns(canons: readonly string[]): string[][] {
  const runs: string[][] = []
  let last: Instant = Infinity
  for (const canon of canons) {
    const { recordedAt } = (JSON.parse(canon) as { seal: Seal }).seal
    if (recordedAt < last) runs.push([])
    runs.at(-1)!.push(canon)
    last = recordedAt
  }
  return runs
}

/** Where a logbook ends. */
export function headOf(scope: KitchenScope, id: Id): Promise<{ seq: number; hash: string }> {
  return scope.inKitchen(id, async (em) => {
    const [head] = await query<{ seq: string; hash: string }>(em, {
      sql: 'select seq, hash from chain_head where kitchen_id = ?',
      params: [id],
    })
    return { seq: Number(head!.seq), hash: head!.hash }
  })
}
