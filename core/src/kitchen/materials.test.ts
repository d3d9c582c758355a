import { guideOf } from '../advice/guide/guide'
import { newMethod } from '../recipe/method/newMethod'
import type { Amount, Method, Step } from '../recipe/method/method'
import { blocking, problemsOf } from '../recipe/checks/problems'
import { idOf, KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { at } from '../test/traces'
import { dayOf } from '../ground/zone'

/** What goes in decides what is asked, whatever the family: fruit from the field or the frost, a foam under the grill. */

const step = (key: string, kind: Step['kind']): Step => ({ key, kind, measures: 'mixture' })
const amount = (ingredient: string, at: string, state: Amount['state'] = 'as it is'): Amount => ({
  key: ingredient,
  ingredient,
  grams: 300,
  count: null,
  step: at,
  state,
})

const topped: Method = {
  ...newMethod({ id: idOf('topped'), vesselId: idOf('bowl'), name: 'Cream with berries', family: 'whipped-cream' }),
  steps: [step('whip', 'whip'), step('cool', 'cool'), step('hold', 'hold')],
  houseDays: 5,
  amounts: [amount('cream-36', 'whip'), amount('fresh-berries', 'whip'), amount('fresh-herbs', 'whip')],
}
const TODAY = dayOf(at(0), 'UTC')

describe('fresh fruit, herbs and flowers', () => {
  const asked = (story: KitchenStory, batch: string, minutes: number) =>
    guideOf(story.kitchen.read('batch', batch)!, at(minutes)).todos.find(({ kind }) => kind === 'wash')

  it('are told as washed before they go in, in one tick', () => {
    const story = new KitchenStory({}, [topped])
    const batch = story.begin('pot', 0, topped)
    expect(asked(story, batch, 1)).toEqual({
      kind: 'wash',
      step: 'whip',
      ingredients: ['fresh-berries', 'fresh-herbs'],
    })
    const tick = story.enter('washed', batch, 2, { step: 'whip' })
    expect(asked(story, batch, 3)).toBeUndefined()
    story.correct(batch, 4, tick)
    expect(asked(story, batch, 5)).toBeDefined()
  })

  it('are asked about when somebody puts them in besides, unless they come treated', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    const add = (minutes: number, state: Amount['state']) =>
      story.enter('added', batch, minutes, { step: 'cook', ingredient: 'edible-flowers', grams: 5, state, lot: null })
    add(3, 'treated')
    expect(asked(story, batch, 4)).toBeUndefined()
    add(5, 'as it is')
    expect(asked(story, batch, 6)).toMatchObject({ ingredients: ['edible-flowers'] })
    expect(asked(story, batch, 70)).toBeUndefined()
  })
})

describe('frozen fruit that nobody treated', () => {
  const cold = (story: KitchenStory, batch: string, from = 0) => {
    story.mark(batch, from + 10, 'whip', 'combined')
    story.read(batch, from + 30, 4)
    return batch
  }

  it('put in as it is has the house’s days and its own note, never the word for egg', () => {
    const story = new KitchenStory({}, [topped])
    const plain = cold(story, story.begin('plain', 0, topped))
    const batch = cold(story, story.begin('pot', 0, topped))
    story.enter('added', batch, 12, { step: 'whip', ingredient: 'berry-puree', grams: 200, state: 'frozen', lot: null })
    expect(story.check(batch, 'fruit-days', 31).check.limit).toMatchObject({ force: 'house', rule: { days: 3 } })
    const item = (of: string) => story.kitchen.read('item', story.putAway(of, 40, {}, topped))!
    expect(item(plain).facts.untreatedFruit).toBeUndefined()
    const fruity = item(batch)
    expect(fruity.facts).toMatchObject({ untreatedFruit: true, advisory: false })
    expect(fruity.dating.keeps.some((keep) => keep.what === 'days' && keep.count === 3)).toBe(true)
  })

  it('passes its note and its days on to what is made of it', () => {
    const story = new KitchenStory({}, [topped])
    const batch = cold(story, story.begin('pot', 0, topped))
    story.enter('added', batch, 12, { step: 'whip', ingredient: 'berry-puree', grams: 200, state: 'frozen', lot: null })
    const item = story.putAway(batch, 40, {}, topped)
    const next = story.begin('next', 50, topped)
    story.enter('part-used', item, 55, story.part(item, next, 55, 'whip'))
    cold(story, next, 50)
    const made = story.putAway(next, 90, {}, topped)
    expect(story.kitchen.read('item', made)!.facts.untreatedFruit).toBe(true)
    const until = (of: string) => story.kitchen.item(of, at(91)).until!
    expect(until(made)).toBeLessThanOrEqual(until(item))
  })

  it('in a method is asked about, and with a reason in writing keeps the house’s days', () => {
    const story = new KitchenStory()
    const limits = story.kitchen.limitsAt(at(0))
    const frozen = { ...topped, id: idOf('frozen'), amounts: [amount('berry-puree', 'whip', 'frozen')] }
    const [problem] = blocking(
      problemsOf(frozen, limits, TODAY, () => null),
      frozen,
    )
    expect(problem).toMatchObject({ code: 'frozen fruit not treated' })
    const justified = { ...frozen, justified: [{ problem: problem!.id, reason: 'sold with the note, three days' }] }
    story.publish(justified)
    const batch = story.begin('pot', 0, justified)
    expect(story.check(batch, 'fruit-days', 1)).toBeDefined()
  })
})

