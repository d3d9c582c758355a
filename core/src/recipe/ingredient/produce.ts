import { catalogue } from './catalogue'
import type { Ingredient } from './ingredient'
import { foodIn } from './own'

/** Herbs, fruit and nuts are looked at when they come, and again when they go in. */
export function isLookedAt(ingredient: string | null): boolean {
  return ingredient !== null && catalogue[ingredient]?.lookedAt === true
}

/** Fruit that comes frozen and may carry a virus nobody sees. */
export function isFrozenFruit(ingredient: string | null): boolean {
  return ingredient !== null && catalogue[ingredient]?.frozenFruit === true
}

/** What goes in: an ingredient, the house's own beside its key, and in what state. */
interface Put {
  ingredient: string
  own?: Ingredient
  state: string
}

/** Fresh fruit, herbs and flowers as they come from the field: washed before they go in. */
export function isWashed(put: Put): boolean {
  return put.state === 'as it is' && foodIn(put)?.fresh === true
}

/** Frozen fruit that nobody says was treated: so it is said, or so it always comes. */
export function isUntreatedFruit(put: Put): boolean {
  return put.state === 'frozen' || (put.state === 'as it is' && foodIn(put)?.comesFrozen === true)
}
