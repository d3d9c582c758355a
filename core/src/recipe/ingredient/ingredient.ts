import type { Composition } from '../../physics/material/properties'
import type { EggPart } from './eggGrams'

export type Allergen =
  | 'milk'
  | 'egg'
  | 'wheat'
  | 'tree nuts'
  | 'peanut'
  | 'soy'
  | 'sesame'
  | 'fish'
  | 'sulphites'
  | 'gluten'
  | 'lupin'
  | 'mustard'

/** Where it comes from, for diet claims. */
export type Origin = 'plant' | 'milk' | 'egg' | 'honey' | 'land animal' | 'fish'

/** What a method's ingredient is, as far as heat, labels and safety care. */
export interface Ingredient {
  key: string
  /** As we say it, in British spelling. */
  name: string
  /** What others call it; of what ships these stand in `names`. */
  synonyms: string[]
  composition: Composition
  allergens: Allergen[]
  origin: Origin
  /** Ethanol, share of the mass. */
  alcohol: number
  /** Spoils without temperature control. */
  needsCold: boolean
  /** What of an egg it is; eggs are raw unless the line says a pasteurized lot. */
  egg: EggPart | null
  /** Thickens only once boiled out. */
  starch: boolean
  /** Bloom strength, for gelatine; 0 for all else. */
  bloom: number
  /** Nobody has read what allergens are in it: of whatever holds it nothing is claimed, and the label says so. */
  unchecked?: true
  /** Grams of a millilitre as a cook measures it: poured, or spooned in and levelled; null or left out: not by volume. */
  density?: number | null
  /** Fruit, herbs and flowers as they come from the field. */
  fresh?: true
  /** Looked at when it comes and again when it goes in: mould, stones, insects. */
  lookedAt?: true
  /** May come frozen, with a virus that nobody sees. */
  frozenFruit?: true
  /** It is always frozen fruit: as it is, it is untreated. */
  comesFrozen?: true
}