describe('a word', () => {
  const received = (story: KitchenStory, name: string, treatment: string | null) => {
    const lot = idOf(name)
    story.enter('lot-received', lot, -30, {
      code: name,
      ingredient: 'berry-puree',
      name: 'Berries',
      form: null,
      size: null,
      supplier: 'Hill berries',
      useBy: '2027-06-01',
      pasteurized: null,
      scheme: null,
      treatment,
      received: { typed: { value: 2, unit: 'C' }, instrument: PROBE },
      condition: { good: true, why: null },
      verdict: treatment === null ? 'hold' : 'accept',
      why: treatment === null ? 'not treated' : null,
      held: null,
    })
    return lot
  }

  it('treats no fruit: its received lot does', () => {
    const story = new KitchenStory({}, [topped])
    const [good, held] = [received(story, 'B-1', 'pressure'), received(story, 'B-2', null)]
    const days = (name: string, lot: string | null) => {
      const batch = story.begin(name, 0, topped)
      const body = { step: 'whip', ingredient: 'berry-puree', grams: 200, state: 'treated' as const, lot }
      story.enter('added', batch, 5, body)
      return story.kitchen.findings(batch, at(6)).some(({ check }) => check.limit.key === 'fruit-days')
    }
    expect([days('a', null), days('b', 'B-1'), days('c', held), days('d', good)]).toEqual([true, true, true, false])
  })

  it('of raw egg that is in already is taken as a fact, and asks for its floor or its hours', () => {
    const story = new KitchenStory({}, [topped])
    const batch = story.begin('pot', 0, topped)
    const yolk = { step: 'whip', ingredient: 'yolk', grams: 20, state: 'as it is' as const, lot: null }
    expect(story.post('added', batch, 5, yolk).posted).toMatchObject({ ok: false, code: 'wrong egg' })
    story.enter('added', batch, 5, { ...yolk, happened: true })
    story.mark(batch, 10, 'whip', 'combined')
    story.read(batch, 30, 4)
    expect(story.standing(batch, 'pasteurized-egg', 40)).not.toBe('proven')
    const facts = story.kitchen.read('item', story.putAway(batch, 45, {}, topped))!.facts
    expect(facts).toMatchObject({ heat: 'raw', advisory: true })
    expect(facts.allergens).toContain('egg')
  })
})

describe('browning', () => {
  const foam = (kinds: Step['kind'][]): Method => ({
    ...newMethod({ id: idOf(kinds.join()), vesselId: idOf('bowl'), name: 'Foam', family: 'white-foam' }),
    steps: kinds.map((kind) => step(kind, kind)),
    amounts: [amount('white', 'whip')],
  })

  it('never kills: a foam of raw whites under the grill stays raw, and cannot be published as heated', () => {
    const story = new KitchenStory()
    const limits = story.kitchen.limitsAt(at(0))
    const codes = (method: Method) =>
      blocking(
        problemsOf(method, limits, TODAY, () => null),
        method,
      ).map(({ code }) => code)
    expect(codes(foam(['whip', 'brown', 'hold']))).toContain('egg not heated')
    expect(codes(foam(['whip', 'bake', 'hold']))).not.toContain('egg not heated')
    const raw = { ...foam(['whip', 'brown', 'hold']), raw: true }
    const approved = { ...raw, justified: [{ problem: 'egg not heated / whip / white', reason: 'raw on purpose' }] }
    story.publish(approved)
    const batch = story.begin('pot', 0, approved)
    story.mark(batch, 5, 'whip', 'combined')
    story.mark(batch, 6, 'brown', 'started')
    story.read(batch, 8, 90)
    story.mark(batch, 9, 'brown', 'done')
    story.read(batch, 40, 4)
    const facts = story.kitchen.read('item', story.putAway(batch, 45, {}, approved))!.facts
    expect(facts).toMatchObject({ heat: 'raw', advisory: true })
    expect(story.check(batch, 'raw-class', 45)).toBeDefined()
  })
})

describe('kept dry', () => {
  const crumb: Method = {
    ...newMethod({ id: idOf('crumb'), vesselId: idOf('sheet'), name: 'Crumb', family: 'baked-crumb' }),
    steps: [step('bake', 'bake'), step('finish', 'add after heat'), step('hold', 'hold')],
    amounts: [amount('egg', 'bake'), amount('sugar', 'bake')],
  }
  const codes = (method: Method) =>
    problemsOf(method, new KitchenStory().kitchen.limitsAt(at(0)), TODAY, () => null).map(({ code }) => code)

  it('is nothing with a cream on it or a filling in it', () => {
    expect(codes(crumb)).not.toContain('dry with what spoils')
    expect(codes({ ...crumb, amounts: [...crumb.amounts, amount('icing-sugar', 'finish')] })).not.toContain(
      'dry with what spoils',
    )
    expect(codes({ ...crumb, amounts: [...crumb.amounts, amount('cream-36', 'finish')] })).toContain(
      'dry with what spoils',
    )
    const filling = { key: 'filling', method: idOf('custard'), name: 'Custard', grams: 500, step: 'bake' }
    expect(codes({ ...crumb, components: [filling] })).toContain('dry with what spoils')
  })

  it('is only crumb and dry pieces, whatever a method says', () => {
    const story = new KitchenStory()
    const saved = story.post(
      'method-saved',
      crumb.id,
      1,
      { method: { ...crumb, family: 'baked-custard' } },
      { by: LEAD },
    )
    expect(saved.posted).toMatchObject({ ok: false, code: 'bad field', field: 'body.method.cooling' })
  })
})
