import { catalogue } from './catalogue'

/** Herbs, fruit and nuts are looked at when they come, and again when they go in. */
export function isLookedAt(ingredient: string | null): boolean {
  return ingredient !== null && catalogue[ingredient]?.lookedAt === true
}

/** Fruit that comes frozen and may carry a virus nobody sees. */
export function isFrozenFruit(ingredient: string | null): boolean {
  return ingredient !== null && catalogue[ingredient]?.frozenFruit === true
}

/** Fresh fruit, herbs and flowers as they come from the field: washed before they go in. */
export function isWashed({ ingredient, state }: { ingredient: string; state: string }): boolean {
  return catalogue[ingredient]?.fresh === true && state === 'as it is'
}
