import type { Allergen, Ingredient } from './ingredient'

/** One of the ingredients of something, as a label for sale names it. */
export interface Single {
  name: string
  allergens: Allergen[]
  /** null: nobody weighed it. */
  grams: number | null
  /** Nobody here read what is in it. */
  unread?: true
}

/** The same, with what it is made of where it was made here. */
export interface Named extends Single {
  of?: Single[]
}

export function named({ name, allergens, unchecked }: Ingredient, grams: number | null): Single {
  return { name, allergens, grams, ...(unchecked ? { unread: true as const } : {}) }
}

export function unread(name: string, grams: number | null): Single {
  return { name, allergens: [], grams, unread: true }
}
