import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { admit, parseClaim, type Author } from '../kinds/admission'
import { kinds } from '../kinds/kinds'
import type { Addition, AnyClaim, Bodies, EggsTaken, Kind } from '../ledger/entry'
import type { HeatStatus, LotReceived, PartUsed } from '../ledger/storeEntries'
import type { Variance } from '../limits/limit'
import { PRACTICE, type Practice } from '../limits/practice'
import { ruleSets } from '../limits/ruleSets'
import type { Amount, Method } from '../method/method'
import { newMethod } from '../method/newMethod'
import { wallsOf } from '../store/dating'
import { newItem } from '../state/newItem'
import type { Read } from '../state/state'
import { batchStanding } from '../verdict/judgeBatch'
import { limitsFrom, method, Story } from '../test/story'
import { at, TEN } from '../test/traces'
import { eggPlan, mayUse } from './eggPlan'
import { eggLedger, gramsTaken, isPooled, leftOverOf, lotTallies, toSettle, unnamedUses } from './ledger'

const DAY = '2027-03-03'
const egg = (ingredient: string, grams: number, step: string): Amount => ({
  key: `${ingredient} ${step}`,
  ingredient,
  grams,
  count: null,
  step,
  state: 'as it is',
})
const custard: Method = { ...method, amounts: [egg('yolk', 340, 'temper'), egg('milk', 2000, 'warm')] }
const mousse = (raw: boolean): Method => ({
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Test mousse', family: 'mousse' }),
  raw,
  steps: [
    { key: 'fold', kind: 'fold', measures: 'mixture' },
    { key: 'cool', kind: 'cool', measures: 'mixture' },
    { key: 'hold', kind: 'hold', measures: 'mixture' },
  ],
  amounts: [egg('yolk', 200, 'fold'), egg('white', 400, 'fold')],
})
const souffle = (portions: number): Method => ({
  ...newMethod({ id: 's', vesselId: 'v', name: 'Test soufflé', family: 'baked-custard' }),
  cooling: 'none',
  portions,
  steps: [
    { key: 'base', kind: 'combine', measures: 'mixture' },
    { key: 'wait', kind: 'mise', measures: 'mixture' },
    { key: 'bake', kind: 'bake', measures: 'mixture' },
    { key: 'serve', kind: 'serve at once', measures: 'mixture' },
  ],
  amounts: [egg('egg', 300, 'base')],
})
const held: Variance = { authority: 'County', reference: 'L-4', reason: 'plan', validUntil: '2027-03-03' }
const limits = (ruleSet = 'us-food-code-2022', practice: Partial<Practice> = {}) => ({
  ...limitsFrom(ruleSet),
  practice: { ...PRACTICE, ...practice },
})

