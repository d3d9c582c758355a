import { backingDoubt } from './backing'
import { canProve } from './instrument'
import type { Instant } from '../ground/instant'
import type { Known } from '../ledger/late'
import type { Inherited, ItemSplit, Moved, Spot } from '../ledger/storeEntries'
import { factOf, isWaiting, valid, type Fact } from './fact'
import { NO_FACTS, type ItemState } from './item'

/** An item as its kind of entry makes it; who made it is added by the fold. */
export type NewItem = Omit<ItemState, 'id' | 'born' | 'bornAs' | 'undone'>

/** What no item has as it begins, unless its kind says so. */
export const NO_ITEM = {
  from: [],
  cost: null,
  ready: null,
  coldAt: null,
  carried: { least: 0, likely: 0, most: 0 },
  brought: [],
  ingredient: null,
  ...NO_FACTS,
  discarded: null,
  labels: 0,
  reached: [],
  contested: [],
} satisfies Partial<ItemState>

/** Where an item stands from the first; nothing where nobody said. */
export function putIn(entry: Known, spot: Spot | null, how: 'move' | 'freeze' = 'move'): ItemState['moves'] {
  if (!spot) return []
  const { unit, shelf } = spot
  const { at } = entry.claim
  const put = factOf<Moved>(entry, at, { how: unit === null ? 'out' : how, unit, shelf })
  // Told too late: until the kitchen knew of it, nobody knew that it stood in the cold.
  return put.late ? [factOf<Moved>(entry, at, { how: 'out', unit: null, shelf: null }, false), put] : [put]
}

/** Some of an item as it begins: all that its parent was, under a code of its own. */
export function splitOff(entry: Known, { code, measure, as }: ItemSplit): NewItem {
  // Told again with the split, they are as late as they were.
  const facts = <T extends { at: Instant; late?: true; knownAt?: Instant }, V>(
    all: readonly T[],
    value: (one: T) => V,
  ): Fact<V>[] =>
    all.map((one) => ({ ...factOf(entry, one.at, value(one), one.late ?? false), knownAt: one.knownAt ?? one.at }))
  const { moves, opened, readings, holds, ...same } = as
  return {
    ...NO_ITEM,
    ...same,
    code,
    measure,
    moves: facts(moves, ({ how, unit, shelf }) => ({ how, unit, shelf })),
    opened: opened.map((at) => factOf(entry, at, {}, false)),
    readings: facts(readings, ({ typed, instrument, readBy }) => ({
      typed,
      instrument,
      ...(readBy ? { readBy } : {}),
    })),
    holds: facts(holds, ({ held, reason, recall, answers }) => ({
      held,
      reason,
      recall,
      ...(answers ? { answers } : {}),
    })),
  }
}

/** What a split takes over of its parent: all that it is, and its share of the cost. */
export function inheritedOf(parent: ItemState, share: number): Inherited {
  const { id, code, name, what, from, made, madeBy, cost, dating, facts, ready, coldAt, carried, ingredient } = parent
  const { brought } = parent
  return {
    name,
    what,
    from: [...from.filter(({ type }) => type !== 'item'), { type: 'item', id, code }],
    made,
    madeBy,
    cost: cost === null ? null : Math.round(cost * share),
    dating,
    facts,
    ready,
    coldAt,
    carried,
    ...(brought.length > 0 ? { brought } : {}),
    ingredient,
    moves: valid(parent.moves).map((move) => ({ at: move.at, ...move.value, ...lateness(move) })),
    opened: valid(parent.opened).map(({ at }) => at),
    readings: valid(parent.readings).map((read) => ({ at: read.at, ...readAs(read, parent), ...lateness(read) })),
    holds: valid(parent.holds).map(({ at, value }) => ({ at, ...value })),
  }
}

/** A reading as it counts in the parent: what its instrument came under, and what the lead let count, goes on in it. */
function readAs(read: ItemState['readings'][number], { fails }: ItemState): ItemState['readings'][number]['value'] {
  const { readBy } = read.value
  const doubt = backingDoubt(read, fails)
  if (doubt === null && (!readBy || canProve(readBy))) return read.value
  return { ...read.value, readBy: { off: readBy?.off ?? 0, backing: doubt ?? 'checked' } }
}

/** What was known too late stays so in what is split off. */
function lateness(fact: Fact<unknown>): { late?: true; knownAt?: Instant } {
  return isWaiting(fact) ? { late: true, knownAt: fact.knownAt } : {}
}
