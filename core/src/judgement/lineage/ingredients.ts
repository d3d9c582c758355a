import type { Measure } from '../../ground/measure'
import type { Part } from '../../ledger/storeEntries'
import { listed, unread, type ListedIngredient, type PlainIngredient } from '../../recipe/ingredient/listed'
import { foodIn } from '../../recipe/ingredient/own'
import { ingredientOf } from '../../recipe/method/facts'
import type { Method } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'

/** All that is in a batch by name, the most of it first; what nobody weighed comes last. What a part is made of stands in it. */
export function ingredientsOf(
  { facts, factor }: Pick<BatchState, 'facts' | 'factor'>,
  method: Method,
): ListedIngredient[] {
  const uses = valid(facts['lots-used']).flatMap(({ value }) => value.uses)
  const added = valid(facts.added).map(({ value }) => value)
  const parts = valid(facts['part-used']).map(({ value }) => value)
  const planned = method.amounts
    // What the method takes at that step and the cook told of is one thing, not two.
    .filter(({ step, ingredient }) => !added.some((each) => each.step === step && each.ingredient === ingredient))
    .map((amount): ListedIngredient => {
      const grams = amount.grams === null ? null : amount.grams * factor
      const instead = uses.find((use) => use.amount === amount.key && use.instead)
      if (instead) {
        const food = instead.own ?? (instead.ingredient === null ? null : foodIn({ ingredient: instead.ingredient }))
        return food ? listed(food, grams) : unread(instead.name, grams)
      }
      const food = ingredientOf(amount, method)
      return food ? listed(food, grams) : unread(amount.ingredient, grams)
    })
  const missing = method.components
    .filter(({ name }) => !parts.some(({ part }) => part.name === name))
    .map(({ name, grams }) => unread(name, grams === null ? null : grams * factor))
  return weighed([
    ...planned,
    ...missing,
    ...added.map((each) => {
      const food = foodIn(each)
      return food ? listed(food, each.grams) : unread(each.ingredient, each.grams)
    }),
    ...parts.map(({ part, measure }) => listedPart(part, measure)),
  ])
}

/** A list with something put on it afterwards. `share`: how much of what the list is of it is on. */
export function withTopping(
  list: readonly ListedIngredient[],
  share: number | null,
  topping: ListedIngredient,
): ListedIngredient[] {
  const scaled = list.map((each) => ({
    ...each,
    grams: share === null || each.grams === null ? null : each.grams * share,
  }))
  // Whose weight is not known keeps its order, and what was put on comes after it.
  return share === null || topping.grams === null ? [...list, topping] : weighed([...scaled, topping])
}

/** Something made or held here, with what it is made of itself. */
export function listedPart({ name, facts }: Part, { unit, value }: Measure): ListedIngredient {
  const grams = unit === 'g' ? value : null
  const { ingredients, allergens } = facts
  // Bought as one thing it is that thing.
  if (ingredients?.length === 1) return { ...ingredients[0]!, grams }
  return ingredients ? { name, allergens: [], grams, of: flat(ingredients) } : { ...unread(name, grams), allergens }
}

/** What is made of parts of parts is told in one row. */
function flat(list: readonly ListedIngredient[]): PlainIngredient[] {
  return list.flatMap(({ of, ...one }) => of ?? [one])
}

/** Of one name once, the most first. */
function weighed(all: readonly ListedIngredient[]): ListedIngredient[] {
  const once = new Map<string, ListedIngredient>()
  for (const each of all) {
    const there = once.get(each.name)
    const grams = there ? sum(there.grams, each.grams) : each.grams
    once.set(each.name, { ...each, ...there, grams: grams === null ? null : Math.round(grams) })
  }
  return [...once.values()].sort((a, b) => (b.grams ?? -1) - (a.grams ?? -1))
}

function sum(a: number | null, b: number | null): number | null {
  return a === null || b === null ? null : a + b
}
