import { confidenceOf } from '../ingredient/confidence'
import { catalogue } from '../ingredient/catalogue'
import type { Composition } from '../../physics/material/properties'
import type { Allergen, Ingredient, Origin } from '../ingredient/ingredient'
import { mixed } from '../ingredient/mixed'
import { isUntreatedFruit } from '../ingredient/produce'
import { heatPlan } from './heatPlan'
import type { Amount, Method } from './method'

/** What a label says of a dessert, from its parts and the parts of its components. */
export interface MethodFacts {
  allergens: Allergen[]
  claims: DietClaim[]
  /** Ethanol, share of the volume of the whole. It earns nothing on the date. */
  alcoholByVolume: number
  /** Everything that is in it, g. */
  grams: number
  composition: Composition | null
  /** Share of its mass whose own composition is of low confidence, 0 to 1; what nobody weighed counts as nothing. */
  unsure: number
  /** Ingredients whose allergens nobody read: nothing is claimed. */
  unchecked: string[]
  /** Components whose method is not known here: nothing is claimed. */
  unknown: string[]
}

export type DietClaim = 'vegetarian' | 'vegan' | 'without gluten' | 'without nuts' | 'without alcohol'

/** Finds a method by its id; null where this kitchen has none of that id. */
export type FindMethod = (id: string) => Method | null

const ETHANOL_DENSITY = 0.789
export const CLAIMS: readonly DietClaim[] = ['vegetarian', 'vegan', 'without gluten', 'without nuts', 'without alcohol']

/** Everything is computed anew from the parts: a swap withdraws a claim by itself. */
export function factsOf(method: Method, find: FindMethod): MethodFacts {
  const parts = partsOf(method, find, new Set([method.id]))
  const known = parts.all.filter(({ ingredient }) => ingredient !== null)
  const of = <T>(pick: (ingredient: Ingredient) => T[]) => known.flatMap(({ ingredient }) => pick(ingredient!))
  const grams = known.reduce((sum, part) => sum + part.grams, 0)
  const ethanol = known.reduce((sum, { grams: mass, ingredient }) => sum + mass * ingredient!.alcohol, 0)
  const unsure = known
    .filter(({ ingredient }) => confidenceOf(ingredient!) === 'low')
    .reduce((sum, part) => sum + part.grams, 0)
  const allergens = [...new Set(of(({ allergens: own }) => own))].sort()
  const unchecked = [...new Set(of(({ unchecked: unread, name }) => (unread ? [name] : [])))]
  const complete = parts.unknown.length === 0 && unchecked.length === 0 && known.length === parts.all.length
  return {
    allergens,
    claims: complete ? claimsOf(known.map(({ ingredient }) => ingredient!)) : [],
    alcoholByVolume: byVolume(ethanol, grams),
    grams,
    composition: mixed(
      known.map(({ grams: mass, ingredient }) => ({ grams: mass, composition: ingredient!.composition })),
    ),
    unsure: grams > 0 ? unsure / grams : 0,
    unchecked,
    unknown: parts.unknown,
  }
}

/**
 * Ethanol as a share of the volume of the whole, the rest reckoned as water.
 * @param ethanol g
 * @param grams of the whole; 0: nothing is in it
 */
export function byVolume(ethanol: number, grams: number): number {
  const litres = ethanol / ETHANOL_DENSITY
  return grams > 0 ? litres / (grams - ethanol + litres) : 0
}

/** What may be claimed of whatever is made of these alone; nothing of what nobody has read. */
export function claimsOf(foods: readonly Ingredient[]): DietClaim[] {
  if (foods.some(({ unchecked }) => unchecked)) return []
  const allergens = foods.flatMap((food) => food.allergens)
  const origins = foods.map(({ origin }) => origin)
  const ethanol = foods.some(({ alcohol }) => alcohol > 0)
  return CLAIMS.filter((claim) => holds(claim, allergens, origins, ethanol))
}

/** The ingredient of an amount: the catalogue's, else the method's own; null where there is none of that key. */
export function ingredientOf(
  { ingredient }: Pick<Amount, 'ingredient'>,
  { own }: Pick<Method, 'own'>,
): Ingredient | null {
  return catalogue[ingredient] ?? own.find(({ key }) => key === ingredient) ?? null
}

/** An amount with what it is of, where that is the method's own. */
export function withOwn<A extends Pick<Amount, 'ingredient'>>(
  amount: A,
  { own }: Pick<Method, 'own'>,
): A & { own?: Ingredient } {
  const food = own.find(({ key }) => key === amount.ingredient)
  return food ? { ...amount, own: food } : amount
}

/** Whether the method holds raw egg: shell egg, not from a pasteurized lot. */
export function rawEggs(method: Method): Amount[] {
  return method.amounts.filter(
    (amount) => ingredientOf(amount, method)?.egg != null && amount.state !== 'pasteurized lot',
  )
}

function holds(claim: DietClaim, allergens: Allergen[], origins: Origin[], ethanol: boolean): boolean {
  const none = (...kinds: Origin[]) => !origins.some((origin) => kinds.includes(origin))
  switch (claim) {
    case 'vegetarian':
      return none('land animal', 'fish')
    case 'vegan':
      return none('land animal', 'fish', 'milk', 'egg', 'honey')
    case 'without gluten':
      return !allergens.includes('gluten') && !allergens.includes('wheat')
    case 'without nuts':
      return !allergens.includes('tree nuts') && !allergens.includes('peanut')
    case 'without alcohol':
      return !ethanol
  }
}

interface Part {
  ingredient: Ingredient | null
  grams: number
}

/** Every ingredient, components resolved; one that comes back to itself is not followed again. */
function partsOf(method: Method, find: FindMethod, seen: Set<string>): { all: Part[]; unknown: string[] } {
  const all: Part[] = method.amounts.map((amount) => ({
    ingredient: ingredientOf(amount, method),
    grams: amount.grams ?? 0,
  }))
  const unknown: string[] = []
  for (const { method: id, name, grams } of method.components) {
    const made = seen.has(id) ? null : find(id)
    if (!made) {
      unknown.push(name)
      continue
    }
    const inside = partsOf(made, find, new Set([...seen, id]))
    const whole = inside.all.reduce((sum, part) => sum + part.grams, 0)
    const share = whole > 0 ? (grams ?? 0) / whole : 0
    all.push(...inside.all.map((part) => ({ ...part, grams: part.grams * share })))
    unknown.push(...inside.unknown)
  }
  return { all, unknown }
}

/** Frozen fruit that nobody treated and that the method does not boil after it goes in. */
export function unboiledFruit(method: Method): Amount[] {
  const { lastHeat } = heatPlan(method)
  const heat = method.steps.findIndex(({ key }) => key === lastHeat?.step)
  return method.amounts.filter(
    (amount) =>
      isUntreatedFruit(withOwn(amount, method)) &&
      !(method.untreatedFruit && heat >= method.steps.findIndex(({ key }) => key === amount.step)),
  )
}
