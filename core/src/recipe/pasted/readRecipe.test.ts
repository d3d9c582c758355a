import fc from 'fast-check'
import { families } from '../method/families'
import { parseMethod } from '../method/parseMethod'
import type { MeasureSystem } from '../../rules/practice'
import { materialsIn } from './material'
import { methodOf } from './methodOf'
import { readRecipe } from './readRecipe'
import { TUNED } from '../../test/recipes/tuned'
import { UNSEEN } from '../../test/recipes/unseen'
import type { Sample } from '../../test/recipes/sample'

const ID = '019aa000-0000-7000-8000-000000000001'

/** Within this an amount is read right: spoons and eggs are no better measures. */
const NEAR = 0.06

/** Of what a recipe says, how much was read right: each ingredient with its amount, in whichever order. */
function readOf({ text, measures, materials }: Sample): { right: number; all: number; wrong: string[] } {
  const read = readRecipe(text, measures).materials.map(({ ingredient, grams }) => ({ ingredient, grams }))
  const left = [...read]
  const wrong: string[] = []
  for (const [key, grams] of materials) {
    const i = left.findIndex(
      (each) =>
        each.ingredient === key &&
        (grams === null ? each.grams === null : each.grams !== null && Math.abs(each.grams / grams - 1) <= NEAR),
    )
    if (i < 0) wrong.push(`${key} ${grams}`)
    else left.splice(i, 1)
  }
  // What was read and is not there counts against it too.
  wrong.push(...left.map(({ ingredient, grams }) => `not there: ${ingredient} ${grams}`))
  return {
    right: materials.length - wrong.filter((each) => !each.startsWith('not')).length,
    all: materials.length,
    wrong,
  }
}

const shareOf = (samples: readonly Sample[]) => {
  const read = samples.map((sample) => ({ name: sample.name, ...readOf(sample) }))
  const sum = (pick: (each: (typeof read)[number]) => number) => read.reduce((total, each) => total + pick(each), 0)
  const wrong = read.flatMap(({ name, wrong: each }) => each.map((what) => `${name}: ${what}`))
  const extra = wrong.filter((each) => each.includes('not there')).length
  return { share: (sum(({ right }) => right) - extra) / sum(({ all }) => all), wrong }
}

it('reads the recipes that it was written by', () => {
  const { share, wrong } = shareOf(TUNED)
  expect(`${share > 0.97} ${share > 0.97 ? '' : wrong.join('\n')}`.trim()).toBe('true')
})

it('reads nine in ten of the ingredients and amounts of recipes that it was not written by', () => {
  const { share, wrong } = shareOf(UNSEEN)
  expect(`${share >= 0.9} ${share >= 0.9 ? '' : wrong.join('\n')}`.trim()).toBe('true')
})

it.each([...TUNED, ...UNSEEN].map((sample) => [sample.name, sample] as const))(
  'proposes what %s is called here',
  (_, sample) => {
    const { family, title, steps } = readRecipe(sample.text, sample.measures)
    expect(sample.families).toContain(family)
    expect(title.length).toBeGreaterThan(3)
    expect(Math.abs(steps.length - sample.steps)).toBeLessThanOrEqual(1)
  },
)

describe('a line of a pasted recipe', () => {
  const only = (line: string, measures: MeasureSystem = 'US') => {
    const [found, ...others] = materialsIn(line, measures)
    expect(others).toEqual([])
    return found
  }

  it('keeps the words of its amount, wherever they stand', () => {
    expect(only('200 g butter, cold')).toMatchObject({ ingredient: 'butter', grams: 200, said: '200 g' })
    expect(only('Butter: 200 g')).toMatchObject({ ingredient: 'butter', grams: 200, said: '200 g' })
    expect(only('2 cups (480 ml) heavy cream')).toMatchObject({ ingredient: 'cream-36', said: '480 ml' })
    expect(only('a pinch of salt')).toMatchObject({ ingredient: 'salt', grams: 0.37 })
  })

  it('adds two amounts of one thing, whatever they are measured in', () => {
    expect(only('1 cup plus 100 g sugar')).toMatchObject({ grams: 301.1, said: '1 cup plus 100 g' })
    expect(only('1 cup + 2 tbsp sugar')?.grams).toBeCloseTo(226.2, 0)
  })

  it('weighs what it does not know only where a weight is written', () => {
    expect(only('30 g moon dust')).toMatchObject({ ingredient: null, grams: 30, understood: 'left' })
    expect(only('2 cups moon dust')).toMatchObject({ ingredient: null, grams: null, understood: 'left' })
  })

  it('takes no amount that no method holds', () => {
    expect(only('9000 kg sugar')).toMatchObject({ ingredient: 'sugar', grams: null, understood: 'guessed' })
  })
})

