import type { Id } from '../ledger/subject'
import { NO_TRACES } from '../judgement/lineage/carryOver'
import { portionOf } from '../judgement/lineage/portion'
import type { Method } from '../recipe/method/method'
import { guideOf } from '../advice/guide/guide'
import { CHEF, COOK, custard, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { item } from '../test/pot'
import { at } from '../test/traces'
import { unanswered } from '../state/batch'
import { isLabelOutdated } from '../state/item'
import { inheritedOf } from '../state/newItem'

/** What a sieve or a churn leaves of one batch in the next. Minutes are after ten. */

const SIEVE = idOf('sieve')
const CHURN = idOf('churn')

/** A custard through the sieve, with something more in it. */
function strained(name: string, ...more: string[]): Method {
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

const [nut, plain, sesame] = [strained('Nut', 'hazelnut'), strained('Plain'), strained('Sesame', 'tahini')]

function kitchen(...tools: [Id, 'sieve' | 'churn', string][]) {
  const story = new KitchenStory({}, [nut, plain, sesame])
  story.air(0, 3)
  for (const [tool, kind, name] of tools)
    story.enter('tool-registered', story.kitchen.id, -10, { tool, kind, name, gone: false }, { by: CHEF })
  return story
}

const withSieve = () => kitchen([SIEVE, 'sieve', 'Fine sieve'])

function made(story: KitchenStory, of: Method, name: string, start: number): Id {
  const batch = story.begin(name, start, of)
  story.mark(batch, start + 5, 'temper', 'combined')
  story.read(batch, start + 10, 80)
  story.mark(batch, start + 12, 'cook', 'done')
  return batch
}

/** As a tablet that knows nothing of what was in it: core finds it. */
const through = (tool: Id | null, washed = false) => ({
  step: 'strain',
  tool,
  washed,
  name: '',
  called: '',
  left: NO_TRACES,
  after: null,
  holds: NO_TRACES,
})

const strain = (story: KitchenStory, batch: Id, minutes: number, tool: Id | null = SIEVE, washed = false, after = 0) =>
  story.enter('tool-used', batch, minutes, through(tool, washed), { by: COOK, after })

const held = (story: KitchenStory, batch: Id, minutes: number, of: Method) =>
  item(story, story.putAway(batch, minutes, {}, of)).facts

it('says on the next batch what the sieve had in it, and not what is in that one anyway', () => {
  const story = withSieve()
  const first = made(story, nut, 'nutty', 0)
  strain(story, first, 15)
  const second = made(story, plain, 'plain', 30)
  strain(story, second, 45)
  expect(story.kitchen.read('batch', second)!.facts['tool-used'][0]!.value).toMatchObject({
    after: 'Nut nutty',
    left: { allergens: ['egg', 'milk', 'tree nuts'] },
  })
  const facts = held(story, second, 60, plain)
  expect(facts).toMatchObject({ allergens: ['egg', 'milk'], mayContain: { allergens: ['tree nuts'], unknown: [] } })
  expect(facts.claims).not.toContain('without nuts')
  expect(held(story, first, 61, nut).mayContain).toBeUndefined()
})

it('says nothing once it was washed, whoever went through it before', () => {
  const story = withSieve()
  strain(story, made(story, nut, 'nutty', 0), 15)
  const second = made(story, plain, 'plain', 30)
  strain(story, second, 45, SIEVE, true)
  const third = made(story, plain, 'third', 60)
  strain(story, third, 75)
  for (const batch of [second, third]) expect(held(story, batch, 90, plain).mayContain).toBeUndefined()
})

it('passes on what was never washed out, from batch to batch, also through another tool', () => {
  const story = kitchen([SIEVE, 'sieve', 'Fine sieve'], [CHURN, 'churn', 'Churn'])
  strain(story, made(story, nut, 'nutty', 0), 15)
  const second = made(story, plain, 'plain', 30)
  strain(story, second, 45)
  strain(story, second, 46, CHURN)
  const third = made(story, sesame, 'seedy', 60)
  strain(story, third, 75, CHURN)
  expect(held(story, third, 90, sesame).mayContain).toEqual({ allergens: ['tree nuts'], unknown: [] })
})

describe('what is told only after the next batch was put away reaches its labels, and the lead', () => {
  const nuts = { step: 'strain', ingredient: 'hazelnut', grams: 20, state: 'as it is' as const, lot: null }
  const asked = (story: KitchenStory, batch: Id) => unanswered(story.kitchen.read('batch', batch)!).length
  const sieved = () => {
    const story = withSieve()
    const first = made(story, plain, 'first', 0)
    strain(story, first, 15)
    const second = made(story, plain, 'second', 20)
    strain(story, second, 35)
    const put = story.putAway(second, 40, {}, plain)
    return { story, first, second, put }
  }

  it('an ingredient of the batch before, on what was put away and on all that was made of it', () => {
    const { story, first, second, put } = sieved()
    story.read(second, 50, 57)
    story.read(second, 110, 20)
    story.read(second, 250, 4.5)
    const split = idOf('some of it')
    const measure = { value: 500, unit: 'g' as const }
    const as = inheritedOf(story.kitchen.read('item', put)!, 0.25)
    story.enter('item-split', put, 260, { into: split, code: 'S-1', measure, as })
    expect(item(story, split).facts.claims).toContain('without nuts')
    expect(asked(story, second)).toBe(0)
    story.enter('added', first, 14, nuts, { after: 250 })
    for (const each of [put, split]) {
      const { claims, mayContain, allergens } = item(story, each).facts
      expect(mayContain).toEqual({ allergens: ['tree nuts'], unknown: [] })
      expect(claims).not.toContain('without nuts')
      expect(allergens).toEqual(['egg', 'milk'])
    }
    expect(asked(story, second)).toBe(1)
    expect(story.kitchen.item(put, at(256))).toMatchObject({ asks: 'lead decides', usable: false })
    // Told once more it changes nothing.
    story.enter('added', first, 14, nuts, { after: 255 })
    expect(asked(story, second)).toBe(1)
  })

  it('and its labels are printed again, and the lead answers for what went out', () => {
    const { story, first, second } = sieved()
    for (const [minutes, celsius] of [
      [50, 57],
      [110, 20],
      [250, 4.5],
    ] as const)
      story.read(second, minutes, celsius)
    const put = story.putAway(second, 251, {}, plain)
    const outdated = () => isLabelOutdated(story.kitchen.read('item', put)!)
    story.enter('label-printed', put, 251, { copies: 4 })
    expect(outdated()).toBe(false)
    story.enter('added', first, 14, nuts, { after: 250 })
    expect(outdated()).toBe(true)
    story.enter('label-printed', put, 266, { copies: 4 })
    expect(outdated()).toBe(false)
    expect(story.kitchen.item(put, at(266)).asks).toBe('lead decides')
    const reason = 'all four are here, and have their new labels'
    story.enter('item-released', put, 267, { reason }, { by: LEAD })
    expect(story.kitchen.item(put, at(268))).toMatchObject({ asks: 'keep', usable: true })
    // The next thing that is told so asks again.
    story.enter('added', first, 13, { ...nuts, ingredient: 'tahini' }, { after: 260 })
    expect([outdated(), story.kitchen.item(put, at(274)).asks]).toEqual([true, 'lead decides'])
  })

  it('on what was put away of its own batch it is in it, and its list of ingredients is whole no longer', () => {
    const { story, second, put } = sieved()
    expect(item(story, put).facts.ingredients).toBeDefined()
    story.enter('added', second, 34, nuts, { after: 20 })
    expect(item(story, put).facts).toMatchObject({ allergens: ['egg', 'milk', 'tree nuts'] })
    expect(item(story, put).facts.claims).not.toContain('without nuts')
    expect(item(story, put).facts.ingredients).toBeUndefined()
    expect(item(story, put).facts.mayContain).toBeUndefined()
    expect(asked(story, second)).toBeGreaterThan(0)
  })

  it('what went into it after the tool, or into the next batch after it was put away, does not', () => {
    const { story, first, second, put } = sieved()
    story.enter('added', first, 16, nuts, { after: 40 })
    story.enter('added', second, 56, nuts)
    expect(item(story, put).facts.mayContain).toBeUndefined()
    expect(item(story, put).facts.allergens).toEqual(['egg', 'milk'])
    expect(asked(story, second)).toBe(0)
  })

  it('a batch before that went through the tool, told only after', () => {
    const { story, second, put } = sieved()
    strain(story, made(story, nut, 'nutty', 16), 30, SIEVE, false, 20)
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['tree nuts'])
    expect(asked(story, second)).toBe(1)
  })

  it('also through a second tool and a batch between', () => {
    const story = kitchen([SIEVE, 'sieve', 'Fine sieve'], [CHURN, 'churn', 'Churn'])
    const first = made(story, plain, 'first', 0)
    strain(story, first, 15)
    const between = made(story, plain, 'between', 16)
    strain(story, between, 30)
    strain(story, between, 31, CHURN)
    const third = made(story, plain, 'third', 32)
    strain(story, third, 46, CHURN)
    strain(story, third, 47, null)
    const put = story.putAway(third, 50, {}, plain)
    story.enter('added', first, 14, nuts, { after: 40 })
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['tree nuts'])
    // Told before it is put away, it is on its first label.
    const fourth = made(story, plain, 'fourth', 60)
    strain(story, fourth, 75, CHURN)
    expect(held(story, fourth, 80, plain).mayContain?.allergens).toEqual(['tree nuts'])
  })

  it('that it was washed, taken back', () => {
    const story = withSieve()
    strain(story, made(story, nut, 'nutty', 0), 15)
    const second = made(story, plain, 'second', 20)
    const wash = strain(story, second, 35, SIEVE, true)
    const put = story.putAway(second, 40, {}, plain)
    expect(item(story, put).facts.mayContain).toBeUndefined()
    story.correct(second, 42, wash)
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['tree nuts'])
    expect(asked(story, second)).toBe(1)
  })

  it('that it was washed, taken back so late that it waits for the lead', () => {
    const story = withSieve()
    strain(story, made(story, nut, 'nutty', 0), 15)
    const second = made(story, plain, 'second', 20)
    const wash = strain(story, second, 35, SIEVE, true)
    const put = story.putAway(second, 40, {}, plain)
    story.correct(second, 142, wash)
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['tree nuts'])
  })
})

