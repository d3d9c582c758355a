import type { Composition } from '../../physics/material/properties'

/** What parts are together, by mass; null of nothing. */
export function mixed(parts: readonly { grams: number; composition: Composition }[]): Composition | null {
  const grams = parts.reduce((sum, part) => sum + part.grams, 0)
  if (grams <= 0) return null
  const share = (key: keyof Composition) =>
    parts.reduce((sum, part) => sum + part.grams * (part.composition[key] ?? 0), 0) / grams
  return {
    water: share('water'),
    protein: share('protein'),
    fat: share('fat'),
    carbohydrate: share('carbohydrate'),
    fibre: share('fibre'),
    ash: share('ash'),
  }
}
