import { guideOf } from '../advice/guide/guide'
import { unanswered } from '../state/batch'
import { item } from '../test/pot'
import { CHEF, LEAD } from '../test/kitchenStory'
import { CHURN, held, kitchen, made, nut, plain, sesame, SIEVE, strain, withSieve } from '../test/sieved'
import { at } from '../test/traces'

/** What a sieve or a churn leaves of one batch in the next. Minutes are after ten. */

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
    strain(story, first, 15)
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
