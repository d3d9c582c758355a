import type { Id } from '../ledger/subject'
import { portionOf } from '../judgement/lineage/portion'
import { unanswered } from '../state/batch'
import { isLabelOutdated } from '../state/item'
import { inheritedOf } from '../state/newItem'
import { item } from '../test/pot'
import { idOf, type KitchenStory, LEAD } from '../test/kitchenStory'
import { CHURN, held, kitchen, made, nut, plain, SIEVE, strain, withSieve } from '../test/sieved'
import { at } from '../test/traces'

/** What is told only after it was put away still reaches its label. Minutes are after ten. */

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

  /** Some of a second batch through the sieve is put away, and goes into a third. */
  const withAPart = () => {
    const story = kitchen([SIEVE, 'sieve', 'Fine sieve'], [CHURN, 'churn', 'Churn'])
    const first = made(story, plain, 'first', 0)
    strain(story, first, 15)
    const second = made(story, plain, 'second', 16)
    strain(story, second, 30)
    for (const [minutes, celsius] of [
      [40, 57],
      [100, 20],
      [200, 4.5],
    ] as const)
      story.read(second, minutes, celsius)
    const part = story.putAway(second, 201, {}, plain)
    const into = story.begin('into', 205, plain)
    story.enter('part-used', part, 206, story.part(part, into, 206, 'cook'))
    story.mark(into, 210, 'temper', 'combined')
    return { story, first, part, into }
  }

  it('also through a part, and the tool that the batch with the part in it went through', () => {
    const { story, first, part, into } = withAPart()
    strain(story, into, 212, CHURN)
    const put = story.putAway(into, 214, {}, plain)
    const next = made(story, plain, 'next', 216)
    strain(story, next, 230, CHURN)
    const after = story.putAway(next, 231, {}, plain)
    for (const label of [put, after]) expect(item(story, label).facts.mayContain?.allergens ?? []).toEqual([])
    story.enter('added', first, 14, nuts, { after: 225 })
    const labels = [part, put, after].map((label) => item(story, label).facts.mayContain?.allergens)
    expect(labels).toEqual([['tree nuts'], ['tree nuts'], ['tree nuts']])
  })

  it('also on what is put away of such a batch after, and on what follows it through a tool then', () => {
    const { story, first, into } = withAPart()
    story.putAway(into, 211, {}, plain)
    story.enter('added', first, 14, nuts, { after: 200 })
    const later = story.putAway(into, 216, {}, plain)
    expect(item(story, later).facts.mayContain?.allergens).toEqual(['tree nuts'])
    expect(item(story, later).facts.claims).not.toContain('without nuts')
    strain(story, into, 218, CHURN)
    const next = made(story, plain, 'next', 220)
    strain(story, next, 235, CHURN)
    expect(held(story, next, 240, plain).mayContain?.allergens).toEqual(['tree nuts'])
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

  it('also where its use of the tool is taken back after', () => {
    const story = withSieve()
    const batch = made(story, nut, 'nutty', 0)
    const use = strain(story, batch, 15)
    story.putAway(batch, 20, {}, nut)
    story.correct(batch, 21, use)
    const next = made(story, plain, 'next', 30)
    strain(story, next, 45)
    expect(held(story, next, 50, plain).mayContain?.allergens).toEqual(['tree nuts'])
  })

  it('while one of its portions stays, also where another is taken back', () => {
    const story = withSieve()
    const batch = untold(story, 0)
    const mistaken = story.putAway(batch, 20, {}, nut)
    story.putAway(batch, 21, {}, nut)
    const { born } = item(story, mistaken)
    story.enter('taken-back', mistaken, 22, { target: born, also: [{ type: 'batch', id: batch }] })
    const next = made(story, plain, 'next', 30)
    strain(story, next, 45)
    expect(held(story, next, 50, plain).mayContain?.allergens).toEqual(['tree nuts'])
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

describe('a spirit that is told of only after', () => {
  const rum = (grams: number | null) => ({
    step: 'cook',
    ingredient: 'rum-dark',
    grams,
    state: 'as it is' as const,
    lot: null,
  })
  const alcoholOf = (story: KitchenStory, put: Id) => item(story, put).facts.alcohol

  it('is on what was put away before, without a figure, and on all that is made of it', () => {
    const story = withSieve()
    const batch = made(story, plain, 'first', 0)
    for (const [minutes, celsius] of [
      [50, 57],
      [110, 20],
      [250, 4.5],
    ] as const)
      story.read(batch, minutes, celsius)
    const put = story.putAway(batch, 251, {}, plain)
    const into = made(story, plain, 'second', 260)
    story.enter('part-used', put, 265, story.part(put, into, 265, 'cook'))
    const next = story.putAway(into, 280, {}, plain)
    expect([alcoholOf(story, put), alcoholOf(story, next)]).toEqual([undefined, undefined])
    story.enter('added', batch, 13, rum(80), { after: 280 })
    expect([alcoholOf(story, put), alcoholOf(story, next)]).toEqual([{ byVolume: null }, { byVolume: null }])
    expect(item(story, put).reached[0]!.value).toMatchObject({ alcohol: true })
    expect(unanswered(story.kitchen.read('batch', batch)!)).toHaveLength(1)
    expect(alcoholOf(story, story.putAway(into, 300, {}, plain))).toEqual({ byVolume: null })
  })

  it('takes the figure off a label that counted less, and changes nothing where it went in after', () => {
    const story = withSieve()
    const batch = made(story, plain, 'first', 0)
    story.enter('added', batch, 13, rum(40))
    const put = story.putAway(batch, 40, {}, plain)
    expect(alcoholOf(story, put)!.byVolume).toBeGreaterThan(0)
    story.enter('added', batch, 45, rum(40), { after: 5 })
    expect(alcoholOf(story, put)!.byVolume).toBeGreaterThan(0)
    story.enter('added', batch, 14, rum(40), { after: 60 })
    expect(alcoholOf(story, put)).toEqual({ byVolume: null })
  })
})