describe('a step whose tool nobody told, once its batch was put away', () => {
  const untold = (story: KitchenStory, start: number) => {
    const batch = made(story, nut, 'nutty', start)
    story.mark(batch, start + 15, 'strain', 'done')
    return batch
  }

  it('leaves what was in it in every tool of the kind', () => {
    const story = kitchen([SIEVE, 'sieve', 'Fine sieve'], [idOf('other'), 'sieve', 'Coarse'], [CHURN, 'churn', 'Churn'])
    story.putAway(untold(story, 0), 20, {}, nut)
    for (const [i, tool] of [SIEVE, idOf('other')].entries()) {
      const next = made(story, plain, `next ${i}`, 30 + i)
      strain(story, next, 45 + i, tool)
      expect(held(story, next, 50 + i, plain).mayContain?.allergens).toEqual(['tree nuts'])
    }
    const churned = made(story, plain, 'churned', 60)
    strain(story, churned, 75, CHURN)
    expect(held(story, churned, 80, plain).mayContain).toBeUndefined()
  })

  it('also for what went through since and was put away before', () => {
    const story = withSieve()
    const batch = untold(story, 0)
    const next = made(story, plain, 'next', 20)
    strain(story, next, 35)
    const put = story.putAway(next, 40, {}, plain)
    expect(item(story, put).facts.mayContain).toBeUndefined()
    story.putAway(batch, 50, {}, nut)
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['tree nuts'])
    expect(unanswered(story.kitchen.read('batch', next)!)).toHaveLength(1)
  })

  it('until somebody tells which one it was, or none of them', () => {
    const story = withSieve()
    const batch = untold(story, 0)
    story.putAway(batch, 20, {}, nut)
    strain(story, batch, 21, null)
    const next = made(story, plain, 'next', 30)
    strain(story, next, 45)
    expect(held(story, next, 50, plain).mayContain).toBeUndefined()
  })

  it('and whatever its tablet says of that', () => {
    const story = withSieve()
    const batch = made(story, plain, 'plain', 0)
    strain(story, batch, 15)
    const state = story.kitchen.read('batch', batch)!
    const said = {
      code: 'X-1',
      as: 'portion',
      measure: { value: 1, unit: 'portion' },
      last: false,
      unit: null,
      shelf: null,
    } as const
    const body = portionOf(state, plain, said, story.kitchen.limitsAt(at(20)), 'UTC', at(20))
    const holds = { allergens: ['sesame' as const], unknown: [] }
    const forged = [{ step: 'strain', kind: 'sieve' as const, at: at(1), called: 'X', holds }]
    story.enter('portioned', idOf('forged'), 20, { ...body, untold: forged })
    const next = made(story, plain, 'next', 30)
    strain(story, next, 45)
    expect(held(story, next, 50, plain).mayContain).toBeUndefined()
  })
})

