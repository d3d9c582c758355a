import { useMemo } from 'react'
import { oursOf, type Ingredient } from '@logged-thermal/core'
import { useLine } from '../app/kitchen'

/** The kitchen's own ingredients, to choose from beside the catalogue. */
export function useOurs(): Ingredient[] {
  const kept = useLine()?.ingredients
  return useMemo(() => oursOf(kept ?? []), [kept])
}
