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
 * An ingredient of the house's own, which no list has: it heats, spoils, sets, is washed and looked at as what it is most
 * like. Raw egg stays raw egg, and frozen fruit frozen fruit, whatever it is called.
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
  return {
    ...near,
    key,
    name,
    synonyms: [],
    allergens: withEgg(allergens ?? [], near.egg),
    ...(allergens === null ? { unchecked: true } : {}),
  }
}

/** The allergens of an ingredient: what is raw egg has egg in it, whatever somebody read on its package. */
export function withEgg(allergens: readonly Allergen[], egg: Ingredient['egg']): Allergen[] {
  return egg === null || allergens.includes('egg') ? [...allergens] : [...allergens, 'egg']
}

/**
 * The food that an entry names: the catalogue's, else the house's own, which it carries; null where there is neither. What
 * the catalogue has is never taken from an entry: yolk would be no egg any more.
 */
export function foodIn({ ingredient, own }: { ingredient: string; own?: Ingredient }): Ingredient | null {
  return catalogue[ingredient] ?? (own?.key === ingredient ? own : null)
}
