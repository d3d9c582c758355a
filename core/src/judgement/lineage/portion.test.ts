import { kinds } from '../../admission/kinds'
import { FieldError } from '../../ground/field'
import type { Ingredient } from '../../recipe/ingredient/ingredient'
import { ownIngredient } from '../../recipe/ingredient/own'
import fc from 'fast-check'
import type { ItemFacts, PartUsed } from '../../ledger/storeEntries'
import type { Method } from '../../recipe/method/method'
import type { LotState } from '../../state/lot'
import { itemOf, letGo, moved, readOf, storeOf, unitOf } from '../../test/shelf'
import { limitsFrom, method, Story, wellMade } from '../../test/story'
import { at } from '../../test/traces'
import { asksMerged } from './merged'
import { partOf, partShut, partUnfit } from './part'
import { roomTime } from '../warmth/ofBatch'
import { isCleared, releaseBar } from './cleared'
import { portionOf } from './portion'

const us = limitsFrom('us-food-code-2022')
const facts = (more: Partial<ItemFacts> = {}): ItemFacts => ({
  allergens: ['milk'],
  claims: ['vegetarian', 'without nuts'],
  advisory: false,
  heat: 'cooked',
  needsCold: true,
  unknown: [],
  ...more,
})
const part = (step: string, lastDay: string, more: Partial<PartUsed> = {}, of: Partial<ItemFacts> = {}): PartUsed => ({
  batch: 'batch',
  step,
  measure: { value: 100, unit: 'g' },
  typed: { value: 3, unit: 'C' },
  instrument: 'P2',
  warm: false,
  condition: null,
  part: {
    item: lastDay,
    code: lastDay,
    name: `Part ${lastDay}`,
    lastDay,
    until: null,
    facts: facts(of),
    egg: null,
    carried: { least: 0, likely: 0, most: 0 },
  },
  ...more,
})
const trifle: Method = {
  ...method,
  family: 'assembly',
  cooling: 'ambient',
  houseDays: 2,
  steps: [
    { key: 'assemble', kind: 'assemble', measures: 'mixture' },
    { key: 'hold', kind: 'hold', measures: 'mixture' },
  ],
}
const said = {
  code: 'x',
  as: 'portion' as const,
  measure: { value: 5, unit: 'portion' as const },
  last: false,
  unit: null,
  shelf: null,
}
const portion = (story: Story, of: Method, minutes: number) => portionOf(story.batch, of, said, us, 'UTC', at(minutes))

