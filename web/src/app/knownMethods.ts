import { withOurs } from '@logged-thermal/core'
import type { LineData } from './lineData'

type Known = Pick<LineData, 'methods' | 'ingredients'>
let last: (Known & { known: LineData['methods'] }) | null = null

/**
 * The kitchen with its own ingredients in every method as they are known now, and not as it was saved: the very same
 * methods until one of them or an ingredient changes.
 */
export function withKnownMethods(line: LineData): LineData {
  const { methods, ingredients } = line
  if (ingredients.length === 0) return line
  if (last?.methods !== methods || last.ingredients !== ingredients) {
    const known = methods.map((state) => ({
      ...state,
      versions: state.versions.map((method) => withOurs(method, ingredients)),
    }))
    last = { methods, ingredients, known }
  }
  return { ...line, methods: last.known }
}
