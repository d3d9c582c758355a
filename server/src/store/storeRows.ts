import type { EntityManager } from '@mikro-orm/postgresql'
import {
  DAY,
  type Id,
  type Instant,
  type ItemCard,
  type ItemState,
  type LimitSet,
  type Store,
  type UnitState,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { Problem } from '../http/problem'

/**
 * What items of a kitchen are judged by: its units, its limits at an instant, its zone. One statement: it is asked for
 * with every list.
 * @param since no item that is judged is older: looks at the units from a day before on
 */
export async function storeAt(em: EntityManager, kitchenId: Id, now: Instant, since: Instant): Promise<Store> {
  const [row] = await query<{ zone: string; limits: LimitSet | null; units: { state: UnitState; looks: number }[] }>(
    em,
    {
      sql: `select k.zone,
        (select version from limit_set s, jsonb_array_elements(s.state -> 'versions') version
          where s.kitchen_id = k.id and s.id = k.limits_id and (version ->> 'from')::bigint <= ?
          order by (version ->> 'version')::int desc limit 1) as limits,
        (select coalesce(json_agg(json_build_object('looks', jsonb_array_length(state -> 'airs'),
            'state', (state - 'airs' - 'skips') || jsonb_build_object('skips', '[]'::jsonb, 'airs',
              jsonb_path_query_array(state -> 'airs', '$[last - ${LATEST_LOOKS - 1} to last]'))) order by id), '[]')
          from unit where kitchen_id = k.id) as units
      from kitchen k where k.id = ?`,
      params: [now, kitchenId],
    },
  )
  if (!row?.limits) throw new Problem(409, 'no limits', 'This kitchen has no limits in force.', 'kitchen')
  const { zone, limits, units } = row
  const reaches = units.every(({ state, looks }) => looks <= LATEST_LOOKS || state.airs[0]!.at <= since - DAY)
  return { units: reaches ? units.map(({ state }) => state) : await wholeUnits(em, kitchenId), limits, zone }
}

/** So many looks are read at first, weeks of rounds; all of them only where these do not reach back. */
const LATEST_LOOKS = 150

async function wholeUnits(em: EntityManager, kitchenId: Id): Promise<UnitState[]> {
  const whole = await query<{ state: UnitState }>(em, {
    sql: 'select state from unit where kitchen_id = ? order by id',
    params: [kitchenId],
  })
  return whole.map(({ state }) => state)
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

/** When the oldest item was made that is held, in date and not frozen: what is past its day goes, however warm it was. */
export async function oldestHeld(em: EntityManager, kitchenId: Id, now: Instant): Promise<Instant | null> {
  const [row] = await query<{ made: string | null }>(em, {
    sql: `select min(made_ms) as made from item where kitchen_id = ? and live and not frozen and (until_ms is null or until_ms > ?)`,
    params: [kitchenId, now],
  })
  return row?.made == null ? null : Number(row.made)
}