describe('what a batch becomes', () => {
  it('has the earliest date of its parts, all their allergens, the worst heat, and claims only what all may', () => {
    const story = new Story(us, trifle)
    story.enter('part-used', 1, part('assemble', '2027-03-09', {}, { allergens: ['egg', 'milk'] }))
    story.enter(
      'part-used',
      2,
      part('assemble', '2027-03-03', {}, { allergens: ['tree nuts'], claims: ['vegetarian'], heat: 'pasteurized' }),
    )
    const made = portion(story, trifle, 30)
    expect(made.dating.parts.map(({ lastDay }) => lastDay)).toEqual(['2027-03-09', '2027-03-03'])
    expect(made.dating.keeps.map(({ count }) => count).sort((a, b) => a - b)).toEqual([2, 7])
    expect(made.facts).toMatchObject({
      allergens: ['egg', 'milk', 'tree nuts'],
      claims: ['vegetarian'],
      heat: 'no heat asked',
    })
    // Half an hour on the bench goes with it.
    expect(made.carried.least).toBe(29 * 60_000)
  })

  it('begins with the time that its worst part was warm, of those that nothing heats after', () => {
    const warm = (minutes: number, step = 'assemble'): PartUsed => {
      const one = part(step, `2027-03-0${minutes % 7}`)
      const ms = minutes * 60_000
      return { ...one, part: { ...one.part, carried: { least: ms / 2, likely: ms, most: ms } } }
    }
    const story = new Story(us, trifle)
    story.enter('part-used', 1, warm(40))
    story.enter('part-used', 2, warm(95))
    // On top of half an hour on the bench.
    expect(portion(story, trifle, 31).carried).toEqual({
      least: (30 + 95 / 2) * 60_000,
      likely: (30 + 95) * 60_000,
      most: (30 + 95) * 60_000,
    })
    const cooked = wellMade()
    cooked.enter('part-used', 4, warm(60, 'temper'))
    // No later heat clears it: a floor kills cells, not toxins.
    expect(portion(cooked, method, 300).carried.most).toBe(60 * 60_000)
  })

  it('leaves behind the date of what was cooked in it, unless the house says every part', () => {
    const story = wellMade()
    const before = part('temper', '2027-03-04', {}, { heat: 'no heat asked' })
    story.enter('part-used', 4, before)
    story.enter('part-used', 200, part('cool', '2027-03-05'))
    const days = (of: Story, limits = us) =>
      portionOf(of.batch, method, said, limits, 'UTC', at(300)).dating.parts.map(({ lastDay }) => lastDay)
    expect(days(story)).toEqual(['2027-03-05'])
    // What was ready to eat keeps its date, however often it is baked again; and a release proves nothing.
    const baked = wellMade()
    baked.enter('part-used', 4, { ...before, part: { ...before.part, ready: true } })
    expect(days(baked)).toEqual(['2027-03-04'])
    const released = new Story()
    released.combined(5)
    released.enter('part-used', 4, before)
    released.read(10, 65)
    released.offHeat(12)
    released.decide(14, 'release', 'read by two, in writing, as an assessment')
    expect(days(released)).toEqual(['2027-03-04'])
    const strict = { ...us, practice: { ...us.practice, partsPassOn: 'every part' as const } }
    expect(days(story, strict)).toHaveLength(2)
  })

  it('is cooked once its floor is proven, knows when it was first cold, and an unknown part takes its claims', () => {
    const story = wellMade()
    expect(portion(story, method, 300)).toMatchObject({ facts: { heat: 'cooked' }, coldAt: at(240) })
    expect(isCleared(story.batch, 'UTC', at(300))).toBe(true)
    expect(isCleared(new Story().batch, 'UTC', at(300))).toBe(false)
    const unknown = {
      ...method,
      components: [{ key: 'c', method: 'nobody', name: 'Bought sponge', grams: 100, step: 'cool' }],
    }
    expect(portion(story, unknown, 300).facts).toMatchObject({ unknown: ['Bought sponge'], claims: [] })
  })

  it('stops counting the room once it stands in the cold, and asks for the merged temperature after a warm layer', () => {
    const story = new Story(us, trifle)
    story.enter('part-used', 5, part('assemble', '2027-03-09', { warm: true, typed: { value: 35, unit: 'C' } }))
    expect(asksMerged(story.batch)).toBe(true)
    story.enter('placed', 45, { place: 'refrigerator', unit: null, air: null })
    expect(roomTime(story.batch, at(200)).most).toBe(40 * 60_000)
    story.read(46, 14)
    expect(asksMerged(story.batch)).toBe(false)
  })
})