describe('doubt counts against the batch', () => {
  it('of a step whose tool nobody told, each of its kind counts, unwashed; said to be none of them, none does', () => {
    const story = withSieve()
    strain(story, made(story, nut, 'nutty', 0), 15)
    const untold = made(story, plain, 'untold', 30)
    story.mark(untold, 45, 'strain', 'done')
    expect(held(story, untold, 60, plain).mayContain?.allergens).toEqual(['tree nuts'])
    const byHand = made(story, plain, 'by hand', 61)
    strain(story, byHand, 75, null)
    expect(held(story, byHand, 90, plain).mayContain).toBeUndefined()
  })

  it('told too late, neither washing nor another way counts until the lead accepts it', () => {
    const story = withSieve()
    strain(story, made(story, nut, 'nutty', 0), 15)
    const washed = made(story, plain, 'washed', 30)
    const entry = strain(story, washed, 45, SIEVE, true, 40)
    expect(held(story, washed, 90, plain).mayContain?.allergens).toEqual(['tree nuts'])
    const none = made(story, plain, 'none', 91)
    strain(story, none, 105, null, false, 40)
    expect(held(story, none, 150, plain).mayContain?.allergens).toEqual(['tree nuts'])
    const entries = [{ type: 'batch' as const, id: washed, entry }]
    story.enter('entries-accepted', story.kitchen.id, 151, { entries, reason: 'seen by two of us' }, { by: LEAD })
    expect(held(story, washed, 152, plain).mayContain).toBeUndefined()
  })

  it('a use that was told only after, and nuts that were told only after, are found when it is put away', () => {
    const story = withSieve()
    const second = made(story, plain, 'plain', 30)
    strain(story, second, 45)
    const first = made(story, plain, 'first', 0)
    strain(story, first, 15, SIEVE, false, 40)
    const body = { step: 'strain', ingredient: 'hazelnut', grams: 20, state: 'as it is' as const, lot: null }
    story.enter('added', first, 14, body, { after: 44 })
    expect(held(story, second, 90, plain).mayContain?.allergens).toEqual(['tree nuts'])
  })

  it('a use that was taken back was none, also where it was said to be washed then', () => {
    const story = withSieve()
    const first = made(story, nut, 'nutty', 0)
    const use = strain(story, first, 15)
    const second = made(story, sesame, 'seedy', 20)
    const wash = strain(story, second, 35, SIEVE, true)
    story.correct(second, 36, wash)
    const third = made(story, plain, 'third', 40)
    strain(story, third, 55)
    expect(held(story, third, 60, plain).mayContain?.allergens).toEqual(['tree nuts'])
    const other = withSieve()
    const mistaken = made(other, nut, 'nutty', 0)
    other.correct(mistaken, 16, strain(other, mistaken, 15))
    const after = made(other, plain, 'after', 20)
    strain(other, after, 35)
    expect(held(other, after, 60, plain).mayContain).toBeUndefined()
    expect(use).not.toBe(wash)
  })

  it('what its label says already of a step that nobody told asks nobody', () => {
    const story = withSieve()
    strain(story, made(story, nut, 'nutty', 0), 15)
    const second = made(story, plain, 'plain', 30)
    const put = story.putAway(second, 44, {}, plain)
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['tree nuts'])
    strain(story, second, 43, SIEVE, false, 5)
    expect(unanswered(story.kitchen.read('batch', second)!)).toEqual([])
  })
})