describe('which eggs may go in', () => {
  it('takes any egg that a step heats, and only pasteurized where none does', () => {
    expect(eggPlan(custard, 2, limits(), false, DAY)).toMatchObject({
      uses: [{ step: 'temper', part: 'yolk', grams: 680, heated: true }],
      heated: 'any',
    })
    expect(eggPlan(mousse(false), 1, limits(), false, DAY)).toMatchObject({
      uses: [{ heated: false }, { heated: false }],
      unheated: 'pasteurized',
    })
  })

  // Written down from the documents, not from the data: where one says that raw shell egg may be served.
  it.each([
    ['us-food-code-2022', 'shell with advisory'],
    ['uk-2013', 'shell with advisory'],
    ['anz-3-2-2', 'shell with advisory'],
    ['ca-retail', 'pasteurized'],
    ['fr-2009', 'pasteurized'],
    ['strictest', 'pasteurized'],
  ])('of a raw method under %s: %s', (ruleSet, expected) => {
    expect(eggPlan(mousse(true), 1, limits(ruleSet), false, DAY).unheated).toBe(expected)
    expect(Object.keys(ruleSets)).toContain(ruleSet)
  })

  it('blocks raw shell egg wholly for susceptible people, and heated too where more than one is combined', () => {
    for (const forOrder of [true, false]) {
      const serving = limits('us-food-code-2022', { susceptible: !forOrder })
      expect(eggPlan(mousse(true), 1, serving, forOrder || serving.practice.susceptible, DAY).unheated).toBe(
        'pasteurized',
      )
      expect(eggPlan(custard, 1, serving, true, DAY).heated).toBe('pasteurized')
      // One egg is not pooled.
      expect(eggPlan(custard, 0.1, serving, true, DAY).heated).toBe('any')
    }
  })

  it('knows the exceptions: one serving at once, combined right before baking, a written plan to its last day', () => {
    expect(eggPlan(souffle(1), 1, limits(), true, DAY).heated).toBe('any')
    expect(eggPlan(souffle(4), 1, limits(), true, DAY).heated).toBe('pasteurized')
    const right = { ...souffle(4), steps: souffle(4).steps.filter(({ key }) => key !== 'wait') }
    expect(eggPlan(right, 1, limits(), true, DAY).heated).toBe('any')
    const planned = limits('us-food-code-2022', { permits: { ...PRACTICE.permits, susceptiblePlan: held } })
    expect(eggPlan(custard, 1, planned, true, '2027-03-03').heated).toBe('any')
    expect(eggPlan(custard, 1, planned, true, '2027-03-04').heated).toBe('pasteurized')
  })

  it('lets a pasteurized lot in everywhere', () => {
    for (const rule of ['any', 'pasteurized', 'shell with advisory'] as const)
      expect(mayUse(rule, 'pasteurized')).toBe(true)
    expect(mayUse('pasteurized', 'shell')).toBe(false)
  })
})

const LOT = '01a20bf3-5302-753b-a1ac-749fd32bb5cb'
const taken = (more: Partial<EggsTaken> = {}): EggsTaken => ({
  step: 'temper',
  lot: LOT,
  form: 'shell',
  as: 'separated',
  cracked: 24,
  rejected: 2,
  grams: {},
  size: 'US L',
  item: null,
  ...more,
})

