/** Leaf grades of the trade: bloom strength and the mass of one leaf, g. One leaf of any grade sets about as much. */
export const LEAVES = {
  bronze: { bloom: 140, grams: 3.3 },
  silver: { bloom: 160, grams: 2.5 },
  gold: { bloom: 200, grams: 2 },
  platinum: { bloom: 230, grams: 1.7 },
} as const

export type LeafGrade = keyof typeof LEAVES

/**
 * Grams of another gelatine that set as firmly: mass times bloom stays the same. That is the rule by which the leaf
 * grades are made interchangeable; it holds to about 15 % (the bronze leaf sets more), so taste and set decide.
 * RangeError for a mass or bloom that is not positive.
 */
export function gelatineFor(grams: number, bloom: number, otherBloom: number): number {
  for (const [argument, value] of Object.entries({ grams, bloom, otherBloom })) {
    if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${argument}: ${value} is not a number above 0`)
  }
  return (grams * bloom) / otherBloom
}

/** Leaves of a grade that set as much as so many grams of a gelatine, to half a leaf. */
export function leavesFor(grams: number, bloom: number, grade: LeafGrade): number {
  const leaf = LEAVES[grade]
  return Math.round((gelatineFor(grams, bloom, leaf.bloom) / leaf.grams) * 2) / 2
}
