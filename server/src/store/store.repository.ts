import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { DISCARD_REASONS, type DiscardReason, type Id, type Instant, type ItemCard } from '@logged-thermal/core'
import { query } from '../database/query'
import type { DiscardTotal, Found } from '../http/answers'

/** The cold store by other ways than its list: by code, by name, by period. */
@Injectable()
export class StoreRepository {
  /** By the code that is said or read off a label: what is held first. */
  async byCode(em: EntityManager, kitchenId: Id, code: string): Promise<Found[]> {
    return query<Found>(em, {
      sql: `select type, id, code, name, live from (
          select 'item' as type, id, code, card ->> 'name' as name, live, seq from item where kitchen_id = ? and code = ?
          union all
          select 'batch', id, code, state #>> '{method,name}', not closed, seq from batch where kitchen_id = ? and code = ?
          union all
          select 'lot', id, code, state ->> 'name', true, seq from lot where kitchen_id = ? and code = ?
        ) found order by live desc, seq desc limit 20`,
      params: [kitchenId, code, kitchenId, code, kitchenId, code],
    })
  }

  /** By name or code, also what is long gone: what is held first, then the latest. */
  async byText(em: EntityManager, kitchenId: Id, text: string): Promise<ItemCard[]> {
    const like = `%${text.trim().replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
    const rows = await query<{ card: ItemCard }>(em, {
      sql: `select card from item where kitchen_id = ? and (code ilike ? or card ->> 'name' ilike ?)
        order by live desc, seq desc limit 200`,
      params: [kitchenId, like, like],
    })
    return rows.map(({ card }) => card)
  }

  /** What is held, what ends first on top: so much as a calendar shows. */
  async ending(em: EntityManager, kitchenId: Id): Promise<ItemCard[]> {
    const rows = await query<{ card: ItemCard }>(em, {
      sql: 'select card from item where kitchen_id = ? and live order by until_ms nulls last limit 2000',
      params: [kitchenId],
    })
    return rows.map(({ card }) => card)
  }

  /** What was thrown away from one instant to another, by reason. */
  async discarded(em: EntityManager, kitchenId: Id, from: Instant, to: Instant): Promise<DiscardTotal[]> {
    const rows = await query<{ reason: DiscardReason; items: string; grams: string; cost: string }>(em, {
      sql: `select state #>> '{discarded,value,reason}' as reason, count(*) as items,
          coalesce(sum((state #>> '{discarded,value,grams}')::numeric), 0) as grams,
          coalesce(sum((state #>> '{discarded,value,cost}')::numeric), 0) as cost
        from item where kitchen_id = ? and state -> 'discarded' <> 'null'
          and (state #>> '{discarded,at}')::bigint >= ? and (state #>> '{discarded,at}')::bigint < ?
          and state #>> '{discarded,void}' = 'false'
        group by 1`,
      params: [kitchenId, from, to],
    })
    const found = rows.map(({ reason, items, grams, cost }) => ({
      reason,
      items: Number(items),
      grams: Number(grams),
      cost: Number(cost),
    }))
    return found.sort((a, b) => DISCARD_REASONS.indexOf(a.reason) - DISCARD_REASONS.indexOf(b.reason))
  }
}