describe('the separation ledger', () => {
  const story = (...eggs: EggsTaken[]) => {
    const made = new Story(limits(), custard)
    for (const each of eggs) made.enter('eggs-taken', 1, each)
    return made
  }

  it('reckons from the count, and from the scale where it was weighed', () => {
    expect(gramsTaken(taken())).toEqual({ whole: 0, yolk: 24 * 17, white: 24 * 33 })
    expect(gramsTaken(taken({ grams: { yolk: 401 } }))).toMatchObject({ yolk: 401, white: 792 })
    expect(gramsTaken(taken({ as: 'white', cracked: null, grams: { white: 500 } }))).toMatchObject({
      yolk: 0,
      white: 500,
    })
  })

  it('leaves nothing out: what was taken is used, settled or left', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ cracked: fc.integer({ min: 1, max: 60 }), separated: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (bowls, share) => {
          const { batch } = story(
            ...bowls.map(({ cracked, separated }) => taken({ cracked, as: separated ? 'separated' : 'whole' })),
          )
          const before = eggLedger(batch)
          const kept = before.flatMap(({ part, left }) => {
            const grams = Math.round(left * share * 10) / 10
            return grams > 0 ? [leftOverOf(batch, part, grams, 'kept', [])!] : []
          })
          const after = new Story(limits(), custard)
          for (const { cracked, separated } of bowls)
            after.enter('eggs-taken', 1, taken({ cracked, as: separated ? 'separated' : 'whole' }))
          for (const each of kept) after.enter('left-over', 2, each)
          for (const { taken: has, used, settled, left } of eggLedger(after.batch)) {
            expect(Math.min(used, has) + settled + left).toBeCloseTo(has, 0)
          }
        },
      ),
    )
  })

  it('asks for what is left once it is a third of an egg, and names its lineage', () => {
    const { batch } = story(taken())
    expect(toSettle(batch).map(({ part, left }) => [part, left])).toEqual([
      ['yolk', 68],
      ['white', 792],
    ])
    expect(leftOverOf(batch, 'white', 792, 'kept', [])).toEqual({
      batch: 'batch',
      code: '62-1',
      part: 'white',
      grams: 792,
      then: 'kept',
      made: at(1),
      lots: [LOT],
      heat: 'shell',
      useBys: [],
      spot: null,
    })
    expect(toSettle(story(taken({ cracked: 20, grams: { yolk: 350, white: 10 } })).batch)).toEqual([])
  })

  it('counts good and rejected lot by lot, and warns of a pool', () => {
    const two = story(taken(), taken({ lot: 'other', cracked: 6, rejected: 0 }))
    expect(lotTallies(two.batch).map(({ lot, cracked, rejected }) => [lot, cracked, rejected])).toEqual([
      [LOT, 24, 2],
      ['other', 6, 0],
    ])
    expect(isPooled(two.batch)).toBe(true)
    expect(isPooled(story(taken({ cracked: 1 })).batch)).toBe(false)
    expect(isPooled(story(taken({ form: 'pasteurized' })).batch)).toBe(false)
  })

  it('dates a left-over by its part and by its lots', () => {
    const { batch } = story(taken())
    const lastDay = (part: 'white' | 'yolk', useBy: string | null, id = LOT) => {
      const body = leftOverOf(batch, part, 60, 'kept', [{ id, code: 'T-1', useBy }])!
      const claim = { kind: 'left-over', id: 'e', about: { type: 'item', id: 'i' }, at: at(1), by: 'mina', body }
      const item = newItem('i', { claim: claim as unknown as AnyClaim, seal: null })!
      return wallsOf(item.dating, null, [], 'UTC')[0]
    }
    expect(lastDay('white', null)).toMatchObject({ lastDay: '2027-03-06' })
    expect(lastDay('yolk', null)).toMatchObject({ lastDay: '2027-03-04' })
    expect(lastDay('white', '2027-03-05')).toMatchObject({ lastDay: '2027-03-05', ruledBy: 'T-1' })
    expect(lastDay('white', '2027-03-05', 'other')).toMatchObject({ lastDay: '2027-03-06' })
  })
})

