import type { Instant } from '../../ground/instant'
import type { MoveHow } from '../../ledger/storeEntries'
import { eggOf, holdOf, isGone, isToAnswer, lackedOf, releasedAt, type ItemState } from '../../state/item'
import { backingDoubt } from '../../state/backing'
import { inOrder, isWaiting } from '../../state/fact'
import { celsiusRead } from '../../state/reading'
import type { Journey } from '../warmth/exposure'
import type { DateWall } from '../dates/walls'
import type { Measure } from '../../ground/measure'

/**
 * What became of an item, in short: all that it is judged by at any hour and under any limits, and nothing else, so that
 * a whole store is judged without reading what else was entered.
 */
export interface Course extends Journey {
  gone: boolean
  /** Some of it went out against what stood, or entries about it contradict each other, and the lead has not answered for that. */
  wentOut: boolean
  /** The date that rules; null: nothing dates it. */
  wall: Pick<DateWall, 'lastDay' | 'until'> | null
  ready: Instant | null
  /** Which cold it is kept in; null: it needs none. */
  kept: Kept
  /** Only noted that it is best before a day: nothing else dates it. */
  noted: boolean
  hold: 'held' | 'recalled' | null
  /** Something is in it, or may be, that its label of before lacks; the lead has not answered for that. */
  lacks: boolean
}

export type Kept = 'cold' | 'shell eggs' | null

/** @param walls its dates, the one that rules first */
export function courseOf(item: ItemState, walls: readonly DateWall[]): Course {
  const { ready, coldAt, carried, brought } = item
  const [wall] = walls
  const hold = holdOf(item)
  return {
    gone: isGone(item),
    wentOut: isToAnswer(item),
    wall: wall ? { lastDay: wall.lastDay, until: wall.until } : null,
    ready,
    kept: keptIn(item),
    coldAt,
    carried,
    brought,
    small: isSmall(item.measure),
    noted: item.dating.bestBefore !== undefined,
    moves: movesOf(item),
    // Known too late, or by an instrument in doubt, a reading is a word: it can deny.
    reads: inOrder(item.readings).map((read) => ({
      at: read.at,
      celsius: celsiusRead(read.value),
      by: isWord(read, item.fails) ? 'word' : 'probe',
    })),
    lacks: lackedOf(item).length > 0,
    hold: hold ? (hold.value.recall ? 'recalled' : 'held') : null,
    released: releasedAt(item),
  }
}

function isWord(read: ItemState['readings'][number], fails: ItemState['fails']): boolean {
  return read.value.instrument === null || isWaiting(read) || backingDoubt(read, fails) !== null
}

const SMALL_GRAMS = 1000

function isSmall({ value, unit }: Measure): boolean {
  return (unit !== 'g' && unit !== 'ml') || value < SMALL_GRAMS
}

/**
 * Where it went. A move that was known too late counts against it: out of the cold from when it is said to have been, and
 * into the cold from when the kitchen knew.
 */
function movesOf({ moves }: Pick<ItemState, 'moves'>): Course['moves'] {
  return inOrder(
    moves.map((move) => (isWaiting(move) && !LEAVES.includes(move.value.how) ? { ...move, at: move.knownAt } : move)),
  ).map(({ at, value: { unit, how } }) => ({ at, unit, how }))
}

const LEAVES: readonly MoveHow[] = ['out', 'serve', 'hot', 'thaw']

/** Which cold an item is kept in: eggs in their shells have their own, what needs none has none. */
export function keptIn(item: Pick<ItemState, 'facts' | 'ingredient' | 'what'>): Kept {
  if (!item.facts.needsCold) return null
  return item.what === 'package' && eggOf(item) === 'whole' && item.facts.heat === 'raw' ? 'shell eggs' : 'cold'
}
