/** Edible grams of an egg by its size; US sizes by the dozen's legal weight, EU by the class's middle. */
export const EGG_SIZES = {
  'US S': 38,
  'US M': 44,
  'US L': 50,
  'US XL': 56,
  'US J': 63,
  'EU S': 44,
  'EU M': 52,
  'EU L': 61,
  'EU XL': 68,
} as const

/** What of an egg it is. */
export type EggPart = 'whole' | 'yolk' | 'white'

export type EggSize = keyof typeof EGG_SIZES

/** Of the edible part a third is yolk. */
const YOLK = 0.34

/** Grams of an egg, its yolk or its white. A large US egg is 50 g, of it 17 g yolk and 33 g white. */
export function eggGrams(part: EggPart, size: EggSize = 'US L'): number {
  const edible = EGG_SIZES[size]
  if (part === 'whole') return edible
  return part === 'yolk' ? edible * YOLK : edible * (1 - YOLK)
}
