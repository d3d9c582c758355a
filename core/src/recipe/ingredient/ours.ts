import { catalogue } from './catalogue'
import type { Allergen, Ingredient } from './ingredient'
import { ownIngredient } from './own'

/** One of the kitchen's own as it is kept. */
export interface OwnKept {
  key: string
  name: string
  /** Key of the catalogue. */
  like: string
  /** null: nobody has read them. */
  allergens: readonly Allergen[] | null
  gone: boolean
  /** The same as another: its key; null: it stands by itself. */
  into: string | null
}

/** What the kitchen has of its own, to choose from: not what it takes no longer or called by another name since. */
export function oursOf(kept: readonly OwnKept[]): Ingredient[] {
  return kept.flatMap((own) => (own.gone || own.into !== null ? [] : (ourFood(own.key, kept) ?? [])))
}

/**
 * One of the kitchen's own by its key, as it is known now; null where it has none of that key. The same as another it is
 * that one, with the allergens of both; what was not known of it is known then.
 */
export function ourFood(key: string, kept: readonly OwnKept[]): Ingredient | null {
  const own = kept.find((each) => each.key === key)
  if (!own) return null
  const food = ownIngredient(own.key, own.name, own.like, own.allergens)
  if (own.into === null) return food
  const other =
    catalogue[own.into] ??
    ourFood(
      own.into,
      kept.filter((each) => each !== own),
    )
  if (!other) return food
  const allergens = food.unchecked ? other.allergens : [...new Set([...food.allergens, ...other.allergens])]
  return { ...other, key, allergens }
}

/** A food as the kitchen knows it now: its own by what the lead made of it since, all else as it is. */
export function asKnown(food: Ingredient, kept: readonly OwnKept[]): Ingredient {
  return ourFood(food.key, kept) ?? food
}

/** A method with the kitchen's own in it as they are known now. */
export function withOurs<M extends { own: Ingredient[] }>(method: M, kept: readonly OwnKept[]): M {
  return method.own.length === 0 ? method : { ...method, own: method.own.map((food) => asKnown(food, kept)) }
}
