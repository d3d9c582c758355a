import { catalogue } from './catalogue'
import type { Ingredient } from './ingredient'
import { namesOf } from './names'

const FOODS = Object.values(catalogue)

/**
 * Ingredients that a text may mean, the nearest first: one of its names is the text, begins with it, has a word that does,
 * or has all its words in any order. Among equals the own name goes before another one, the shorter before the longer.
 * @param ours the kitchen's own beside the catalogue
 */

export function findIngredients(text: string, ours: readonly Ingredient[] = []): Ingredient[] {
  const wanted = folded(text)
  if (wanted === '') return [...ours, ...FOODS]
  const words = wanted.split(' ')
  const nearness = (name: string): number => {
    if (name === wanted) return 0
    if (name.startsWith(wanted)) return 1
    if (name.includes(` ${wanted}`)) return 2
    return words.every((word) => ` ${name}`.includes(` ${word}`)) ? 3 : Infinity
  }
  const found = [...ours, ...FOODS]
    .map((food) => {
      const names = namesOf(food).map(folded)
      const rank = Math.min(...names.map((name, i) => nearness(name) * 2 + (i === 0 ? 0 : 1)))
      return { food, rank }
    })
    .filter(({ rank }) => rank < Infinity)
  found.sort((a, b) => a.rank - b.rank || a.food.name.length - b.food.name.length)
  return found.map(({ food }) => food)
}

/** Whether a text is one of the names of an ingredient, letter for letter but for case and accents. */
export function isNamed(ingredient: Ingredient, text: string): boolean {
  return namesOf(ingredient).some((each) => folded(each) === folded(text))
}

/** As it is compared: small letters without accents. */
function folded(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[’']/g, "'")
    .replaceAll(/\s*%/g, ' %')
    .replaceAll(/\s+/g, ' ')
    .trim()
}
