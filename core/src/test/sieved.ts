import type { Id } from '../ledger/subject'
import { NO_TRACES } from '../judgement/lineage/carryOver'
import type { Method } from '../recipe/method/method'
import { CHEF, COOK, custard, idOf, KitchenStory } from './kitchenStory'
import { item } from './pot'

/** Custards through a sieve or a churn, one after the other. Minutes are after ten. */

export const SIEVE = idOf('sieve')
export const CHURN = idOf('churn')

/** A custard through the sieve, with something more in it. */
export function strained(name: string, ...more: string[]): Method {
  const cook = custard.steps.findIndex(({ kind }) => kind === 'cook')
  const [milk] = custard.amounts.filter(({ ingredient }) => ingredient === 'milk')
  return {
    ...custard,
    id: idOf(name),
    name,
    steps: custard.steps.toSpliced(cook + 1, 0, { key: 'strain', kind: 'strain', measures: 'mixture' }),
    amounts: [...custard.amounts, ...more.map((ingredient) => ({ ...milk!, key: ingredient, ingredient, grams: 100 }))],
  }
}

export const [nut, plain, sesame] = [strained('Nut', 'hazelnut'), strained('Plain'), strained('Sesame', 'tahini')]

export function kitchen(...tools: [Id, 'sieve' | 'churn', string][]) {
  return kitchenOf([nut, plain, sesame], ...tools)
}

export function kitchenOf(methods: Method[], ...tools: [Id, 'sieve' | 'churn', string][]) {
  const story = new KitchenStory({}, methods)
  story.air(0, 3)
  for (const [tool, kind, name] of tools)
    story.enter('tool-registered', story.kitchen.id, -10, { tool, kind, name, gone: false }, { by: CHEF })
  return story
}

export const withSieve = () => kitchen([SIEVE, 'sieve', 'Fine sieve'])

export function made(story: KitchenStory, of: Method, name: string, start: number): Id {
  const batch = story.begin(name, start, of)
  story.mark(batch, start + 5, 'temper', 'combined')
  story.read(batch, start + 10, 80)
  story.mark(batch, start + 12, 'cook', 'done')
  return batch
}

/** As a tablet that knows nothing of what was in it: core finds it. */
export const through = (tool: Id | null, washed = false) => ({
  step: 'strain',
  tool,
  washed,
  name: '',
  called: '',
  left: NO_TRACES,
  after: null,
  holds: NO_TRACES,
})

export const strain = (
  story: KitchenStory,
  batch: Id,
  minutes: number,
  tool: Id | null = SIEVE,
  washed = false,
  after = 0,
) => story.enter('tool-used', batch, minutes, through(tool, washed), { by: COOK, after })

export const held = (story: KitchenStory, batch: Id, minutes: number, of: Method) =>
  item(story, story.putAway(batch, minutes, {}, of)).facts
