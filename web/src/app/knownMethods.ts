import { withOurs } from '@logged-thermal/core'
import type { LineData } from './lineData'

/** The kitchen with its own ingredients in every method as they are known now, and not as it was saved. */
export function withKnownMethods(line: LineData): LineData {
  if (line.ingredients.length === 0) return line
  const methods = line.methods.map((state) => ({
    ...state,
    versions: state.versions.map((method) => withOurs(method, line.ingredients)),
  }))
  return { ...line, methods }
}
