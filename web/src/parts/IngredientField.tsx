import { catalogue, findIngredients, type Ingredient } from '@logged-thermal/core'
import { SearchField } from '../kit/SearchField'

/** So many of a list at most: more is no quicker than another letter. */
export const OFFERED = 40

/** An ingredient, found by any of its names, the nearest first; one of the house's own that was chosen stays on the list. */
export function IngredientField({
  label,
  placeholder,
  chosen,
  onChoose,
}: {
  label: string
  placeholder?: string
  chosen: Ingredient | null
  onChoose: (ingredient: Ingredient | null) => void
}) {
  const all = findIngredients('')
  return (
    <SearchField
      label={label}
      {...(placeholder === undefined ? {} : { placeholder })}
      options={chosen && !(chosen.key in catalogue) ? [chosen, ...all] : all}
      value={chosen}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ key }) => key}
      isOptionEqualToValue={(a, b) => a.key === b.key}
      filterOptions={(_, { inputValue }) => findIngredients(inputValue).slice(0, OFFERED)}
      onChange={(_, next) => onChoose(next)}
    />
  )
}
