import type { Allergen, Ingredient } from './ingredient'

/** One of the ingredients of something, as a label for sale names it. */
export interface PlainIngredient {
  name: string
  allergens: Allergen[]
  /** null: nobody weighed it. */
  grams: number | null
  /** Nobody here read what is in it. */
  unread?: true
}

/** The same, with what it is made of where it was made here. */
export interface ListedIngredient extends PlainIngredient {
  of?: PlainIngredient[]
}

export function listed({ name, allergens, unchecked }: Ingredient, grams: number | null): PlainIngredient {
  return { name, allergens, grams, ...(unchecked ? { unread: true as const } : {}) }
}

export function unread(name: string, grams: number | null): PlainIngredient {
  return { name, allergens: [], grams, unread: true }
}
