import { findIngredients, type Ingredient } from '@logged-thermal/core'
import { SearchField } from '../kit/SearchField'

/** So many of a list at most: more is no quicker than another letter. */
export const OFFERED = 40

const NONE: readonly Ingredient[] = []

/** An ingredient, found by any of its names, the nearest first; one of the house's own that was chosen stays on the list. */
export function IngredientField({
  label,
  placeholder,
  beside = NONE,
  chosen,
  onChoose,
}: {
  label: string
  placeholder?: string
  /** The kitchen's own, beside the catalogue. */
  beside?: readonly Ingredient[]
  chosen: Ingredient | null
  onChoose: (ingredient: Ingredient | null) => void
}) {
  const all = findIngredients('', beside)
  return (
    <SearchField
      label={label}
      {...(placeholder === undefined ? {} : { placeholder })}
      options={chosen && !all.some(({ key }) => key === chosen.key) ? [chosen, ...all] : all}
      value={chosen}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ key }) => key}
      isOptionEqualToValue={(a, b) => a.key === b.key}
      filterOptions={(_, { inputValue }) => findIngredients(inputValue, beside).slice(0, OFFERED)}
      onChange={(_, next) => onChoose(next)}
    />
  )
}
