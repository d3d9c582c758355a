import { catalogue } from './catalogue'
import type { Allergen, Ingredient } from './ingredient'

/** The allergens that a label names, by the lists of the EU, UK, US, Canada and Australia as far as pastry has them. */
export const ALLERGENS: readonly Allergen[] = [
  'milk',
  'egg',
  'wheat',
  'gluten',
  'tree nuts',
  'peanut',
  'soy',
  'sesame',
  'fish',
  'sulphites',
  'lupin',
  'mustard',
]

/**
 * An ingredient of the house's own, which no list has: it heats, spoils and sets as what it is most like. Raw egg stays raw
 * egg, whatever it is called.
 * @param like key of the catalogue; RangeError for any other
 * @param allergens null: nobody has read them
 */
export function ownIngredient(
  key: string,
  name: string,
  like: string,
  allergens: readonly Allergen[] | null,
): Ingredient {
  const near = catalogue[like]
  if (!near) throw new RangeError(`like: ${like} is not in the catalogue`)
  const { composition, origin, alcohol, needsCold, egg, starch, bloom, density } = near
  return {
    key,
    name,
    synonyms: [],
    composition,
    allergens: allergens === null ? [] : [...allergens],
    origin,
    alcohol,
    needsCold,
    egg,
    starch,
    bloom,
    ...(density === undefined ? {} : { density }),
    ...(allergens === null ? { unchecked: true } : {}),
  }
}

/** Frozen fruit that nobody says was treated: so it is said, or so it always comes. */
export function isUntreatedFruit(put: { ingredient: string; own?: Ingredient; state: string }): boolean {
  return put.state === 'frozen' || (put.state === 'as it is' && foodIn(put)?.comesFrozen === true)
}

/**
 * The food that an entry names: the catalogue's, else the house's own, which it carries; null where there is neither. What
 * the catalogue has is never taken from an entry: yolk would be no egg any more.
 */
export function foodIn({ ingredient, own }: { ingredient: string; own?: Ingredient }): Ingredient | null {
  return catalogue[ingredient] ?? (own?.key === ingredient ? own : null)
}
