import { dayOf, worseThanRecorded, type BatchState, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'

/** A batch that is over and that today's rules judge worse than its own record, and by which checks. */
export interface WorseBatch {
  code: string
  method: string
  day: string
  checks: string[]
}

/** Batches judged at a time: memory holds these, however many there were. */
const PIECE = 200

/** Every batch of a kitchen that is over and comes out worse than its record, the oldest first. Nothing is changed. */
export function worseBatches(scope: KitchenScope, kitchenId: Id): Promise<WorseBatch[]> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [kitchen] = await query<{ zone: string }>(em, {
      sql: 'select zone from kitchen where id = ?',
      params: [kitchenId],
    })
    const { zone } = kitchen!
    const found: WorseBatch[] = []
    for (let after: Id | null = null; ;) {
      const rows: { id: Id; state: BatchState }[] = await query(em, {
        sql: `select id, state from batch where kitchen_id = ? and (closed or put_away)
                and (?::uuid is null or id > ?::uuid) order by id limit ${PIECE}`,
        params: [kitchenId, after, after],
      })
      for (const { state } of rows) {
        const worse = worseThanRecorded(state, { zone }, clock.now())
        if (worse.length === 0) continue
        const checks = worse.map(({ check, standing }) => `${check.key} ${standing}`)
        found.push({ code: state.code, method: state.method.name, day: dayOf(state.startedAt, zone), checks })
      }
      if (rows.length < PIECE) return found
      after = rows.at(-1)!.id
    }
  })
}
