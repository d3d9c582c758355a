import { catalogue } from './catalogue'

/** Herbs, fruit and nuts are looked at when they come, and again when they go in. */
export function isLookedAt(ingredient: string | null): boolean {
  return ingredient !== null && LOOKED_AT.includes(ingredient)
}

const LOOKED_AT = [
  'berry-puree',
  'quince',
  'pear',
  'rhubarb',
  'chestnut',
  'hazelnut',
  'almond',
  'walnut',
  'spice',
  'fresh-berries',
  'fresh-herbs',
  'edible-flowers',
]

/** Fruit that comes frozen and may carry a virus nobody sees. */
export function isFrozenFruit(ingredient: string | null): boolean {
  return ingredient === 'berry-puree'
}

/** Fresh fruit, herbs and flowers as they come from the field: washed before they go in. */
export function isWashed({ ingredient, state }: { ingredient: string; state: string }): boolean {
  return catalogue[ingredient]?.fresh === true && state === 'as it is'
}
