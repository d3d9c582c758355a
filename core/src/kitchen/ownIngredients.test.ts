import { NO_TRACES } from '../judgement/lineage/carryOver'
import type { Id } from '../ledger/subject'
import type { OwnChanged, OwnIngredient } from '../ledger/ownIngredient'
import { findIngredients } from '../recipe/ingredient/find'
import { oursOf, ourFood } from '../recipe/ingredient/ours'
import { ownIngredient } from '../recipe/ingredient/own'
import type { Allergen } from '../recipe/ingredient/ingredient'
import type { Method } from '../recipe/method/method'
import { isLabelOutdated } from '../state/item'
import { CHEF, COOK, custard, FRIDGE, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { item } from '../test/pot'
import { held, kitchenOf, nut, plain, SIEVE, strain } from '../test/sieved'
import { at } from '../test/traces'

/** What no list has is the kitchen's own: named once, found everywhere, put right by the lead. Minutes are after ten. */

const CRUNCH = idOf('crunch')
const crunch: OwnIngredient = { key: CRUNCH, name: 'Farm crunch', like: 'butter', allergens: null }
const saved = (allergens: Allergen[] | null) => ownIngredient(CRUNCH, 'Farm crunch', 'butter', allergens)

/** The custard with it in, as the chef saved it. */
const withCrunch = (allergens: Allergen[] | null): Method => {
  const [milk] = custard.amounts.filter(({ ingredient }) => ingredient === 'milk')
  return {
    ...custard,
    own: [saved(allergens)],
    amounts: [...custard.amounts, { ...milk!, key: 'c', ingredient: CRUNCH }],
  }
}

function kitchen(method: Method = withCrunch(null)) {
  const story = new KitchenStory({}, [method])
  story.air(0, 3)
  story.enter('ingredient-named', story.kitchen.id, -20, crunch, { by: COOK })
  return story
}

const change = (story: KitchenStory, minutes: number, more: Partial<OwnChanged>, by = LEAD) => {
  const body = {
    ...crunch,
    gone: false,
    into: null,
    items: [] as Id[],
    lacks: { contains: NO_TRACES, mayContain: NO_TRACES, claims: [] },
    read: null,
  }
  return story.post('ingredient-changed', story.kitchen.id, minutes, { ...body, ...more }, { by }).posted
}

const kept = (story: KitchenStory) => story.kitchen.read('kitchen', story.kitchen.id)!.ingredients

function made(story: KitchenStory, of: Method, start = 0): Id {
  const batch = story.begin(`pot ${start}`, start, of)
  story.mark(batch, start + 5, 'temper', 'combined')
  story.read(batch, start + 10, 80)
  story.mark(batch, start + 12, 'cook', 'done')
  return batch
}

it('is found by its name beside the catalogue, by what it is most like, its allergens not known', () => {
  const [own] = findIngredients('crunch', oursOf(kept(kitchen())))
  expect(own).toMatchObject({ key: CRUNCH, needsCold: true, unchecked: true, allergens: [] })
  const story = kitchen()
  expect(story.post('ingredient-named', story.kitchen.id, 1, crunch, { by: COOK }).posted).toMatchObject({
    code: 'already there',
  })
})

it('is changed by the lead alone, and the same as another is no circle', () => {
  const story = kitchen()
  expect(change(story, 1, { allergens: [] }, CHEF)).toMatchObject({ code: 'may not' })
  const other = { ...crunch, key: idOf('other'), name: 'Other crunch' }
  expect(change(story, 1, { ...other })).toMatchObject({ code: 'not there' })
  story.enter('ingredient-named', story.kitchen.id, 2, other, { by: COOK })
  for (const into of [CRUNCH, idOf('nowhere')]) expect(change(story, 3, { into })).toMatchObject({ code: 'not there' })
  expect(change(story, 4, { into: other.key }).ok).toBe(true)
  expect(change(story, 5, { ...other, into: CRUNCH })).toMatchObject({ code: 'not there' })
  expect(change(story, 6, { ...other, into: 'butter' })).toMatchObject({ code: 'not there' })
})

it('the same as another it has the allergens of both; taken no longer it is not offered, and stays what it is', () => {
  const story = kitchen()
  change(story, 1, { allergens: ['sesame'], into: 'butter' })
  expect(oursOf(kept(story))).toEqual([])
  expect(ourFood(CRUNCH, kept(story))!.allergens.sort()).toEqual(['milk', 'sesame'])
  change(story, 2, { allergens: null, into: 'butter' })
  expect(ourFood(CRUNCH, kept(story))).toMatchObject({ allergens: ['milk'], name: 'Butter' })
  change(story, 3, { gone: true })
  expect([oursOf(kept(story)), ourFood(CRUNCH, kept(story))!.name]).toEqual([[], 'Farm crunch'])
})

describe('what the lead reads on its package', () => {
  it('counts in every batch from then on, whatever its method was saved with, and in what is running', () => {
    const of = withCrunch([])
    const story = kitchen(of)
    change(story, 1, { allergens: [] })
    const running = made(story, of, 2)
    const add = { step: 'cook', ingredient: CRUNCH, own: saved([]), grams: 50, state: 'as it is' as const, lot: null }
    const besides = made(story, custard, 3)
    story.enter('added', besides, 20, add)
    change(story, 30, { allergens: ['tree nuts'] })
    const after = made(story, of, 40)
    for (const [batch, method] of [
      [running, of],
      [besides, custard],
      [after, of],
    ] as const) {
      const { facts } = item(story, story.putAway(batch, 60, {}, method))
      expect(facts.allergens).toEqual(['egg', 'milk', 'tree nuts'])
      expect(facts.claims).not.toContain('without nuts')
    }
  })

  it('is on what is held with it in, and asks the lead about that; what it only betters asks nobody', () => {
    const of = withCrunch([])
    const story = kitchen(of)
    change(story, 1, { allergens: [] })
    const batch = made(story, of, 2)
    story.read(batch, 20, 57)
    story.read(batch, 100, 20)
    story.read(batch, 240, 4.5)
    const put = story.putAway(batch, 245, {}, of)
    story.enter('label-printed', put, 246, { copies: 2 })
    expect(change(story, 250, { allergens: ['tree nuts'], items: [put] }).ok).toBe(true)
    expect(item(story, put).facts).toMatchObject({ allergens: ['egg', 'milk', 'tree nuts'] })
    expect(item(story, put).facts.claims).not.toContain('without nuts')
    expect(isLabelOutdated(item(story, put))).toBe(true)
    expect(story.kitchen.item(put, at(251))).toMatchObject({ asks: 'lead decides', usable: false })
    const { length } = item(story, put).reached
    change(story, 260, { allergens: [], items: [put] })
    expect(item(story, put).reached).toHaveLength(length)
    expect(item(story, put).facts.allergens).toContain('tree nuts')
    expect(change(story, 261, { allergens: [], items: [idOf('no item')] })).toMatchObject({ field: 'body.items' })
  })
})

it('once it was read, it is known on what is held too, but for another of the same name', () => {
  const of = withCrunch(null)
  const unknown = (other: boolean) => {
    const story = kitchen(of)
    if (other) story.enter('ingredient-named', story.kitchen.id, -19, { ...crunch, key: idOf('other') }, { by: COOK })
    const put = story.putAway(made(story, of, 2), 60, {}, of)
    expect(item(story, put).facts.unknown).toEqual(['Farm crunch'])
    change(story, 70, { allergens: ['sesame'], items: [put] })
    expect(item(story, put).facts.allergens).toContain('sesame')
    return item(story, put).facts.unknown
  }
  expect([unknown(false), unknown(true)]).toEqual([[], ['Farm crunch']])
})

it('is egg where the kitchen says so, whatever a tablet sends along', () => {
  const story = kitchen()
  change(story, 1, { like: 'yolk', allergens: null })
  const batch = made(story, custard)
  const own = saved([])
  const body = { step: 'cook', ingredient: CRUNCH, own, grams: 50, state: 'as it is' as const, lot: null }
  const before = story.standing(batch, 'egg', 14)
  story.enter('added', batch, 15, body)
  expect([before, story.standing(batch, 'egg', 16)]).toEqual(['proven', 'open'])
})

describe('received', () => {
  const held = {
    item: idOf('carton'),
    code: 'C1',
    measure: { value: 500, unit: 'g' as const },
    cost: null,
    unit: FRIDGE,
    shelf: 1,
  }
  const derived = { dating: null as never, facts: null as never }
  const receive = (story: KitchenStory, ingredient: string) =>
    story.receive(idOf('lot'), 1, ingredient, null, {
      own: saved([]),
      name: 'Farm crunch',
      held: { ...held, ...derived },
    })

  it('it is judged as what it is most like, and has its own allergens, as the kitchen knows them', () => {
    const story = kitchen()
    receive(story, 'butter')
    expect(item(story, held.item).facts).toMatchObject({ needsCold: true, unknown: ['Farm crunch'], claims: [] })
    expect(() => receive(kitchen(), 'sugar')).toThrow(/body.own/)
  })

  it('in the place of what the method names, it brings its allergens along', () => {
    const story = new KitchenStory({}, [custard])
    story.enter('ingredient-named', story.kitchen.id, -20, { ...crunch, allergens: ['tree nuts'] }, { by: COOK })
    receive(story, 'butter')
    const batch = made(story, custard)
    const uses = [{ amount: 'milk', lot: idOf('lot'), code: '', name: '', ingredient: null }]
    story.enter('lots-used', batch, 8, { step: 'warm', uses })
    const { facts } = item(story, story.putAway(batch, 20))
    expect(facts.allergens).toEqual(['egg', 'milk', 'tree nuts'])
  })
})

describe('what it left behind in a sieve', () => {
  /** One custard with it in, besides or by its method, and a plain one through the same sieve after. */
  const strainedAfter = (by: 'added' | 'method', washed = false) => {
    const own = { ...nut, own: [saved([])], amounts: nut.amounts.map((each) => ({ ...each })) }
    own.amounts.at(-1)!.ingredient = CRUNCH
    const story = kitchenOf([plain, own], [SIEVE, 'sieve', 'Fine sieve'])
    story.enter('ingredient-named', story.kitchen.id, -9, { ...crunch, allergens: [] }, { by: COOK })
    const first = made(story, by === 'method' ? own : plain)
    const body = { step: 'cook', ingredient: CRUNCH, own: saved([]), grams: 50, state: 'as it is' as const, lot: null }
    if (by === 'added') story.enter('added', first, 13, body)
    strain(story, first, 15)
    const second = made(story, plain, 20)
    strain(story, second, 35, SIEVE, washed)
    return { story, put: story.putAway(second, 40, {}, plain) }
  }

  it.each(['added', 'method'] as const)('is said of what followed, once it is known (%s)', (by) => {
    const { story, put } = strainedAfter(by)
    expect(item(story, put).facts.mayContain).toBeUndefined()
    expect(change(story, 50, { allergens: ['sesame'] })).toMatchObject({ ok: true })
    expect(item(story, put).facts).toMatchObject({ allergens: ['egg', 'milk'], mayContain: { allergens: ['sesame'] } })
    expect(story.kitchen.item(put, at(51))).toMatchObject({ asks: 'lead decides' })
    const third = made(story, plain, 60)
    strain(story, third, 75)
    expect(held(story, third, 80, plain).mayContain?.allergens).toEqual(['sesame'])
  })

  it('is said too where it went through as a part of another batch', () => {
    const story = kitchenOf([plain], [SIEVE, 'sieve', 'Fine sieve'])
    story.enter('ingredient-named', story.kitchen.id, -9, { ...crunch, allergens: [] }, { by: COOK })
    const first = made(story, plain)
    const body = { step: 'cook', ingredient: CRUNCH, own: saved([]), grams: 50, state: 'as it is' as const, lot: null }
    story.enter('added', first, 9, body)
    strain(story, first, 14, null)
    for (const [minutes, celsius] of [
      [20, 57],
      [100, 20],
      [240, 4.5],
    ] as const)
      story.read(first, minutes, celsius)
    const base = story.putAway(first, 245, {}, plain)
    const second = made(story, plain, 250)
    story.enter('part-used', base, 260, story.part(base, second, 260, 'cook'))
    strain(story, second, 265)
    const third = made(story, plain, 270)
    strain(story, third, 285)
    const put = story.putAway(third, 290, {}, plain)
    expect(change(story, 300, { allergens: ['sesame'] })).toMatchObject({ ok: true })
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['sesame'])
  })

  it('is said too where it is the same as another, and that one is known otherwise', () => {
    const { story, put } = strainedAfter('added')
    const other = { key: idOf('other'), name: 'Other crunch', like: 'butter', allergens: [] }
    story.enter('ingredient-named', story.kitchen.id, 45, other, { by: COOK })
    expect(change(story, 46, { allergens: [], into: other.key })).toMatchObject({ ok: true })
    expect(change(story, 50, { ...other, allergens: ['sesame'] })).toMatchObject({ ok: true })
    expect(item(story, put).facts.mayContain?.allergens).toEqual(['sesame'])
  })

  it('is nothing where the sieve was washed between', () => {
    const { story, put } = strainedAfter('added', true)
    change(story, 50, { allergens: ['sesame'] })
    expect(item(story, put).facts.mayContain).toBeUndefined()
  })
})
