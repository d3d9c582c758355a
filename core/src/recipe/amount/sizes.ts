import { EGG_SIZES, type EggSize } from '../ingredient/eggGrams'
import type { MeasureSystem } from '../../rules/practice'

/** Grams of a stick of butter: four ounces, by which it is sold in the US. */
export const STICK = 113.4

/** Grams in a sachet as it is usually sold, by the key of what is in it; other sachets have to be read off. */
export function sachetGrams(ingredient: string, system: MeasureSystem): number | null {
  if (ingredient === 'gelatine-powder') return { metric: 9, US: 7, UK: 12 }[system]
  return { 'dried-yeast': 7, 'vanilla-sugar': 8, 'baking-powder': 15 }[ingredient] ?? null
}

/** Edible grams of one piece as it usually is, by key; of juice and zest: what one fruit gives. A house table, to be weighed. */
const PIECES: Record<string, number> = {
  lemon: 110,
  lime: 65,
  orange: 150,
  grapefruit: 230,
  'lemon-juice': 45,
  'lime-juice': 25,
  'orange-juice': 80,
  'grapefruit-juice': 150,
  'lemon-zest': 6,
  'lime-zest': 3,
  'orange-zest': 9,
  apple: 160,
  'fresh-pear': 160,
  'fresh-quince': 220,
  'fresh-banana': 110,
  apricot: 40,
  peach: 140,
  plum: 60,
  fig: 50,
  mango: 250,
  pineapple: 900,
  kiwi: 70,
  'passion-fruit': 18,
  pomegranate: 150,
  'vanilla-pod': 3,
  cinnamon: 4,
  bay: 0.2,
  'star-anise': 0.7,
  tonka: 1.2,
  'sponge-fingers': 8,
  'plain-biscuit': 14,
}

/** Grams of one piece; null where nobody counts it. */
export function pieceGrams(ingredient: string): number | null {
  return PIECES[ingredient] ?? null
}

const SIZE_WORDS = {
  small: { US: 'US S', EU: 'EU S' },
  medium: { US: 'US M', EU: 'EU M' },
  large: { US: 'US L', EU: 'EU L' },
  'extra-large': { US: 'US XL', EU: 'EU XL' },
  'extra large': { US: 'US XL', EU: 'EU XL' },
  'very large': { US: 'US XL', EU: 'EU XL' },
  jumbo: { US: 'US J', EU: 'EU XL' },
} as const satisfies Record<string, { US: EggSize; EU: EggSize }>

/** The size word at the beginning of a text, and what follows it. */
export function sizeAhead(text: string, system: MeasureSystem): { size: EggSize | null; rest: string } {
  const whole = `${text.toLowerCase()} `
  const named = (Object.keys(SIZE_WORDS) as (keyof typeof SIZE_WORDS)[]).find((word) => whole.startsWith(`${word} `))
  if (named)
    return { size: SIZE_WORDS[named][system === 'US' ? 'US' : 'EU'], rest: text.slice(named.length).trimStart() }
  const exact = (Object.keys(EGG_SIZES) as EggSize[]).find((size) => whole.startsWith(`${size.toLowerCase()} `))
  return exact ? { size: exact, rest: text.slice(exact.length).trimStart() } : { size: null, rest: text }
}

/** An egg of which no size is said: fifty grams, as wherever the program counts eggs. */
export const USUAL_EGG: EggSize = 'US L'
