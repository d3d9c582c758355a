import { families, ingredientOf, namesOf, type Method, type MethodFacts } from '@logged-thermal/core'

/** Whether a method is meant by a text: its name, family, ingredients with their synonyms, components, allergens. */
export function methodMatches(method: Method, wanted: string, { allergens }: MethodFacts): boolean {
  const words = wanted.trim().toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return true
  const ingredients = method.amounts.flatMap((amount) => {
    const found = ingredientOf(amount, method)
    return found ? namesOf(found) : [amount.ingredient]
  })
  const components = method.components.map(({ name }) => name)
  const said = [method.name, families[method.family].name, ...ingredients, ...components, ...allergens]
    .join(' ')
    .toLowerCase()
  return words.every((word) => said.includes(word))
}
