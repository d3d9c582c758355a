import type { EntityManager } from '@mikro-orm/postgresql'
import {
  limitsAt,
  type Id,
  type Instant,
  type ItemState,
  type LimitsState,
  type Store,
  type UnitState,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { Kitchen } from '../people/kitchen.entity'
import { Problem } from '../http/problem'

/** What items of a kitchen are judged by: its units, its limits at an instant, its zone. */
export async function storeAt(em: EntityManager, kitchenId: Id, now: Instant): Promise<Store> {
  const { zone, limitsId } = await em.findOneOrFail(Kitchen, { id: kitchenId })
  const units = await query<{ state: UnitState }>(em, {
    sql: 'select state from unit where kitchen_id = ? order by id',
    params: [kitchenId],
  })
  const [set] = await query<{ state: LimitsState }>(em, {
    sql: 'select state from limit_set where kitchen_id = ? and id = ?',
    params: [kitchenId, limitsId],
  })
  const limits = limitsAt(set?.state.versions ?? [], now)
  if (!limits) throw new Problem(409, 'no limits', 'This kitchen has no limits in force.', 'kitchen')
  return { units: units.map(({ state }) => state), limits, zone }
}

/** Items by a condition on their table. */
export async function itemsWhere(
  em: EntityManager,
  kitchenId: Id,
  where: string,
  params: unknown[],
): Promise<ItemState[]> {
  const rows = await query<{ state: ItemState }>(em, {
    sql: `select state from item where kitchen_id = ? and ${where}`,
    params: [kitchenId, ...params],
  })
  return rows.map(({ state }) => state)
}