describe('what may go in', () => {
  const into = new Story(us, trifle).batch
  const store = storeOf([
    unitOf([
      [0, 3],
      [300, 3],
    ]),
  ])
  const proven = { batch: wellMade().batch, lots: [] }
  const shut = (
    item = itemOf(),
    more: Partial<PartUsed> = {},
    ancestry: Parameters<typeof partShut>[3] = proven,
    now = 300,
  ) =>
    partShut(
      item,
      into,
      { ...part('assemble', 'x'), measure: { value: 2, unit: 'portion' }, ...more },
      ancestry,
      store,
      at(now),
    )?.code ?? null

  it('is proven, in date, cold by a reading, and no more than there is', () => {
    expect(shut()).toBeNull()
    expect(shut(itemOf(), { typed: { value: 9, unit: 'C' } })).toBe('too warm')
    expect(shut(itemOf(), { typed: { value: 9, unit: 'C' }, warm: true })).toBeNull()
    expect(shut(itemOf(), { measure: { value: 11, unit: 'portion' } })).toBe('more than is left')
    expect(shut(itemOf(), {}, { batch: new Story().batch, lots: [] })).toBe('not proven')
    // Trimmings were in it as much; whites that were left over never were.
    const trimmings = itemOf({ what: 'by-product' })
    expect(shut(trimmings, {}, { batch: new Story().batch, lots: [] })).toBe('not proven')
    const whites = itemOf({ what: 'by-product', ingredient: 'white', facts: facts({ heat: 'pasteurized' }) })
    expect(shut(whites, {}, { batch: new Story().batch, lots: [] })).toBeNull()
    expect(shut(itemOf(), {}, proven, 4 * 24 * 60)).toBe('to discard')
    expect(shut(itemOf({ readings: [readOf(0, 9), readOf(299, 9)] }), {}, proven)).toBe('asks first')
  })

  it('is nothing that went out to the guests', () => {
    const served = itemOf({ moves: [moved(0, 'move', 'fridge'), moved(290, 'serve', null)] })
    expect(shut(served)).toBe('out for good')
  })

  it('was proven once and for all: the date of its batch is not its own, which the frost stopped', () => {
    const later = 6 * 24 * 60
    expect(isCleared(proven.batch, 'UTC', at(later))).toBe(true)
    const thawed = itemOf({
      moves: [moved(0, 'move', 'fridge'), moved(60, 'freeze', 'freezer'), moved(later - 60, 'thaw', 'fridge')],
    })
    const cold = storeOf([
      unitOf([
        [0, 3],
        [later - 60, 3],
        [later, 3],
      ]),
      unitOf([[0, -18]], { id: 'freezer', kind: 'freezer' }),
    ])
    const use = { ...part('assemble', 'x'), measure: { value: 2, unit: 'portion' as const } }
    expect(partShut(thawed, into, use, proven, cold, at(later))).toBeNull()
  })

  it('is not let go on by any word where its batch missed a law, or may still prove it', () => {
    const missed = new Story()
    missed.combined(5)
    missed.read(10, 80)
    missed.offHeat(12)
    missed.read(20, 57)
    expect(releaseBar(missed.batch, 'UTC', at(60))).toMatchObject({ code: 'still open' })
    missed.read(200, 30)
    expect(releaseBar(missed.batch, 'UTC', at(299))).toMatchObject({ code: 'law missed' })
    expect(releaseBar(proven.batch, 'UTC', at(9 * 24 * 60))).toBeNull()
    const released = itemOf({ holds: [letGo(250)] })
    expect(shut(released, {}, { batch: missed.batch, lots: [] })).toBe('not proven')
    // Not read in time is for the lead, who wrote why.
    const unread = new Story()
    unread.combined(5)
    unread.read(10, 80)
    unread.offHeat(12)
    unread.read(20, 57)
    expect(shut(released, {}, { batch: unread.batch, lots: [] }, 500)).toBeNull()
  })

  it('is never raw egg that nothing heats, nor fruit nobody treated or looked at', () => {
    const whites = itemOf({ what: 'by-product', ingredient: 'white', facts: facts({ heat: 'raw' }) })
    expect(shut(whites)).toBe('raw egg unheated')
    expect(shut({ ...whites, facts: facts({ heat: 'pasteurized' }) })).toBeNull()
    const purée = itemOf({ what: 'package', ingredient: 'berry-puree' })
    expect(shut(purée)).toBe('not looked at')
    expect(shut(purée, { condition: { good: false, why: null } })).toBe('looked bad')
    expect(partOf(itemOf(), { least: 0, likely: 0, most: 0 }, 'UTC')).toMatchObject({
      code: '62-1a',
      lastDay: '2027-03-05',
    })
  })

  it('is offered just where some reading and some look could let it in', () => {
    const lot = (treatment: string | null) => ({ treatment, verdict: 'accept', recall: null }) as unknown as LotState
    const items = fc
      .record({
        what: fc.constantFrom('package' as const, 'by-product' as const, 'portion' as const),
        ingredient: fc.constantFrom('white', 'yolk', 'berry-puree', 'milk', null),
        heat: fc.constantFrom<ItemFacts['heat']>('raw', 'pasteurized', 'cooked'),
        held: fc.boolean(),
        reads: fc.array(fc.tuple(fc.integer({ min: 0, max: 299 }), fc.integer({ min: 1, max: 12 })), { maxLength: 3 }),
      })
      .map(({ what, ingredient, heat, held, reads }) =>
        itemOf({
          what,
          ingredient,
          facts: facts({ heat }),
          readings: reads.map(([when, celsius]) => readOf(when, celsius)),
          holds: held
            ? [{ ...readOf(1, 0), amends: [], waiting: [], value: { held: true, reason: 'x', recall: null } }]
            : [],
        }),
      )
    const ancestry = fc.constantFrom(null, 'boiled').map((treatment) => ({ ...proven, lots: [lot(treatment)] }))
    fc.assert(
      fc.property(items, ancestry, fc.constantFrom(300, 4 * 24 * 60), (item, of, now) => {
        const best = { typed: { value: 1, unit: 'C' as const }, condition: { good: true, why: null } }
        const unfit = partUnfit(item, null, into, 'assemble', of, store, at(now))
        expect(shut(item, best, of, now)).toBe(unfit?.code ?? null)
        if (unfit)
          for (const celsius of [0, 3, 9])
            expect(shut(item, { typed: { value: celsius, unit: 'C' } }, of, now)).not.toBeNull()
      }),
    )
  })
})

