import type { Instant } from '../../ground/instant'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import { dayOf } from '../../ground/zone'
import type { ItemFacts, Topping } from '../../ledger/storeEntries'
import { foodIn } from '../../recipe/ingredient/own'
import type { Ingredient } from '../../recipe/ingredient/ingredient'
import { isFrozenFruit, isLookedAt } from '../../recipe/ingredient/produce'
import { eggOf, placeOf, type ItemState } from '../../state/item'
import { itemLevel, type Store } from '../keeping/itemStanding'
import { itemShut, servingShut, type Ancestry, type PartShut } from './part'
import type { Measure } from '../../ground/measure'

/** Why an item cannot be finished at all; null when it can. What is frozen takes its glaze as it is. */
export function finishShut(
  item: ItemState,
  measure: Measure | null,
  ancestry: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  if (eggOf(item) !== null) return { code: 'is egg' }
  // What stands out for the guests is not topped up.
  const how = placeOf(item)?.value.how
  const isOut = how === 'serve' || how === 'hot'
  return servingShut(item, measure, ancestry, store, now) ?? (isOut ? { code: 'out for good' } : null)
}

/**
 * Why an item of the store may not go onto another, however cold it is read and however good it looks: it is not offered.
 * @param onto the ancestry of what it goes onto: for whom it was made
 * @param asItIs frozen fruit that nobody treated is taken knowingly
 */
export function toppingUnfit(
  topping: ItemState,
  measure: Measure | null,
  of: Ancestry,
  onto: Ancestry,
  asItIs: boolean,
  store: Store,
  now: Instant,
): PartShut | null {
  const shut = itemShut(topping, measure, of, store, now)
  if (shut) return shut
  const how = placeOf(topping)?.value.how
  if (how === 'serve' || how === 'hot') return { code: 'out for good' }
  const isRaw = topping.facts.heat === 'raw' || topping.facts.advisory
  if (eggOf(topping) !== null && topping.facts.heat === 'raw') return { code: 'raw egg unheated' }
  if (isRaw && onto.batch?.terms.susceptible) return { code: 'susceptible' }
  const untreated = isUntreated(topping, of)
  return untreated && !asItIs ? { code: 'fruit not treated' } : null
}

/** Why that may not go on as it was read and as it looked; null when it may. */
export function toppingShut(
  topping: Topping,
  item: ItemState | null,
  of: Ancestry,
  base: ItemState,
  onto: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  if (topping.of === 'food') {
    const food = foodIn(topping)
    if (food && !keepsUnheld(food, base.facts)) return { code: 'not held', name: food.name }
    return looksShut(topping.ingredient, topping.condition)
  }
  if (!item) return null
  const shut = toppingUnfit(item, topping.measure, of, onto, topping.asItIs, store, now)
  if (shut) return shut
  const level = itemLevel(item, store.limits, dayOf(now, store.zone))
  const celsius = topping.typed === null ? null : celsiusOf(topping.typed)
  if (level && celsius === null) return { code: 'asks first', asks: 'read it' }
  if (level && celsius! > level.celsius + SAME_DEGREE && !topping.warm)
    return { code: 'too warm', celsius: celsius!, level: level.celsius }
  return looksShut(item.ingredient, topping.condition)
}

/** Frozen fruit of which no lot says what was done against viruses. */
export function isUntreated({ ingredient }: Pick<ItemState, 'ingredient'>, { lots }: Pick<Ancestry, 'lots'>): boolean {
  return isFrozenFruit(ingredient) && lots.some(({ treatment }) => treatment === null)
}

/**
 * Whether it may go on without being held in the store: what keeps by itself, as sugar, cocoa and nuts, and fresh fruit and
 * herbs on what has a date of its own. What else needs the cold, or may carry something, goes on from the store with its day.
 */
export function keepsUnheld(food: Ingredient, onto: Pick<ItemFacts, 'needsCold'>): boolean {
  if (food.egg !== null || food.frozenFruit || food.comesFrozen) return false
  return !food.needsCold || (food.fresh === true && onto.needsCold)
}

function looksShut(ingredient: string | null, condition: Topping['condition']): PartShut | null {
  if (isLookedAt(ingredient) && !condition) return { code: 'not looked at' }
  return condition && !condition.good ? { code: 'looked bad' } : null
}
