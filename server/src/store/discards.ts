import type { EntityManager } from '@mikro-orm/postgresql'
import {
  DISCARD_REASONS,
  itemUrgency,
  judging,
  type Advice,
  type DiscardReason,
  type Id,
  type Instant,
  type ItemAsks,
  type ItemCard,
  type ItemStanding,
  type LineageBar,
  type Store,
  withLineage,
} from '@logged-thermal/core'
import { query } from '../database/query'
import type { HeldItem } from './heldStore'

/** An item that goes or is asked about, in short. */
export interface Due extends Pick<ItemStanding, 'asks' | 'why' | 'until' | 'daysLeft'> {
  item: ItemCard
  advice: Pick<Advice, 'kind' | 'by' | 'time' | 'source'>
}

/**
 * What goes today, the most urgent first, each a Due as JSON: past its day or on its last, undated, out of the cold, held,
 * or in question after a warm unit, wherever it is now, or held by what it was made of. Everything held is judged: any item may have been somewhere warm.
 */
export function dueToday(
  items: readonly HeldItem[],
  bars: ReadonlyMap<Id, LineageBar>,
  store: Store,
  now: Instant,
): string[] {
  const judge = judging(store, now)
  return items
    .map(({ id, card, course }) => ({ card, standing: withLineage(judge(course), bars.get(id)) }))
    .filter(({ standing: { asks } }) => !WAITS.includes(asks))
    .sort((a, b) => {
      const [rankA, atA] = itemUrgency(a.standing)
      const [rankB, atB] = itemUrgency(b.standing)
      return rankA - rankB || atA - atB
    })
    .map(({ card, standing: { asks, why, until, daysLeft, advice } }) => {
      const { kind, by, time, source } = advice
      const said: Omit<Due, 'item'> = { asks, why, until, daysLeft, advice: { kind, by, time, source } }
      return `{"item":${card},${JSON.stringify(said).slice(1)}`
    })
}

const WAITS: readonly ItemAsks[] = ['keep', 'frozen', 'not ready', 'use first', 'gone']

export interface Total {
  reason: DiscardReason
  items: number
  grams: number
  cost: number
}

/** What was thrown away between two instants, by reason: how many, what they weighed and cost as far as that is known. */
export async function discardTotals(em: EntityManager, kitchenId: Id, from: Instant, to: Instant): Promise<Total[]> {
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
