import type { EntityManager } from '@mikro-orm/postgresql'
import {
  DAY,
  limitsAt,
  type Id,
  type Instant,
  type ItemCard,
  type ItemState,
  type LimitsState,
  type Store,
  type UnitState,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { Kitchen } from '../people/kitchen.entity'
import { Problem } from '../http/problem'

/**
 * What items of a kitchen are judged by: its units, its limits at an instant, its zone.
 * @param since no item that is judged is older: looks at the units from a day before on
 */
export async function storeAt(em: EntityManager, kitchenId: Id, now: Instant, since: Instant): Promise<Store> {
  const { zone, limitsId } = await em.findOneOrFail(Kitchen, { id: kitchenId })
  const units = await query<{ state: UnitState }>(em, {
    sql: `select state || jsonb_build_object('airs', jsonb_path_query_array(state -> 'airs', '$[*] \\? (@.at >= $since)',
        jsonb_build_object('since', ?::bigint))) as state
      from unit where kitchen_id = ? order by id`,
    params: [Math.round(since - DAY), kitchenId],
  })
  const [set] = await query<{ state: LimitsState }>(em, {
    sql: 'select state from limit_set where kitchen_id = ? and id = ?',
    params: [kitchenId, limitsId],
  })
  const limits = limitsAt(set?.state.versions ?? [], now)
  if (!limits) throw new Problem(409, 'no limits', 'This kitchen has no limits in force.', 'kitchen')
  return { units: units.map(({ state }) => state), limits, zone }
}

/** Items by a condition on their table, with their card. */
export function itemsInShort(
  em: EntityManager,
  kitchenId: Id,
  where: string,
  params: unknown[],
): Promise<{ state: ItemState; card: ItemCard }[]> {
  return query(em, {
    sql: `select state, card from item where kitchen_id = ? and ${where}`,
    params: [kitchenId, ...params],
  })
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

/** When the oldest item was made that is held and not frozen. */
export async function oldestHeld(em: EntityManager, kitchenId: Id): Promise<Instant | null> {
  const [row] = await query<{ made: string | null }>(em, {
    sql: `select min((card ->> 'made')::bigint) as made from item
      where kitchen_id = ? and live and card ->> 'frozenDays' is null`,
    params: [kitchenId],
  })
  return row?.made == null ? null : Number(row.made)
}
