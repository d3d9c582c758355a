import type { LotReceived } from '../ledger/storeEntries'
import type { Method } from '../recipe/method/method'
import { parentsOfBatch } from '../judgement/lineage/lineage'
import { guideOf } from '../advice/guide/guide'
import { unanswered } from '../state/batch'
import { COOK, custard, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { at } from '../test/traces'

/** A custard on which berries are whipped that its method takes treated. */
const berried: Method = {
  ...custard,
  id: idOf('berried'),
  steps: [...custard.steps.slice(0, -1), { key: 'top', kind: 'whip', measures: 'mixture' }, custard.steps.at(-1)!],
  amounts: [
    ...custard.amounts,
    { key: 'berry', ingredient: 'raspberry-puree', grams: 200, count: null, step: 'top', state: 'treated' },
  ],
}

const kitchen = () => new KitchenStory({}, [custard, berried])

const receive = (
  story: KitchenStory,
  name: string,
  ingredient: string | null,
  { form = null, ...more }: Partial<LotReceived> = {},
) => story.receive(idOf(name), -30, ingredient, form, { code: name, condition: { good: true, why: null }, ...more })

const spirit = (step: string, grams: number): Method['amounts'][number] => ({
  key: 'spirit',
  ingredient: 'spirit',
  grams,
  count: null,
  step,
  state: 'as it is',
})
const use = (amount: string, lot: string) => ({ amount, lot, code: 'made up', name: 'made up', ingredient: null })
const name = (story: KitchenStory, batch: string, minutes: number, amount: string, lot: string, happened = false) =>
  story.post('lots-used', batch, minutes, {
    step: amount === 'berry' ? 'top' : 'warm',
    uses: [use(amount, lot)],
    ...(happened ? { happened: true as const } : {}),
  })
const lotsOf = (story: KitchenStory, batch: string) =>
  parentsOfBatch(story.kitchen.read('batch', batch)!).map(({ id }) => id)

it('is found from its lot, by what core finds and not by what was sent', () => {
  const story = kitchen()
  const milk = receive(story, 'M-1', 'milk')
  const batch = story.made('pot')
  expect(name(story, batch, 3, 'milk', milk).posted.ok).toBe(true)
  expect(lotsOf(story, batch)).toEqual([milk])
  expect(story.kitchen.read('batch', batch)!.facts['lots-used'][0]!.value.uses).toEqual([
    { amount: 'milk', lot: milk, code: 'M-1', name: 'milk', ingredient: 'milk' },
  ])
  story.enter('recalled', milk, 300, { items: [], batches: [batch], reason: 'glass', drill: false })
  expect(story.kitchen.read('batch', batch)!.recalls).toHaveLength(1)
  // Taken back, it is no more of it.
  const other = story.begin('other')
  const { id } = name(story, other, 5, 'milk', receive(story, 'M-2', 'milk'))
  story.correct(other, 6, id)
  expect(lotsOf(story, other)).toEqual([])
})

it('holds what went in besides from a received lot too', () => {
  const story = kitchen()
  const spirit = receive(story, 'S-1', 'spirit')
  const batch = story.made('pot')
  const added = { step: 'cool', ingredient: 'spirit', grams: 20, state: 'as it is' as const }
  story.enter('added', batch, 250, { ...added, lot: spirit })
  story.enter('added', batch, 251, { ...added, lot: 'on the bottle: 7' })
  expect(lotsOf(story, batch)).toEqual([spirit])
})

it('takes no egg, and nothing that may not go in, unless it is in already: then the lead answers', () => {
  const story = kitchen()
  const batch = story.begin('pot', 24 * 60)
  const eggs = receive(story, 'E-1', 'egg', { form: 'shell', size: 'US L' })
  const old = receive(story, 'M-0', 'milk', { useBy: '2027-03-03' })
  const refused = (lot: string, happened = false) => name(story, batch, 24 * 60 + 2, 'milk', lot, happened).posted
  expect(refused(eggs)).toMatchObject({ code: 'other lot' })
  expect(refused(eggs, true)).toMatchObject({ code: 'other lot' })
  expect(name(story, batch, 24 * 60 + 2, 'yolk', receive(story, 'M-1', 'milk')).posted).toMatchObject({
    code: 'other lot',
  })
  expect(refused(idOf('nowhere'))).toMatchObject({ code: 'not there' })
  expect(refused(old)).toMatchObject({ code: 'lot past its day' })
  expect(refused(old, true).ok).toBe(true)
  expect(unanswered(story.kitchen.read('batch', batch)!)).toHaveLength(1)
})

it('brings its allergens where it is another thing, and claims nothing where nobody knows what it is', () => {
  const story = kitchen()
  const facts = (pot: string, lot: string) => {
    const batch = story.made(pot)
    expect(name(story, batch, 250, 'milk', lot).posted.ok).toBe(true)
    return story.kitchen.read('item', story.putAway(batch, 260))!.facts
  }
  expect(facts('a', receive(story, 'M-1', 'milk'))).toMatchObject({ allergens: ['egg', 'milk'], unknown: [] })
  expect(facts('b', receive(story, 'D-1', 'soy-drink')).allergens).toEqual(['egg', 'milk', 'soy'])
  expect(facts('c', receive(story, 'R-1', null))).toMatchObject({ unknown: ['Ready cream'], claims: [] })
})

it('stops what was put away without it, where it is told of only after: the lead decides', () => {
  const story = kitchen()
  const soy = receive(story, 'D-1', 'soy-drink')
  const usable = (item: string, minutes: number) => story.kitchen.item(item, at(minutes)).usable
  const put = (pot: string) => {
    const batch = story.made(pot)
    story.air(245, 3)
    const item = story.putAway(batch, 250)
    expect(usable(item, 251)).toBe(true)
    return { batch, item }
  }
  const [named, told, same, later] = [put('a'), put('b'), put('c'), put('d')]
  name(story, named.batch, 252, 'milk', soy)
  const drink = { step: 'cook', ingredient: 'soy-drink', grams: 50, state: 'as it is' as const, lot: null }
  story.enter('added', told.batch, 240, drink, { after: 12 })
  // The lot of the milk that the method names changes nothing, and what goes in after is in none of it.
  name(story, same.batch, 252, 'milk', receive(story, 'M-3', 'milk'))
  story.enter('added', later.batch, 253, { ...drink, step: 'cool' })
  expect([named, told, same, later].map(({ item }) => usable(item, 255))).toEqual([false, false, true, true])
  expect(unanswered(story.kitchen.read('batch', named.batch)!)).toHaveLength(1)
  // Put away anew, it says what is in it.
  expect(story.kitchen.read('item', story.putAway(named.batch, 256))!.facts.allergens).toContain('soy')
})

it('says how strong it is, of all that went in', () => {
  const nog = { ...custard, id: idOf('nog'), amounts: [...custard.amounts, spirit('cool', 100)] }
  const story = new KitchenStory({}, [custard, nog])
  const strength = (pot: string, of: Method, put: (batch: string) => void) => {
    const batch = story.begin(pot, 0, of)
    story.mark(batch, 5, 'temper', 'combined')
    story.read(batch, 10, 80)
    story.mark(batch, 12, 'cook', 'done')
    put(batch)
    return story.kitchen.read('item', story.putAway(batch, 30, {}, of))!.facts.alcohol
  }
  const add = (grams: number | null) => (batch: string) =>
    story.enter('added', batch, 20, { step: 'cool', ingredient: 'spirit', grams, state: 'as it is', lot: null })
  const nothing = () => undefined
  expect(strength('a', custard, nothing)).toBeUndefined()
  const planned = strength('b', nog, nothing)
  expect(planned!.byVolume).toBeCloseTo(0.017, 3)
  // Told of as it goes in, it is the same spirit; twice as much is twice as strong.
  expect(strength('c', nog, add(100))).toEqual(planned)
  expect(strength('d', nog, add(200))!.byVolume).toBeCloseTo(0.033, 2)
  expect(strength('e', custard, add(null))).toEqual({ byVolume: null })
})

it('is not treated because its method says so: of this lot nobody said how', () => {
  const story = kitchen()
  const fruit = (pot: string, treatment: string | null) => {
    const held = treatment === null ? { verdict: 'hold' as const, why: 'not treated' } : {}
    const lot = receive(story, `B-${pot}`, 'raspberry-puree', { treatment, ...held })
    const reason = 'boiled or sold with the note, as it comes'
    if (treatment === null)
      story.enter('lot-decided', lot, -20, { verdict: 'accept', reason, item: null }, { by: LEAD })
    const batch = story.begin(pot, 0, berried)
    expect(name(story, batch, 5, 'berry', lot).posted.ok).toBe(true)
    return story.kitchen.findings(batch, at(6)).some(({ check }) => check.limit.key === 'fruit-days')
  }
  expect([fruit('a', 'pressure'), fruit('b', null)]).toEqual([false, true])
})

it('is asked for as the house says: not at all, what needs the cold, or everything', () => {
  const asked = (lots?: 'needs cold' | 'everything') => {
    const story = kitchen()
    const set = story.kitchen.limitsAt(at(0))
    if (lots) {
      const next = { ...set, version: set.version + 1, from: at(1), practice: { ...set.practice, lots } }
      story.enter('limits-set', set.id, 1, { set: next }, { by: LEAD })
    }
    const batch = story.begin('pot', 2)
    const todos = () =>
      guideOf(story.kitchen.read('batch', batch)!, at(4)).todos.flatMap((todo) =>
        todo.kind === 'lots' ? todo.amounts : [],
      )
    const before = todos()
    story.post(
      'lots-used',
      batch,
      3,
      { step: 'warm', uses: [use('milk', receive(story, 'M-9', 'milk'))] },
      { by: COOK },
    )
    return [before, todos()]
  }
  expect(asked()).toEqual([[], []])
  expect(asked('needs cold')).toEqual([['milk'], []])
  expect(asked('everything')).toEqual([['milk'], []])
})
