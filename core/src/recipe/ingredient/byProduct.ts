import type { EggPart } from './eggGrams'

/** Days that a part of the egg is kept, the day it was opened being day 1. House defaults. */
export const BY_PRODUCT_DAYS: Record<EggPart, number> = { whole: 2, yolk: 2, white: 4 }
