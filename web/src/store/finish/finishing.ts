import { v7 as uuid } from 'uuid'
import {
  eggOf,
  findIngredients,
  finishedOf,
  finishShut,
  isUntreated,
  itemLeft,
  itemStanding,
  keepsUnheld,
  nextSplitCode,
  partOf,
  toppingUnfit,
  type Condition,
  type Ingredient,
  type Instant,
  type ItemFinished,
  type ItemState,
  type LotState,
  type Measure,
  type PartShut,
  type Store,
  type ToppingItem,
  type Typed,
} from '@logged-thermal/core'
import type { LineData } from '../../app/lineData'
import { ancestryIn, type StoredItem } from '../useStore'

/** Something of the store that may go onto an item, or why not. */
export interface Offer {
  one: StoredItem
  shut: PartShut | null
  /** Frozen fruit that nobody treated: it may go on as it is, knowingly. */
  untreated: boolean
}

/** What of the store may go onto an item: what may, by name, before what may not. */
export function toppingOffers(
  base: ItemState,
  stored: readonly StoredItem[],
  line: LineData,
  store: Store,
  now: Instant,
): Offer[] {
  const onto = ancestryIn(line, base)
  return stored
    .filter(({ item }) => item.id !== base.id && !item.from.some(({ id }) => id === base.id))
    .map((one): Offer => {
      const of = ancestryIn(line, one.item)
      const shut = toppingUnfit(one.item, null, of, onto, true, store, now)
      return { one, shut, untreated: isUntreated(one.item, of) }
    })
    .sort((a, b) => rank(a) - rank(b) || a.one.item.name.localeCompare(b.one.item.name))
}

/** What was made here comes before what was bought, and egg last. */
function rank({ one: { item }, shut }: Offer): number {
  return Number(shut !== null) * 4 + Number(eggOf(item) !== null) * 2 + Number(item.what === 'package')
}

/** Why nothing can be put on an item; null when something can. */
export function finishBarred(base: ItemState, line: LineData, store: Store, now: Instant): PartShut | null {
  return finishShut(base, null, ancestryIn(line, base), store, now)
}

/** So many at most are offered: more is no quicker than another letter. */
const OFFERED = 6

/** Dry things, and fresh fruit and herbs, that a name may mean. */
export function dryFoods(text: string, base: ItemState, ours: readonly Ingredient[]): Ingredient[] {
  return text.trim() === ''
    ? []
    : findIngredients(text, ours)
        .filter((food) => keepsUnheld(food, base.facts))
        .slice(0, OFFERED)
}

/** An item of the store as it goes on. */
export function toppingOf(
  item: ItemState,
  measure: Measure,
  read: { typed: Typed | null; instrument: string | null; warm: boolean; asItIs: boolean; condition: Condition | null },
  store: Store,
  now: Instant,
): ToppingItem {
  const part = partOf(item, itemStanding(item, store, now).exposure.time, store.zone, now)
  const { typed, instrument, warm, asItIs, condition } = read
  return { of: 'item', item: item.id, measure, typed, instrument, warm, asItIs, condition, part }
}

/** The entry: what gets it becomes an item of its own; all of it keeps its code. */
export function finishedBody(
  base: ItemState,
  measure: Measure,
  topping: ItemFinished['topping'],
  { untreated, lot, happened }: { untreated: boolean; lot: LotState | null; happened: boolean },
  store: Store,
  now: Instant,
): ItemFinished {
  const isAll = measure.value >= itemLeft(base).value
  const taken = base.splits.map(({ value }) => value.code)
  return {
    into: uuid(),
    code: isAll && !taken.includes(base.code) ? base.code : nextSplitCode(base.code, taken),
    measure,
    topping,
    as: finishedOf(base, measure, { topping, untreated, lot }, store, now),
    ...(happened ? { happened: true as const } : {}),
  }
}