describe('egg that no step heats is proven by its lot', () => {
  const made = (...eggs: [minutes: number, EggsTaken][]) => {
    const story = new Story(limits(), mousse(false))
    for (const [minutes, each] of eggs) story.enter('eggs-taken', minutes, each)
    return story
  }
  const carton = (as: 'yolk' | 'white') =>
    taken({ step: 'fold', form: 'pasteurized', as, cracked: null, grams: { [as]: 400 } })
  const standing = (story: Story, minutes: number) => story.standing('pasteurized-egg', minutes)

  it('is open until all is together, then not proven, until every part has its lot', () => {
    const story = made([1, carton('yolk')])
    expect(standing(story, 2)).toBe('open')
    story.enter('step-marked', 3, { step: 'fold', edge: 'combined', reason: null })
    expect(standing(story, 4)).toBe('unproven')
    expect(batchStanding(story.findings(4))).toBe('unproven')
    story.enter('eggs-taken', 5, carton('white'))
    expect(standing(story, 6)).toBe('proven')
    expect(unnamedUses(story.batch)).toEqual([])
  })

  it('is proven by parts of pasteurized egg that were kept, as by a lot, and missed by raw ones', () => {
    const kept = (egg: 'white' | 'yolk', heat: HeatStatus): PartUsed => ({
      batch: 'batch',
      step: 'fold',
      measure: { value: 400, unit: 'g' },
      typed: { value: 3, unit: 'C' },
      instrument: 'P2',
      warm: false,
      condition: null,
      part: {
        item: `kept ${egg}`,
        code: '61-2w',
        name: 'Whites',
        lastDay: '2027-03-06',
        until: null,
        egg,
        facts: { allergens: ['egg'], claims: [], advisory: false, heat, needsCold: true, unknown: [] },
      },
    })
    const story = made([1, carton('yolk')])
    expect(unnamedUses(story.batch).map(({ part }) => part)).toEqual(['white'])
    story.enter('part-used', 2, kept('white', 'pasteurized'))
    expect(unnamedUses(story.batch)).toEqual([])
    story.enter('step-marked', 3, { step: 'fold', edge: 'combined', reason: null })
    expect(standing(story, 4)).toBe('proven')
    story.enter('part-used', 5, kept('white', 'raw'))
    expect(standing(story, 6)).toBe('missed')
    // Something else from the store names no egg.
    const other = made([1, carton('yolk')])
    other.enter('part-used', 2, {
      ...kept('white', 'pasteurized'),
      part: { ...kept('white', 'cooked').part, egg: null },
    })
    expect(unnamedUses(other.batch)).toHaveLength(1)
  })

  it('is missed by a shell egg, and by nothing else', () => {
    expect(standing(made([1, carton('yolk')], [2, taken({ step: 'fold' })]), 3)).toBe('missed')
  })

  it('is no check of a method that heats its egg, nor of one that serves it raw', () => {
    expect(new Story(limits(), custard).findings(1).map(({ check }) => check.key)).not.toContain('pasteurized-egg')
    expect(new Story(limits(), mousse(true)).findings(1).map(({ check }) => check.key)).not.toContain('pasteurized-egg')
  })

  it('keeps a raw one for 24 hours from combining', () => {
    const raw = new Story(limits(), mousse(true))
    raw.enter('step-marked', 10, { step: 'fold', edge: 'combined', reason: null })
    expect(raw.finding('raw-class', 11)).toMatchObject({ standing: 'open', deadline: at(10 + 24 * 60) })
    expect(raw.standing('raw-class', 10 + 24 * 60)).toBe('missed')
    // A foam made at ten in the evening is served until ten the next: no day of the house's cuts it short.
    expect(raw.findings(11).map(({ check }) => check.key)).not.toContain('house-days')
  })
})

