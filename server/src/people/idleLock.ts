import { Injectable } from '@nestjs/common'
import {
  limitsAt,
  locksAfter,
  MINUTE,
  timelineOf,
  type BatchState,
  type Id,
  type LimitsState,
} from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'

/** The shortest that a house can set, ms: before it nothing is asked of the database. */
const SHORTEST = 5 * MINUTE

/** Whether a shift that nobody touched is locked, by what the house set and what is on the heat. */
@Injectable()
export class IdleLock {
  constructor(private readonly scope: KitchenScope) {}

  /** @param untouched ms since hands last touched the tablet */
  async isDue(kitchenId: Id, untouched: number): Promise<boolean> {
    if (untouched < SHORTEST) return false
    return this.scope.inKitchen(kitchenId, async (em) => {
      const [limits] = await query<{ state: LimitsState }>(em, {
        sql: 'select l.state from kitchen k join limit_set l on l.kitchen_id = k.id and l.id = k.limits_id where k.id = ?',
        params: [kitchenId],
      })
      const practice = limitsAt(limits?.state.versions ?? [], clock.now())?.practice
      const soonest = practice && locksAfter(practice, false)
      if (soonest == null || untouched < soonest) return false
      if (untouched >= locksAfter(practice!, true)!) return true
      const batches = await query<{ state: BatchState }>(em, {
        sql: 'select state from batch where kitchen_id = ? and not closed and not put_away',
        params: [kitchenId],
      })
      return !batches.some(({ state }) => timelineOf(state).phase.cooking)
    })
  }
}
