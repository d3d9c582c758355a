import { limitsFrom } from '../../test/story'
import { checksFor } from '../checks/checksFor'
import { eggPlan } from '../egg/eggPlan'
import { readRecipe } from '../pasted/readRecipe'
import { families } from './families'
import { FLOWS } from './flows'
import { FAMILY_KEYS, type Amount, type FamilyKey, type Method } from './method'
import { newMethod } from './newMethod'

const limits = limitsFrom('us-food-code-2022')
const DAY = '2027-03-03'
const amount = (ingredient: string, step: string, state: Amount['state'] = 'as it is'): Amount => ({
  key: ingredient,
  ingredient,
  grams: 300,
  count: null,
  step,
  state,
})
const made = (family: FamilyKey, amounts: Amount[] = [], more: Partial<Method> = {}): Method => ({
  ...newMethod({ id: 'm', vesselId: 'v', name: 'm', family }),
  amounts,
  ...more,
})
const checks = (method: Method) =>
  checksFor(method, limits, DAY, eggPlan(method, 1, limits, false, DAY)).map(({ limit }) => limit.key)

it('brings every step along that its family cannot be without', () => {
  for (const family of FAMILY_KEYS) expect(FLOWS[family]).toEqual(expect.arrayContaining(families[family].needs))
})

it.each<[FamilyKey, Amount[], asked: string[], not: string[]]>([
  ['sponge', [amount('egg', 'whip')], ['egg', 'bake-core', 'house-days'], ['cool-first', 'cold-holding']],
  ['dry-baked', [amount('white', 'whip')], ['egg', 'bake-core', 'house-days'], ['cool-first', 'cold-holding']],
  ['cooked-fruit', [amount('plum', 'cook')], ['cool-first', 'cool-total', 'date-marking'], ['egg']],
  ['syrup-sauce', [amount('sugar', 'combine')], ['cool-first', 'house-days'], ['egg']],
  // Whatever it is called, egg in it asks for its floor.
  ['syrup-sauce', [amount('yolk', 'combine')], ['egg', 'cool-first'], []],
  ['glaze', [amount('cream-36', 'heat-dairy')], ['cool-first', 'house-days'], ['egg']],
  ['foam-topping', [amount('white', 'whip', 'pasteurized lot')], ['pasteurized-egg', 'cool-ambient'], ['egg']],
  ['filled-pastry', [amount('puff-pastry', 'assemble')], ['cool-ambient', 'cold-holding', 'date-marking'], ['egg']],
  ['bought-opened', [amount('bought-custard', 'mise')], ['cold-holding', 'date-marking'], ['egg']],
])('a %s is held to what is in it', (family, amounts, asked, not) => {
  const found = checks(made(family, amounts))
  expect(found).toEqual(expect.arrayContaining(asked))
  for (const key of not) expect(found).not.toContain(key)
})

it('boils frozen fruit that nobody treated, stewed too', () => {
  const method = made('cooked-fruit', [amount('raspberry-puree', 'cook', 'frozen')], { untreatedFruit: true })
  expect(checks(method)).toContain('fruit-boil')
})

it.each<[FamilyKey, string]>([
  [
    'sponge',
    'Hazel sponge\n\n4 eggs\n120 g sugar\n120 g flour\n\nWhip the eggs and sugar. Fold in the flour. Bake at 180 °C.',
  ],
  [
    'dry-baked',
    'Meringues\n\n4 egg whites\n220 g sugar\n\nWhip the whites with the sugar. Bake at 100 °C for 2 hours.',
  ],
  ['cooked-fruit', 'Stewed plums\n\n1 kg plums\n100 g sugar\n\nCook the plums with the sugar until soft. Chill.'],
  ['syrup-sauce', 'Cider syrup\n\n500 ml cider\n300 g sugar\n\nBoil the cider and sugar down by a third.'],
  ['glaze', 'Dark glaze\n\n200 g cream\n100 g dark chocolate\n\nHeat the cream, stir in the chocolate.'],
])('a pasted recipe is proposed as %s', (family, text) => {
  expect(readRecipe(text, 'metric').family).toBe(family)
})
