import type { EntityManager } from '@mikro-orm/postgresql'
import {
  addDays,
  DISCARD_REASONS,
  excursionsOf,
  itemStanding,
  itemUrgency,
  levelOf,
  dayOf,
  startOfDay,
  type Advice,
  type DiscardReason,
  type Id,
  type Instant,
  type ItemCard,
  type ItemStanding,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { itemsInShort, oldestHeld, storeAt } from './storeRows'

/** An item that goes or is asked about, in short. */
export interface Due extends Pick<ItemStanding, 'asks' | 'why' | 'until' | 'daysLeft'> {
  item: ItemCard
  advice: Pick<Advice, 'kind' | 'by' | 'time' | 'source'>
}

/**
 * What goes today, the most urgent first: past its day or on its last, undated, out of the cold, held, or in a unit that
 * was warm. Only those are read and judged; core decides which of them stay.
 */
export async function dueToday(em: EntityManager, kitchenId: Id, now: Instant): Promise<Due[]> {
  const store = await storeAt(em, kitchenId, now, (await oldestHeld(em, kitchenId, now)) ?? now)
  const day = dayOf(now, store.zone)
  const endOfDay = startOfDay(addDays(day, 1), store.zone)
  const warm = store.units.filter((unit) => {
    const level = levelOf(unit.kind, store.limits, day)
    return level !== null && excursionsOf(unit, level, now).length > 0
  })
  const where = `live and (until_ms <= ? or aside or (until_ms > ? and unit_id = any(?::uuid[])))`
  const asked = await itemsInShort(em, kitchenId, where, [
    endOfDay,
    endOfDay,
    `{${warm.map(({ id }) => id).join(',')}}`,
  ])
  return asked
    .map(({ state, card }) => ({ card, standing: itemStanding(state, store, now) }))
    .filter(({ standing: { asks } }) => !['keep', 'frozen', 'not ready', 'use first', 'gone'].includes(asks))
    .sort((a, b) => {
      const [rankA, atA] = itemUrgency(a.standing)
      const [rankB, atB] = itemUrgency(b.standing)
      return rankA - rankB || atA - atB
    })
    .map(({ card, standing: { asks, why, until, daysLeft, advice } }): Due => {
      const { kind, by, time, source } = advice
      return { item: card, asks, why, until, daysLeft, advice: { kind, by, time, source } }
    })
}

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