it('goes on into what it is put into and onto, and out of no split', () => {
  const story = withSieve()
  strain(story, made(story, nut, 'nutty', 0), 15)
  const second = made(story, plain, 'plain', 30)
  strain(story, second, 45)
  story.read(second, 50, 57)
  story.read(second, 130, 20)
  story.read(second, 270, 4.5)
  const base = story.putAway(second, 275, {}, plain)
  const into = made(story, sesame, 'seedy', 280)
  story.enter('part-used', base, 290, story.part(base, into, 290, 'cook'))
  strain(story, into, 295, null)
  expect(held(story, into, 300, sesame).mayContain?.allergens).toEqual(['tree nuts'])
  const { into: finished } = story.finish(base, { ingredient: 'cocoa' }, 310, { on: 500 })
  expect(item(story, finished).facts.mayContain?.allergens).toEqual(['tree nuts'])
})

it('asks at the step which one it goes through, once, and of a tool that is gone never', () => {
  const story = withSieve()
  const batch = made(story, plain, 'plain', 0)
  const asked = (minutes: number) =>
    guideOf(
      story.kitchen.read('batch', batch)!,
      at(minutes),
      {},
      story.kitchen.read('kitchen', story.kitchen.id)!.tools,
    ).todos.filter(({ kind }) => kind === 'tool')
  expect(asked(13)).toEqual([{ kind: 'tool', step: 'strain', of: 'sieve' }])
  const gone = { tool: SIEVE, kind: 'sieve' as const, name: 'Fine sieve', gone: true }
  story.enter('tool-registered', story.kitchen.id, 14, gone, { by: CHEF })
  expect(asked(14)).toEqual([])
  story.enter('tool-registered', story.kitchen.id, 15, { ...gone, gone: false }, { by: CHEF })
  strain(story, batch, 15)
  expect(asked(16)).toEqual([])
})