describe('what a pasted recipe does not say', () => {
  const missing = (text: string) => readRecipe(text, 'metric').missing
  const CUSTARD =
    'Bay custard\n500 ml milk\n100 g sugar\n6 yolks\n\nWarm the milk.\nPour the hot milk over the yolks.\n'

  it('is named: no heat after the egg, or none with a temperature', () => {
    expect(missing(CUSTARD)).toEqual([{ code: 'egg not heated' }])
    expect(missing(`${CUSTARD}Cook until thick, stirring.`)).toMatchObject([{ code: 'no degrees' }])
    expect(missing(`${CUSTARD}Cook to 82 °C, stirring.`)).toEqual([])
  })

  it('is named: a starch without its boil, an amount, a food that nobody lists', () => {
    const text = `${CUSTARD.replace('6 yolks', '6 yolks\n40 g cornflour\nsalt\n2 tbsp moon dust')}Cook to 82 °C.`
    expect(missing(text)).toEqual([{ code: 'not on the list', name: 'moon dust' }, { code: 'starch not boiled' }])
    expect(missing(text.replace('salt', 'some salt'))).toContainEqual({ code: 'no amount', of: 'some salt' })
  })

  it('is not believed where it is for the rules to say: how long it keeps', () => {
    for (const [words, days] of [
      ['Keeps three weeks in the fridge.', 21],
      ['It will keep for up to 10 days.', 10],
      ['Keeps a month.', 30],
    ] as const)
      expect(missing(`${CUSTARD}Cook to 82 °C.\n${words}`)).toMatchObject([{ code: 'keeps', days }])
  })

  it('is everything in a text that is no recipe, and nothing makes it fail', () => {
    expect(missing('')).toEqual([{ code: 'no materials' }, { code: 'no steps' }])
    expect(() => readRecipe('x'.repeat(20_001), 'US')).toThrow(RangeError)
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.string(), fc.constantFrom('1/0 cup', '| a | b |', '2 x', '- ', '½', '1.', '(8')), {
          maxLength: 12,
        }),
        (lines) => {
          const { materials, steps } = readRecipe(lines.join('\n'), 'UK')
          for (const { grams } of materials) expect(grams === null || (Number.isFinite(grams) && grams > 0)).toBe(true)
          for (const { line } of steps) expect(line).not.toBe('')
        },
      ),
    )
  })
})

describe('a draft from a pasted recipe', () => {
  it.each([...TUNED, ...UNSEEN].map((sample) => [sample.name, sample] as const))(
    'of %s is a method that can be saved',
    (_, sample) => {
      const recipe = readRecipe(sample.text, sample.measures)
      let made = 0
      const draft = methodOf(recipe, { id: ID, vesselId: ID, key: () => `a${made++}` })
      expect(parseMethod({ path: 'method', value: JSON.parse(JSON.stringify(draft)) })).toEqual(draft)
      const { needs } = families[draft.family]
      expect(draft.steps.map(({ kind }) => kind)).toEqual(expect.arrayContaining(needs))
      const listed = recipe.materials.filter(({ ingredient }) => ingredient !== null)
      expect(draft.amounts.map(({ ingredient, grams }) => [ingredient, grams])).toEqual(
        listed.map(({ ingredient, grams }) => [ingredient, grams]),
      )
    },
  )

  it('puts what goes in at the stage that names it, with the words of the line and its temperature', () => {
    const recipe = readRecipe(TUNED[0]!.text, 'metric')
    let made = 0
    const { steps, amounts, instructions } = methodOf(recipe, { id: ID, vesselId: ID, key: () => `a${made++}` })
    expect(steps.map(({ kind }) => kind)).toEqual([
      'heat dairy',
      'infuse',
      'eggs',
      'temper',
      'cook',
      'strain',
      'cool',
      'hold',
    ])
    const stepOf = Object.fromEntries(amounts.map(({ ingredient, step }) => [ingredient, step]))
    expect(stepOf).toMatchObject({ yolk: 'eggs', sugar: 'eggs' })
    expect(instructions.cook).toMatchObject({
      text: expect.stringContaining('low heat') as string,
      target: { from: { c: 82, f: 180 } },
    })
  })
})

it.each([
  ['Quince curd, the slow way', 'Quince curd, the slow way'],
  ['Quince curd, serves 8', 'Quince curd'],
  ['Quince curd, 12 glasses', 'Quince curd'],
  ['Quince curd (from the old book). Makes two jars', 'Quince curd'],
])('calls "%s" by its name alone', (first, name) => {
  expect(readRecipe(`${first}\n\n400 g sugar\n4 eggs\n\n1. Cook to 80 °C.`, 'metric').title).toBe(name)
})
