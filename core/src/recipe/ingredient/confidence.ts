import type { Ingredient } from './ingredient'

/** Foods whose composition is that of the heat computations; of all others it is rounded from ordinary food tables. */
const DOCUMENTED: ReadonlySet<string> = new Set([
  'milk',
  'cream-36',
  'egg',
  'yolk',
  'white',
  'sugar',
  'butter',
  'corn-starch',
  'dark-chocolate',
  'lemon-juice',
  'berry-puree',
])

/**
 * How sure the composition of a food is. Low widens what is forecast of whatever holds it, and changes nothing else: no
 * check, no date and no label rests on it.
 */
export function confidenceOf({ key }: Pick<Ingredient, 'key'>): 'medium' | 'low' {
  return DOCUMENTED.has(key) ? 'medium' : 'low'
}
