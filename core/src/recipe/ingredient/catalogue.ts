import type { Ingredient } from './ingredient'
import { DAIRY } from './shelves/dairy'
import { DRINKS } from './shelves/drinks'
import { FRUIT } from './shelves/fruit'
import { PANTRY } from './shelves/pantry'
import { RICH } from './shelves/rich'
import { STARCHES } from './shelves/starches'
import { SWEET } from './shelves/sweet'

/**
 * What methods are made of. Compositions of dairy, egg, sugar, butter, starch, chocolate, citrus and berry are those of
 * the heat computations; the others are rounded from ordinary food tables, of low confidence (confidence.ts), good for
 * forecasts and labels and not for nutrition claims. Allergens are those that the plain ware has by its nature or its usual recipe: what stands on the
 * package in hand counts, and may name more.
 */
const FOODS: readonly Ingredient[] = [...DAIRY, ...SWEET, ...STARCHES, ...FRUIT, ...RICH, ...DRINKS, ...PANTRY]

/** Every ingredient that ships, by key. */
export const catalogue: Readonly<Record<string, Ingredient>> = Object.fromEntries(FOODS.map((each) => [each.key, each]))
