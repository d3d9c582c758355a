import { readRecipe } from './readRecipe'
import { recipesInTable } from './table'

const rows = (text: string) => text.split('\n').map((line) => line.split(';'))

it('takes a table of many methods apart, and each is read as one from paper', () => {
  const read = recipesInTable(
    rows(`Recipe;Quantity;Unit;Ingredient;Step
Bay custard;500;ml;whole milk;Heat the milk to 80 °C.
;6;;egg yolks;Whisk the yolks, pour the milk over.
;100;g;sugar;Whisk the yolks, pour the milk over.
;;;;Cook, stirring, to 82 °C.
Cider syrup;500;ml;cider;Boil down by a third.
;300;g;sugar;`),
  )
  if (read.kind !== 'recipes') throw new Error('no recipes')
  expect(read.recipes.map(({ title }) => title)).toEqual(['Bay custard', 'Cider syrup'])
  const [custard, syrup] = read.recipes.map(({ text }) => readRecipe(text, 'metric'))
  expect(custard).toMatchObject({ title: 'Bay custard', family: 'poured-custard' })
  expect(custard!.materials.map(({ ingredient, grams }) => [ingredient, grams])).toEqual([
    ['milk', 515],
    ['yolk', 102],
    ['sugar', 100],
  ])
  // A step that stands beside two ingredients is one.
  expect(custard!.steps).toHaveLength(3)
  expect(syrup).toMatchObject({ title: 'Cider syrup', family: 'syrup-sauce' })
})

it('reads a column of grams as grams, and says which column is missing', () => {
  const read = recipesInTable(rows('method;ingredient;grams\nRoast plums;plums;900'))
  expect(read).toMatchObject({ recipes: [{ text: 'Roast plums\n\nIngredients\n900 g plums' }] })
  expect(recipesInTable(rows('a;b\n1;2'))).toEqual({ kind: 'no column', column: 'method' })
  expect(recipesInTable(rows('Name;b\n1;2'))).toEqual({ kind: 'no column', column: 'ingredient' })
  expect(recipesInTable([])).toEqual({ kind: 'no column', column: 'method' })
})
