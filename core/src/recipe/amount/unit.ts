import type { MeasureSystem } from '../../rules/practice'

/** What amounts are written in. */
export type AmountUnit =
  | 'g'
  | 'kg'
  | 'oz'
  | 'lb'
  | 'ml'
  | 'cl'
  | 'dl'
  | 'l'
  | 'tsp'
  | 'tbsp'
  | 'cup'
  | 'fl oz'
  | 'pint'
  | 'quart'
  | 'gallon'
  | 'pinch'
  | 'dash'
  | 'drop'
  | 'stick'
  | 'leaf'
  | 'sachet'
  | 'piece'

/** Grams of a unit of mass. The avoirdupois pound is 453.592 37 g (NIST Handbook 44, App. C; Weights and Measures Act 1985). */
export const MASS: Partial<Record<AmountUnit, number>> = { g: 1, kg: 1000, oz: 28.3495, lb: 453.592 }

const OF_ALL = { ml: 1, cl: 10, dl: 100, l: 1000, pinch: 0.31, dash: 0.62, drop: 0.05 }

/**
 * Millilitres of a unit of volume. US customary: NIST Handbook 44, App. C. Imperial: Weights and Measures Act 1985, Sch. 1.
 * Spoons and the cup of a metric kitchen are those of its measuring sets: 5, 15 and 250 ml. A pinch is a sixteenth of a
 * teaspoon, a dash an eighth: by custom, no law.
 */
export const VOLUME: Record<MeasureSystem, Partial<Record<AmountUnit, number>>> = {
  metric: { ...OF_ALL, tsp: 5, tbsp: 15, cup: 250 },
  US: {
    ...OF_ALL,
    tsp: 4.929,
    tbsp: 14.787,
    cup: 236.59,
    'fl oz': 29.574,
    pint: 473.18,
    quart: 946.35,
    gallon: 3785.4,
  },
  UK: { ...OF_ALL, tsp: 5, tbsp: 15, 'fl oz': 28.413, pint: 568.26, quart: 1136.5, gallon: 4546.1 },
}

/** As people write them: one of these, with or without a full stop. Capital T is the spoon of the table. */
const WRITTEN: Record<AmountUnit, string> = {
  g: 'g gr gm gms gram grams gramme grammes',
  kg: 'kg kgs kilo kilos kilogram kilograms',
  oz: 'oz ozs ounce ounces',
  lb: 'lb lbs pound pounds',
  ml: 'ml mls millilitre millilitres milliliter milliliters cc',
  cl: 'cl centilitre centilitres centiliter centiliters',
  dl: 'dl decilitre decilitres deciliter deciliters',
  l: 'l ltr litre litres liter liters',
  tsp: 'tsp tsps teaspoon teaspoons teaspoonful teaspoonfuls t',
  tbsp: 'tbsp tbsps tbs tbl tablespoon tablespoons tablespoonful tablespoonfuls',
  cup: 'cup cups c cupful cupfuls',
  'fl oz': 'floz',
  pint: 'pint pints pt pts',
  quart: 'quart quarts qt qts',
  gallon: 'gallon gallons gal gals',
  pinch: 'pinch pinches',
  dash: 'dash dashes',
  drop: 'drop drops',
  stick: 'stick sticks',
  leaf: 'leaf leaves sheet sheets',
  sachet: 'sachet sachets packet packets envelope envelopes pkt pkts pack packs',
  piece: 'piece pieces pc pcs',
}

const BY_WORD = new Map(
  (Object.keys(WRITTEN) as AmountUnit[]).flatMap((unit) => WRITTEN[unit].split(' ').map((word) => [word, unit])),
)

/** The unit that a word stands for; null for any other word. */
export function unitNamed(word: string): AmountUnit | null {
  if (word === 'T' || word === 'T.') return 'tbsp'
  return BY_WORD.get(word.replace(/\.$/, '').toLowerCase()) ?? null
}
