import type { MeasureSystem } from '../../rules/practice'
import { eggGrams, type EggSize } from '../ingredient/eggGrams'
import type { Ingredient } from '../ingredient/ingredient'
import { namesOf } from '../ingredient/names'
import { LEAVES, type LeafGrade } from '../ingredient/gelatine'
import { LEAST_GRAMS, MOST_GRAMS } from './bounds'
import { quantityAhead, type Quantity } from './quantity'
import { pieceGrams, sachetGrams, sizeAhead, STICK, USUAL_EGG } from './sizes'
import { MASS, unitNamed, VOLUME, type AmountUnit } from './unit'

/** What an amount as somebody wrote it comes to, and what had to be taken for granted. */
export interface AmountInGrams {
  grams: number
  /** Eggs, leaves and fruit are counted; null: weighed or measured. */
  count: number | null
  assumed: Assumed[]
}

export type Assumed =
  /** A cup, spoon or ounce of this system. */
  | { what: 'measure'; unit: AmountUnit; system: MeasureSystem; ml: number }
  | { what: 'density'; gramsPerMl: number }
  | { what: 'egg'; size: EggSize; grams: number }
  /** One leaf, sachet, stick or fruit of so many grams. */
  | { what: 'one'; unit: AmountUnit; grams: number }
  /** From one number to another: the middle is taken. */
  | { what: 'middle'; from: number; to: number }
  /** A bare number: grams. */
  | { what: 'grams' }

export type AmountReading =
  | ({ kind: 'read' } & AmountInGrams)
  /** Two readings that people really mean: somebody says which. */
  | { kind: 'either'; readings: (AmountInGrams & { unit: AmountUnit; system: MeasureSystem })[] }
  | { kind: 'unread'; why: Unread }

export type Unread =
  | { code: 'no number' }
  | { code: 'not positive' }
  /** No method holds so little, or so much, g. */
  | { code: 'out of range'; least: number; most: number }
  /** Neither a unit nor anything that is said of an amount. */
  | { code: 'unknown word'; word: string }
  /** It is not measured by volume, or nobody knows how heavy a cup of it is. */
  | { code: 'weigh it'; unit: AmountUnit }
  /** How heavy one is differs too much. */
  | { code: 'no size'; unit: AmountUnit }

/** An amount at the beginning of a text: how many of what, and what is left of the text. */
export interface AmountAhead {
  quantity: Quantity
  unit: AmountUnit | null
  size: EggSize | null
  rest: string
}

/** A leaf of one grade sets about as much as one of another. */
function afterGrade(text: string): string {
  const grade = (Object.keys(LEAVES) as LeafGrade[]).find((each) => new RegExp(`^${each}\\b`, 'i').test(text))
  return grade ? text.slice(grade.length).trimStart() : text
}

/** What of an amount may stand around it without changing it. */
const FILLERS = /^(?:of|approx\.?|about|level|heaped|scant|generous|good|fresh|each|net)\b\s*/i
const FLUID = /^(?:fl\.?|fluid)\s*(?:oz\.?|ozs\.?|ounces?)(?![a-z])/i

/** The amount that a text begins with; null where it begins with none. */
export function amountAhead(text: string, system: MeasureSystem): AmountAhead | null {
  const many = quantityAhead(without(text.trim()))
  if (!many) return null
  const packs = /^(?:x|×)\s*|^\((?=\s*\d)/i.exec(many.rest)
  // "2 x 400 g", "2 (8 oz) packages": so many of so much each.
  const each = packs && amountAhead(many.rest.slice(packs[0].length), system)
  if (each && each.unit !== null && each.unit in { ...MASS, ...VOLUME.US }) {
    const { quantity, rest } = each
    const product = { from: many.quantity.from * quantity.from, to: many.quantity.to * quantity.to }
    return { ...each, quantity: product, rest: rest.replace(/^\)\s*/, '').replace(PACKAGES, '') }
  }
  const sized = sizeAhead(without(many.rest), system)
  const { unit, rest } = unitAhead(afterGrade(sized.rest))
  return { quantity: many.quantity, unit, size: sized.size, rest: without(unit ? afterGrade(rest) : rest) }
}

const PACKAGES =
  /^(?:packages?|packs?|tins?|cans?|cartons?|tubs?|jars?|bars?|bottles?|bags?|boxe?s?)(?:\s+(?:of\s+)?|$)/i

