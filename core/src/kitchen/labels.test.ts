import { labellingOf } from '../recipe/ingredient/labelling'
import { ruleSets } from '../rules/sets/ruleSets'
import { allergenNotice } from '../judgement/lineage/notice'
import { itemCard } from '../judgement/lineage/card'
import { itemWalls } from '../judgement/dates/walls'
import { custard, idOf, KitchenStory } from '../test/kitchenStory'
import { item } from '../test/pot'

/** What a label for sale and the notice to hang up say of what is in something. Minutes are after ten. */

const nut = {
  ...custard,
  id: idOf('nut custard'),
  name: 'Nut custard',
  amounts: [...custard.amounts, { ...custard.amounts[1]!, key: 'nut', ingredient: 'hazelnut', grams: 100 }],
}

function kitchen() {
  const story = new KitchenStory({}, [custard, nut])
  story.air(0, 3)
  return story
}

const names = (story: KitchenStory, id: string) => item(story, id).facts.ingredients?.map(({ name }) => name)

it('names every ingredient, the most of it first, whatever went in besides, and what a part is made of in it', () => {
  const story = kitchen()
  const batch = story.made('cream')
  const put = { step: 'cook', grams: 900, state: 'as it is' as const, lot: null }
  story.enter('added', batch, 241, { ...put, ingredient: 'cream-36' })
  const base = story.putAway(batch, 250)
  expect(names(story, base)).toEqual(['Whole milk', 'Whipping cream 36 %', 'Yolk'])
  const into = story.begin('second', 260, nut)
  story.enter('part-used', base, 270, story.part(base, into, 270, 'cook'))
  const second = story.putAway(into, 280, {}, nut)
  const listed = item(story, second).facts.ingredients!
  // A hundred grams each of paste and of the part.
  expect(listed.map(({ name }) => name)).toEqual(['Whole milk', 'Yolk', 'Hazelnut paste', custard.name])
  expect(listed.at(-1)!.of?.map(({ name }) => name)).toEqual(names(story, base))
  expect(listed.find(({ name }) => name === 'Yolk')).toMatchObject({ allergens: ['egg'], grams: 340 })
})

it('puts what was put on it where its weight says, and at the end where nobody knows that', () => {
  const story = kitchen()
  const base = story.putAway(story.made('cream'), 250)
  const on = { ingredient: 'hazelnuts' }
  const { into } = story.finish(base, on, 300, { on: 500, grams: 200, condition: { good: true, why: null } })
  expect(names(story, into)).toEqual(['Whole milk', 'Hazelnuts', 'Yolk'])
  const other = kitchen()
  const cups = other.putAway(other.made('cups'), 250, { measure: { value: 10, unit: 'portion' } })
  const finished = other.finish(cups, on, 300, { grams: 2000, condition: { good: true, why: null } })
  expect(names(other, finished.into)).toEqual(['Whole milk', 'Yolk', 'Hazelnuts'])
})

it('hangs up one row a dish: what any of it holds, of the allergens that are to be told of', () => {
  const story = kitchen()
  const [plain, nutty] = [
    story.putAway(story.made('cream'), 250),
    story.putAway(story.begin('n', 255, nut), 258, {}, nut),
  ]
  const batch = story.made('cream two')
  story.enter('added', batch, 259, { step: 'cook', ingredient: 'soy-drink', grams: 9, state: 'as it is', lot: null })
  const soy = story.putAway(batch, 260)
  const cards = [plain, nutty, soy].map((id) => itemCard(item(story, id), itemWalls(item(story, id), 'UTC')))
  const rows = allergenNotice(cards, ['milk', 'egg', 'soy'])
  expect(rows).toEqual([
    { name: 'Nut custard', contains: ['egg', 'milk'], mayContain: [], unknown: [] },
    { name: custard.name, contains: ['egg', 'milk', 'soy'], mayContain: [], unknown: [] },
  ])
  const [card] = cards
  const traces = { ...card!, mayContain: { allergens: ['soy' as const, 'sesame' as const], unknown: ['Moon sauce 3'] } }
  expect(allergenNotice([traces], ['milk', 'egg', 'soy'])).toEqual([
    { name: custard.name, contains: ['egg', 'milk'], mayContain: ['soy'], unknown: ['Moon sauce 3'] },
  ])
  expect(allergenNotice([{ ...card!, gone: true }], ['milk'])).toEqual([])
})

it('has for every rule set what it asks of a label, with the place where it stands', () => {
  for (const key of Object.keys(ruleSets)) expect(labellingOf(key).packed.source.document).not.toBe('')
  expect(labellingOf('uk-2013').packed.says).toBe('every ingredient')
  expect(labellingOf('us-food-code-2022').unpacked!.allergens).not.toContain('sulphites')
})