describe('admitting eggs, lots and what is left', () => {
  const ID = uuid()
  const lotOf = (more: Partial<LotReceived> = {}) => ({
    id: LOT,
    receivedAt: TEN,
    code: 'T-1',
    ingredient: 'egg',
    form: 'shell' as const,
    size: null,
    supplier: 'hens',
    useBy: '2027-03-05',
    pasteurized: null,
    verdict: 'accept' as const,
    decided: null,
    recall: null,
    ...more,
  })
  const world = (story: Story, lot = lotOf(), more: Record<string, unknown> = {}): Read => {
    const states: Record<string, unknown> = {
      [`batch ${ID}`]: { ...story.batch, id: ID },
      [`lot ${LOT}`]: lot,
      ...more,
    }
    return (type, id) => (states[`${type} ${id}`] ?? null) as never
  }
  const author: Author = {
    kitchen: ID,
    role: 'cook',
    signed: false,
    now: TEN,
    zone: 'UTC',
    limits: ID,
    clockAheadMs: 0,
  }
  const said = <K extends Kind>(kind: K, body: Bodies[K], read: Read, when: number = TEN, about = ID) => {
    const subject = { type: kinds[kind].about, id: about }
    const raw = {
      id: uuid(),
      kitchen: ID,
      kind,
      v: kinds[kind].v,
      about: subject,
      at: when,
      madeAt: when,
      by: ID,
      device: ID,
      body,
    }
    return admit(parseClaim(raw), { ...author, now: when }, read)?.code ?? 'admitted'
  }
  const addition = (more: Partial<Addition>): Addition => ({
    step: 'fold',
    ingredient: 'yolk',
    grams: 40,
    state: 'as it is',
    lot: null,
    ...more,
  })

  it('refuses a shell lot for an unheated use and for susceptible people, and takes it where it is cooked', () => {
    const fold = taken({ step: 'fold' })
    expect(said('eggs-taken', fold, world(new Story(limits(), mousse(false))))).toBe('wrong egg')
    expect(said('eggs-taken', fold, world(new Story(limits(), mousse(true))))).toBe('admitted')
    expect(said('eggs-taken', fold, world(new Story(limits(), mousse(true), true)))).toBe('wrong egg')
    expect(said('eggs-taken', taken(), world(new Story(limits(), custard)))).toBe('admitted')
    expect(said('eggs-taken', taken(), world(new Story(limits(), custard, true)))).toBe('wrong egg')
  })

  it('refuses a lot that is said to be another, is past its day, or is not there', () => {
    const cooked = new Story(limits(), custard)
    expect(said('eggs-taken', taken({ form: 'pasteurized' }), world(cooked))).toBe('other lot')
    expect(said('eggs-taken', taken(), world(cooked), TEN + 3 * 86_400_000)).toBe('lot past its day')
    expect(said('eggs-taken', taken({ lot: uuid() }), world(cooked))).toBe('not there')
    expect(said('eggs-taken', taken({ step: 'bake' }), world(cooked))).toBe('not there')
  })

  it('takes an egg after the heat where it can be cooked again, and never where nothing cooks it', () => {
    expect(said('added', addition({ step: 'cook' }), world(new Story(limits(), custard)))).toBe('admitted')
    expect(said('added', addition({}), world(new Story(limits(), mousse(false))))).toBe('wrong egg')
    expect(said('added', addition({ state: 'pasteurized lot' }), world(new Story(limits(), mousse(false))))).toBe(
      'lot needed',
    )
    expect(
      said('added', addition({ state: 'pasteurized lot', lot: 'Y-1' }), world(new Story(limits(), mousse(false)))),
    ).toBe('admitted')
  })

  it('counts eggs heated here as pasteurized only under a written variance, to its last day', () => {
    const lot: LotReceived = {
      code: 'H-1',
      ingredient: 'egg',
      form: 'pasteurized',
      size: null,
      supplier: 'this kitchen',
      useBy: null,
      pasteurized: { by: 'this kitchen', limits: ID },
      name: 'Whole egg',
      scheme: null,
      treatment: null,
      received: null,
      condition: null,
      verdict: 'hold',
      why: 'made here',
      held: null,
    }
    const under = (heatedEggs: Variance | null): Read =>
      world(new Story(), lotOf(), {
        [`limits ${ID}`]: { versions: [limits('us-food-code-2022', { permits: { ...PRACTICE.permits, heatedEggs } })] },
      })
    const fresh = uuid()
    expect(said('lot-received', lot, under(null), TEN, fresh)).toBe('heated here')
    expect(said('lot-received', lot, under(held), TEN, fresh)).toBe('admitted')
    expect(said('lot-received', lot, under(held), TEN + 86_400_000, fresh)).toBe('heated here')
    expect(
      said('lot-received', { ...lot, pasteurized: { by: 'maker', certificate: 'C-1' } }, under(null), TEN, fresh),
    ).toBe('admitted')
    expect(() => said('lot-received', { ...lot, pasteurized: null }, under(null), TEN, fresh)).toThrow('missing')
  })

  it('takes of the left-overs no more than there are, nor with another lineage', () => {
    const story = new Story(limits(), custard)
    story.enter('eggs-taken', 0, taken())
    const read = world(story)
    const whites = leftOverOf({ ...story.batch, id: ID }, 'white', 792, 'kept', [lotOf()])!
    expect(said('left-over', whites, read, TEN, uuid())).toBe('admitted')
    expect(said('left-over', { ...whites, grams: 900 }, read, TEN, uuid())).toBe('admitted')
    expect(said('left-over', { ...whites, grams: 1200 }, read, TEN, uuid())).toBe('more than is left')
    expect(said('left-over', { ...whites, heat: 'pasteurized' }, read, TEN, uuid())).toBe('other lineage')
    expect(said('left-over', { ...whites, part: 'whole' }, read, TEN, uuid())).toBe('other lineage')
  })
})
