import { guideOf } from '../guide/guide'
import { newMethod } from '../method/newMethod'
import type { Amount, Method, Step } from '../method/method'
import { blocking, problemsOf } from '../method/problems'
import { idOf, KitchenStory } from '../test/kitchenStory'
import { at } from '../test/traces'
import { dayOf } from '../calendar/zone'

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
