import {
  itemUrgency,
  judging,
  type Id,
  type Instant,
  type ItemAsks,
  type LineageBar,
  type Store,
  withLineage,
} from '@logged-thermal/core'
import type { Due } from '../http/answers'
import type { HeldItem } from './heldStore'

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
