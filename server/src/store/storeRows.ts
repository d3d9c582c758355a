import type { EntityManager } from '@mikro-orm/postgresql'
import type {
  Course,
  Id,
  Instant,
  ItemCard,
  ItemState,
  LimitSet,
  Look,
  Store,
  StoreUnit,
  UnitCard,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { Problem } from '../http/problem'

/** What items of a kitchen are judged by: its units and what their air was, its limits at an instant, its zone. */
export async function storeAt(em: EntityManager, kitchenId: Id, now: Instant): Promise<Store> {
  const [row] = await query<{ zone: string; limits: LimitSet | null; units: { card: UnitCard; airs: Look[] }[] }>(em, {
    sql: `select k.zone,
      (select version from limit_set s, jsonb_array_elements(s.state -> 'versions') version
        where s.kitchen_id = k.id and s.id = k.limits_id and (version ->> 'from')::bigint <= ?
        order by (version ->> 'version')::int desc limit 1) as limits,
      (select coalesce(json_agg(json_build_object('card', card, 'airs', airs) order by id), '[]')
        from unit where kitchen_id = k.id) as units
    from kitchen k where k.id = ?`,
    params: [now, kitchenId],
  })
  if (!row?.limits) throw new Problem(409, 'no limits', 'This kitchen has no limits in force.', 'kitchen')
  const { zone, limits } = row
  return { units: row.units.map(({ card, airs }): StoreUnit => ({ ...card, airs })), limits, zone }
}

/** What became of each item that is held: what it is judged by. */
export function coursesHeld(em: EntityManager, kitchenId: Id): Promise<{ id: Id; course: Course }[]> {
  return query(em, { sql: 'select id, course from item where kitchen_id = ? and live', params: [kitchenId] })
}

/** Items in short, by their ids. */
export async function cardsOf(em: EntityManager, kitchenId: Id, ids: readonly Id[]): Promise<Map<Id, ItemCard>> {
  const rows = await query<{ id: Id; card: ItemCard }>(em, {
    sql: 'select id, card from item where kitchen_id = ? and id = any(?::uuid[])',
    params: [kitchenId, `{${ids.join(',')}}`],
  })
  return new Map(rows.map(({ id, card }) => [id, card]))
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