it('keeps what nobody has read unknown, also where a part of the same name went in', () => {
  const dust = ownIngredient('own', 'Moon dust', 'sugar', null)
  const layered: Method = {
    ...trifle,
    own: [dust],
    amounts: [{ key: 'a', ingredient: 'own', grams: 5, count: null, step: 'assemble', state: 'as it is' }],
  }
  const story = new Story(us, layered)
  const { part: of, ...put } = part('assemble', '2027-03-09')
  story.enter('part-used', 1, { ...put, part: { ...of, name: 'Moon dust' } })
  expect(portion(story, layered, 30).facts).toMatchObject({ unknown: ['Moon dust'], claims: [] })
})

describe('what goes in besides', () => {
  const layered: Method = {
    ...trifle,
    amounts: [{ key: 'a', ingredient: 'sugar', grams: 5, count: null, step: 'assemble', state: 'as it is' }],
  }
  const besides = (ingredient: string, own?: Ingredient) => {
    const story = new Story(us, layered)
    story.enter('added', 1, {
      step: 'assemble',
      ingredient,
      ...(own ? { own } : {}),
      grams: 5,
      state: 'as it is',
      lot: null,
    })
    return portion(story, layered, 30).facts
  }

  it('takes back every claim that is not true of it, also where it has no allergen', () => {
    expect(besides('water').claims).toEqual([
      'vegetarian',
      'vegan',
      'without gluten',
      'without nuts',
      'without alcohol',
    ])
    expect(besides('honey').claims).not.toContain('vegan')
    expect(besides('gelatine').claims).not.toContain('vegetarian')
    expect(besides('vodka').claims).not.toContain('without alcohol')
    expect(besides('walnut')).toMatchObject({
      allergens: ['tree nuts'],
      claims: ['vegetarian', 'vegan', 'without gluten', 'without alcohol'],
    })
  })

  it('may be of the house’s own: unread it is unknown, and it never passes for what the catalogue has', () => {
    const dust = ownIngredient('own', 'Moon dust', 'sugar', null)
    expect(besides('own', dust)).toMatchObject({ claims: [], unknown: ['Moon dust'] })
    expect(besides('own', { ...dust, allergens: ['sesame'] }).allergens).toEqual(['sesame'])
    const noEgg = { ...dust, key: 'yolk' }
    expect(besides('yolk', noEgg)).toMatchObject({ allergens: ['egg'], heat: 'raw' })
    // What is raw egg has egg in it, whatever was read on its package.
    const mix = ownIngredient('own', 'Farm mix', 'egg', [])
    expect(besides('own', mix)).toMatchObject({ heat: 'raw', advisory: true, allergens: ['egg'] })
    const sent = {
      step: 'x',
      ingredient: 'own',
      own: { ...mix, allergens: [] },
      grams: null,
      state: 'as it is',
      lot: null,
    }
    expect(kinds.added.parse({ path: 'body', value: sent }).own).toEqual(mix)
    const body = { step: 'x', ingredient: 'yolk', own: noEgg, grams: null, state: 'as it is', lot: null }
    expect(() => kinds.added.parse({ path: 'body', value: body })).toThrow(FieldError)
    expect(() => kinds.added.parse({ path: 'body', value: { ...body, ingredient: 'sugar', own: dust } })).toThrow(
      FieldError,
    )
    expect(kinds.added.parse({ path: 'body', value: { ...body, ingredient: 'own', own: dust } })).toMatchObject({
      own: dust,
    })
  })
})
