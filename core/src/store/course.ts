import type { Instant } from '../calendar/instant'
import type { Id } from '../ledger/entry'
import type { MoveHow } from '../ledger/storeEntries'
import { celsiusOf } from '../quantity/temperature'
import { eggOf, holdOf, isGone, releasedAt, type ItemState } from '../state/item'
import { inOrder } from '../state/fact'
import type { Bounded } from '../trace/reading'
import type { DateWall } from './dating'

/**
 * What became of an item, in short: all that it is judged by at any hour and under any limits, and nothing else, so that
 * a whole store is judged without reading what else was entered.
 */
export interface Course {
  gone: boolean
  /** The date that rules; null: nothing dates it. */
  wall: Pick<DateWall, 'lastDay' | 'until'> | null
  ready: Instant | null
  /** Which cold it is kept in; null: it needs none. */
  kept: Kept
  coldAt: Instant | null
  carried: Bounded
  /** Where it went, oldest first. */
  moves: { at: Instant; unit: Id | null; how: MoveHow }[]
  /** Readings of its core, oldest first; `by` a probe, or a number that somebody said. */
  reads: { at: Instant; celsius: number; by: 'probe' | 'word' }[]
  hold: 'held' | 'recalled' | null
  /** When the lead last let it go on; null: never. */
  released: Instant | null
}

export type Kept = 'cold' | 'shell eggs' | null

/** @param walls its dates, the one that rules first */
export function courseOf(item: ItemState, walls: readonly DateWall[]): Course {
  const { ready, coldAt, carried } = item
  const [wall] = walls
  const hold = holdOf(item)
  return {
    gone: isGone(item),
    wall: wall ? { lastDay: wall.lastDay, until: wall.until } : null,
    ready,
    kept: keptIn(item),
    coldAt,
    carried,
    moves: inOrder(item.moves).map(({ at, value: { unit, how } }) => ({ at, unit, how })),
    reads: inOrder(item.readings).map(({ at, value: { typed, instrument } }) => ({
      at,
      celsius: celsiusOf(typed),
      by: instrument === null ? 'word' : 'probe',
    })),
    hold: hold ? (hold.value.recall ? 'recalled' : 'held') : null,
    released: releasedAt(item),
  }
}

/** Which cold an item is kept in: eggs in their shells have their own, what needs none has none. */
export function keptIn(item: Pick<ItemState, 'facts' | 'ingredient' | 'what'>): Kept {
  if (!item.facts.needsCold) return null
  return item.what === 'package' && eggOf(item) === 'whole' && item.facts.heat === 'raw' ? 'shell eggs' : 'cold'
}