function unitAhead(text: string): { unit: AmountUnit | null; rest: string } {
  const fluid = FLUID.exec(text)
  if (fluid) return { unit: 'fl oz', rest: text.slice(fluid[0].length).trimStart() }
  const word = /^([a-zA-Z]+\.?)(?![a-zA-Z'’])/.exec(text)?.[1]
  const unit = word === undefined ? null : unitNamed(word)
  return unit ? { unit, rest: text.slice(word!.length).trimStart() } : { unit: null, rest: text }
}

function without(text: string): string {
  const found = FILLERS.exec(text)
  return found ? without(text.slice(found[0].length)) : text
}

/**
 * Grams of an amount as people write it: "2 cups", "1½ c", "6 large eggs", "half a litre", "3 leaves".
 * @param text all of it is the amount; the name of the ingredient may follow
 */
export function readAmount(text: string, ingredient: Ingredient, system: MeasureSystem): AmountReading {
  const ahead = amountAhead(text, system)
  if (!ahead) return { kind: 'unread', why: { code: 'no number' } }
  if (ahead.rest !== '' && !namesIt(ahead.rest, ingredient))
    return { kind: 'unread', why: { code: 'unknown word', word: ahead.rest.split(' ')[0]! } }
  return inGrams(ahead, ingredient, system)
}

/** Grams of so many of a unit of an ingredient. */
export function inGrams(ahead: AmountAhead, ingredient: Ingredient, system: MeasureSystem): AmountReading {
  const reading = converted(ahead, ingredient, system)
  const all = reading.kind === 'read' ? [reading] : reading.kind === 'either' ? reading.readings : []
  const fits = all.every(({ grams }) => grams >= LEAST_GRAMS && grams <= MOST_GRAMS)
  return fits ? reading : { kind: 'unread', why: { code: 'out of range', least: LEAST_GRAMS, most: MOST_GRAMS } }
}

function converted(ahead: AmountAhead, ingredient: Ingredient, system: MeasureSystem): AmountReading {
  const { quantity, unit } = ahead
  const many = (quantity.from + quantity.to) / 2
  if (!(many > 0)) return { kind: 'unread', why: { code: 'not positive' } }
  const middle: Assumed[] = quantity.from === quantity.to ? [] : [{ what: 'middle', ...quantity }]
  const read = ({ grams, count, assumed }: AmountInGrams): AmountInGrams => ({
    grams: rounded(grams),
    count,
    assumed: [...middle, ...assumed],
  })
  const bySystem = (each: AmountUnit, of: MeasureSystem): AmountInGrams | null => {
    const ml = VOLUME[of][each]
    const gramsPerMl = ingredient.density ?? null
    if (ml === undefined || gramsPerMl === null) return null
    const measure: Assumed[] =
      each in VOLUME.metric && VOLUME.metric[each] === ml ? [] : [{ what: 'measure', unit: each, system: of, ml }]
    const density: Assumed[] = gramsPerMl === 1 ? [] : [{ what: 'density', gramsPerMl }]
    return read({ grams: many * ml * gramsPerMl, count: null, assumed: [...measure, ...density] })
  }

  if (unit === null || unit === 'piece' || unit === 'leaf' || unit === 'sachet' || unit === 'stick') {
    const counted = one(ahead, ingredient, system)
    if (counted)
      return { kind: 'read', ...read({ grams: many * counted.grams, count: many, assumed: [counted.assumed] }) }
    if (unit !== null) return { kind: 'unread', why: { code: 'no size', unit } }
    return { kind: 'read', ...read({ grams: many, count: null, assumed: [{ what: 'grams' }] }) }
  }
  const mass = MASS[unit]
  if (mass !== undefined) {
    const weighed = read({ grams: many * mass, count: null, assumed: [] })
    const fluid = unit === 'oz' && isPoured(ingredient) ? bySystem('fl oz', system === 'UK' ? 'UK' : 'US') : null
    if (!fluid) return { kind: 'read', ...weighed }
    return {
      kind: 'either',
      readings: [
        { ...weighed, unit: 'oz', system },
        { ...fluid, unit: 'fl oz', system: system === 'UK' ? 'UK' : 'US' },
      ],
    }
  }
  const own = bySystem(unit, system)
  // A cup in a recipe from elsewhere is the American one or the metric one, a pint the American or the imperial one.
  const others = (unit === 'cup' ? (['metric', 'US'] as const) : (['UK', 'US'] as const)).flatMap((of) => {
    const found = bySystem(unit, of)
    return found ? [{ ...found, unit, system: of }] : []
  })
  if (system !== 'US' && (own === null || unit === 'cup') && others.length > 1)
    return { kind: 'either', readings: others }
  return own ? { kind: 'read', ...own } : { kind: 'unread', why: { code: 'weigh it', unit } }
}

/** Grams of one egg, leaf, sachet, stick or fruit; null where that is not counted. */
function one(
  { unit, size }: AmountAhead,
  { key, egg, bloom }: Ingredient,
  system: MeasureSystem,
): { grams: number; assumed: Assumed } | null {
  const of = (grams: number | null | undefined, named: AmountUnit) =>
    grams == null ? null : { grams, assumed: { what: 'one' as const, unit: named, grams } }
  if (unit === 'stick' && key.includes('butter')) return of(STICK, 'stick')
  if (unit === 'sachet') return of(sachetGrams(key, system), 'sachet')
  // One leaf of any grade sets as much as another: of gold it is two grams.
  if (unit === 'leaf' && bloom > 0) return of(LEAVES.gold.grams, 'leaf')
  if (egg && (unit === null || unit === 'piece')) {
    const counted = size ?? USUAL_EGG
    const grams = eggGrams(egg, counted)
    return { grams, assumed: { what: 'egg', size: counted, grams: rounded(grams) } }
  }
  return unit === null || unit === 'piece' || (unit === 'stick' && key === 'cinnamon')
    ? of(pieceGrams(key), 'piece')
    : null
}

/** Measured by the jug: for that an ounce may be one of fluid. */
function isPoured({ composition, density }: Ingredient): boolean {
  return density != null && density >= 0.97 && composition.water >= 0.45
}

function namesIt(rest: string, ingredient: Ingredient): boolean {
  const { egg } = ingredient
  const said = plainWords(rest)
  const names = [...namesOf(ingredient), ...(egg ? [egg, `${egg}s`, `egg ${egg}s`, 'eggs', 'egg'] : [])].map(plainWords)
  return names.some((each) => each === said || each.startsWith(`${said} `) || `${each}s` === said)
}

function plainWords(text: string): string {
  return text
    .toLowerCase()
    .replaceAll(/[^\p{L}\d%]+/gu, ' ')
    .trim()
}

/** To three figures under ten grams, to a tenth under a kilo: no more is meant. */
function rounded(grams: number): number {
  if (grams < 10) return Number(grams.toPrecision(3))
  return grams < 1000 ? Math.round(grams * 10) / 10 : Math.round(grams)
}
