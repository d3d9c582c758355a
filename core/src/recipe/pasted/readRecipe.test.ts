import { readRecipe } from './readRecipe'
import { TUNED } from './samples/tuned'
import { UNSEEN } from './samples/unseen'
import type { Sample } from './samples/sample'

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
