import { ownIngredient } from '../ingredient/own'
import { parseMethod } from './parseMethod'
import fc from 'fast-check'
import { checksFor } from '../checks/checksFor'
import { limitsFrom } from '../../test/story'
import { differences } from './difference'
import { termsOf } from '../checks/terms'
import { expectedSteps } from '../checks/expected'
import { factsOf, ingredientOf, unboiledFruit } from './facts'
import { reopens } from '../../judgement/timeline/rawIn'
import { heatPlan } from './heatPlan'
import { type Amount, type FamilyKey, type Method, type Step, type StepKind, FAMILY_KEYS } from './method'
import { newMethod } from './newMethod'
import { blocking, problemsOf } from '../checks/problems'
import { factorOf, scaled } from './scaling'

const DAY = '2027-03-03'
const us = limitsFrom('us-food-code-2022')

function step(kind: StepKind, part?: string, key = kind.replaceAll(' ', '-')): Step {
  return { key, kind, measures: part ? { part } : 'mixture' }
}

function amount(ingredient: string, grams: number | null, at: string, more: Partial<Amount> = {}): Amount {
  return { key: ingredient, ingredient, grams, count: null, step: at, state: 'as it is', ...more }
}

function method(family: FamilyKey, steps: Step[], amounts: Amount[], more: Partial<Method> = {}): Method {
  return { ...newMethod({ id: family, vesselId: 'v', name: family, family }), steps, amounts, ...more }
}

const cream = (amounts: Amount[] = [], steps: Step[] = []) =>
  method(
    'starch-custard',
    steps.length
      ? steps
      : [
          step('heat dairy', 'dairy'),
          step('temper', 'dairy'),
          step('cook'),
          step('boil out'),
          step('cool'),
          step('hold'),
        ],
    amounts.length
      ? amounts
      : [
          amount('milk', 2400, 'heat-dairy'),
          amount('yolk', 480, 'temper'),
          amount('sugar', 480, 'temper'),
          amount('corn-starch', 200, 'temper'),
        ],
  )

const none = () => null
const codes = (made: Method, limits = us) =>
  problemsOf(made, limits, DAY, none).map(({ code, step: at }) => `${code} at ${at}`)

describe('which marks the heat of a method has', () => {
  it('ends with the last step that heats the mixture, and begins where it is whole', () => {
    expect(heatPlan(cream())).toMatchObject({
      combined: { step: 'temper', edge: 'combined' },
      killed: { step: 'boil-out', edge: 'done' },
    })
  })

  it('is read in the foam where only the syrup is cooked', () => {
    const foam = method('yolk-foam', [step('cook', 'syrup'), step('combine'), step('cool'), step('hold')], [])
    expect(heatPlan(foam)).toMatchObject({
      combined: { step: 'combine', edge: 'combined' },
      killed: { step: 'combine', edge: 'done' },
    })
    const [floor] = checksFor(foam, us, DAY)
    expect(floor).toMatchObject({
      key: 'egg',
      evidence: { of: 'mixture', from: { step: 'combine', edge: 'combined' } },
    })
  })

  it('starts an ambient cooling where things are put together, and none when served at once', () => {
    const mousse = method('mousse', [step('whip', 'cream'), step('fold'), step('cool'), step('hold')], [])
    const checks = checksFor(mousse, us, DAY)
    expect(checks.map(({ key }) => key)).toEqual([
      'cool-ambient',
      'rewarmed',
      'cold-holding',
      'date-marking',
      'house-days',
    ])
    expect(checks[0]!.evidence.from).toEqual({ step: 'fold', edge: 'combined' })
    const served = method('baked-custard', [step('bake'), step('serve at once')], [], { cooling: 'none' })
    expect(checksFor(served, us, DAY).map(({ key }) => key)).toEqual(['egg-immediate', 'ceiling', 'serve-by'])
    expect(checksFor(served, limitsFrom('uk-2013'), DAY)[0]!.key).toBe('egg')
  })

  it('carries the boil-out as quality, hours for the raw class, and the boil of untreated fruit', () => {
    const found = (made: Method) => checksFor(made, us, DAY).map(({ key, limit }) => `${key} ${limit.force}`)
    expect(found(cream())).toContain('boil-out quality')
    expect(found(method('mousse', [step('fold'), step('cool'), step('hold')], [], { raw: true }))).toContain(
      'raw-class house',
    )
    expect(
      found(method('fruit-jelly', [step('cook'), step('cool'), step('hold')], [], { untreatedFruit: true })),
    ).toContain('fruit-boil house')
  })

  it('resolves for every family and rule set, from its own steps', () => {
    for (const family of FAMILY_KEYS)
      for (const set of ['us-food-code-2022', 'uk-2013', 'strictest'])
        expect(() =>
          checksFor(newMethod({ id: 'm', vesselId: 'v', name: 'm', family }), limitsFrom(set), DAY),
        ).not.toThrow()
  })
})

it('says how much of what is to be cooled is of a composition that nobody documented, and of the house’s own always', () => {
  const unsure = (...more: [ingredient: string, grams: number][]) => {
    const own = [ownIngredient('own', 'Farm butter', 'butter', [])]
    const amounts = [amount('milk', 600, 'cook'), ...more.map(([of, grams]) => amount(of, grams, 'cook'))]
    const { product } = termsOf(method('starch-custard', [step('cook')], amounts, { own }), 1, us, false, DAY)
    return product!.unsure
  }
  expect(unsure(['yolk', 200])).toBeUndefined()
  expect(unsure(['quince', 200])).toBe(0.25)
  expect(unsure(['own', 200])).toBe(0.25)
})

describe('what is wrong with a method', () => {
  it('is nothing in a whole one', () => {
    expect(codes(cream())).toEqual([])
  })

  it.each<[string, Method, string]>([
    ['a quantity that is missing', cream([amount('milk', null, 'heat-dairy')]), 'no amount at heat-dairy'],
    [
      'starch without a boil-out',
      cream([], [step('heat dairy', 'dairy'), step('temper', 'dairy'), step('cook'), step('cool'), step('hold')]),
      'starch not boiled at temper',
    ],
    ['starch that joins after it', cream([amount('corn-starch', 10, 'cool')]), 'starch not boiled at cool'],
    ['egg after the last heat', cream([amount('yolk', 120, 'cool')]), 'egg after the last heat at cool'],
    [
      'egg that no step heats',
      method('mousse', [step('fold'), step('cool'), step('hold')], [amount('egg', 100, 'fold')]),
      'egg not heated at fold',
    ],
    [
      'frozen fruit',
      method(
        'fruit-jelly',
        [step('cook'), step('cool'), step('hold')],
        [amount('berry-puree', 100, 'cook', { state: 'frozen' })],
      ),
      'frozen fruit not treated at cook',
    ],
    ['a floor above the ceiling', { ...cream(), ceiling: { c: 60, f: 140 } }, 'floor above ceiling at boil-out'],
    ['a step that is missing', cream([], [step('cook'), step('boil out'), step('hold')]), 'step missing at null'],
    [
      'sugar by tens',
      cream([amount('milk', 1000, 'heat-dairy'), amount('sugar', 4800, 'temper')]),
      'much sugar at temper',
    ],
    [
      'gelatine by tens',
      method(
        'gelatine-cream',
        [step('heat dairy'), step('cool'), step('hold')],
        [amount('cream-36', 1000, 'heat-dairy'), amount('gelatine', 120, 'heat-dairy')],
      ),
      'much gelatine at heat-dairy',
    ],
    [
      'salt above 2 %',
      cream([amount('milk', 1000, 'heat-dairy'), amount('salt', 30, 'temper')]),
      'much salt at temper',
    ],
    [
      'cream too lean to whip',
      method('whipped-cream', [step('whip'), step('hold')], [amount('cream-18', 500, 'whip')]),
      'lean cream at whip',
    ],
    [
      'sugar that slows the kill',
      method(
        'white-foam',
        [step('combine', 'whites'), step('cook'), step('whip'), step('hold')],
        [amount('white', 500, 'combine'), amount('sugar', 900, 'combine')],
      ),
      'sugar slows the kill at combine',
    ],
    [
      'a part that nobody knows',
      { ...cream(), components: [{ key: 'c', method: 'x', name: 'X', grams: 1, step: 'cook' }] },
      'component unknown at cook',
    ],
  ])('names %s, at its step', (_, made, expected) => {
    expect(codes(made)).toContain(expected)
  })

  it('takes a pasteurized lot, a treated lot, and boiled fruit', () => {
    expect(
      codes(
        method(
          'mousse',
          [step('fold'), step('cool'), step('hold')],
          [amount('egg', 100, 'fold', { state: 'pasteurized lot' })],
        ),
      ),
    ).toEqual([])
    const jelly = method(
      'fruit-jelly',
      [step('cook'), step('cool'), step('hold')],
      [amount('berry-puree', 100, 'cook', { state: 'frozen' })],
      { untreatedFruit: true },
    )
    expect(codes(jelly)).toEqual([])
  })

  it('blocks until it is changed or justified in writing; what is only asked about never blocks', () => {
    const raw = method('mousse', [step('fold'), step('cool'), step('hold')], [amount('egg', 100, 'fold')])
    const problems = problemsOf(raw, us, DAY, none)
    expect(blocking(problems, raw)).toHaveLength(1)
    expect(blocking(problems, { justified: [{ problem: problems[0]!.id, reason: 'advisory on the menu' }] })).toEqual(
      [],
    )
    const asked = cream([amount('milk', 1000, 'heat-dairy'), amount('salt', 30, 'temper')])
    expect(blocking(problemsOf(asked, us, DAY, none), asked)).toEqual([])
  })
})

it('takes frozen fruit as untreated until somebody says that it was treated, however it is written', () => {
  const topped = (state: Amount['state'], ingredient = 'frozen-raspberries') =>
    unboiledFruit(
      method('gelatine-cream', [step('heat dairy'), step('set')], [amount(ingredient, 200, 'set', { state })]),
    )
  expect(topped('as it is')).toHaveLength(1)
  expect(topped('frozen')).toHaveLength(1)
  expect(topped('treated')).toEqual([])
  expect(topped('as it is', 'raspberries')).toEqual([])
  expect(topped('frozen', 'raspberries')).toHaveLength(1)
  // Also one of the house's own that is like it.
  const own = ownIngredient('own', 'Hedge berries', 'frozen-berries', [])
  const ours = method('gelatine-cream', [step('set')], [amount('own', 200, 'set')], { own: [own] })
  expect(unboiledFruit(ours)).toHaveLength(1)
  expect(reopens({ ingredient: 'own', own, state: 'as it is' })).toBe(true)
  const washed = ownIngredient('own', 'Hedge herbs', 'fresh-herbs', [])
  expect(termsOf({ ...ours, own: [washed] }, 1, us, false, DAY).washed).toEqual([{ step: 'set', ingredient: 'own' }])
  expect(reopens({ ingredient: 'frozen-cherries', state: 'as it is' })).toBe(true)
  expect(reopens({ ingredient: 'frozen-cherries', state: 'treated' })).toBe(false)
})

describe('what the label says', () => {
  it('follows a swap, and takes back what is not true any more', () => {
    const set = method(
      'gelatine-cream',
      [step('heat dairy')],
      [amount('oat-drink', 900, 'heat-dairy'), amount('agar', 9, 'heat-dairy')],
    )
    expect(factsOf(set, none)).toMatchObject({
      allergens: ['gluten'],
      claims: ['vegetarian', 'vegan', 'without nuts', 'without alcohol'],
    })
    const swapped = { ...set, amounts: [amount('milk', 900, 'heat-dairy'), amount('gelatine', 9, 'heat-dairy')] }
    expect(factsOf(swapped, none)).toMatchObject({
      allergens: ['milk'],
      claims: ['without gluten', 'without nuts', 'without alcohol'],
    })
  })

  it('claims nothing of an ingredient of the house’s own that nobody has read, and names it', () => {
    const dust = ownIngredient('own', 'Moon dust', 'sugar', null)
    const set = method(
      'gelatine-cream',
      [step('heat dairy')],
      [amount('agar', 9, 'heat-dairy'), amount('own', 5, 'heat-dairy')],
    )
    expect(factsOf({ ...set, own: [dust] }, none)).toMatchObject({
      allergens: [],
      claims: [],
      unchecked: ['Moon dust'],
    })
    const read = ownIngredient('own', 'Moon dust', 'sugar', ['sesame'])
    expect(factsOf({ ...set, own: [read] }, none)).toMatchObject({
      allergens: ['sesame'],
      claims: expect.arrayContaining(['vegan', 'without nuts']) as string[],
      unchecked: [],
    })
    // Raw egg stays raw egg, and starch starch, whatever it is called.
    expect(ownIngredient('own', 'Farm mix', 'yolk', [])).toMatchObject({ egg: 'yolk', needsCold: true })
    expect(() => ownIngredient('own', 'x', 'moon', [])).toThrow(RangeError)
    const id = '019aa000-0000-7000-8000-000000000001'
    const kept = { ...set, id, vessel: { ...set.vessel, id }, own: [dust, { ...read, key: 'other', density: null }] }
    expect(parseMethod({ path: 'm', value: JSON.parse(JSON.stringify(kept)) }).own).toEqual(kept.own)
  })

  it('counts the parts of parts, and claims nothing where one is not known', () => {
    const base = cream()
    const filled = {
      ...method('enriched-custard', [step('fold')], []),
      id: 'filled',
      components: [{ key: 'c', method: base.id, name: 'c', grams: 500, step: 'fold' }],
    }
    expect(factsOf(filled, (id) => (id === base.id ? base : null)).allergens).toEqual(['egg', 'milk'])
    expect(factsOf(filled, none)).toMatchObject({ claims: [], unknown: ['c'] })
    const ring = { ...base, components: [{ key: 'c', method: base.id, name: 'itself', grams: 5, step: 'cook' }] }
    expect(factsOf(ring, () => ring).unknown).toEqual(['itself'])
  })

  it('has composition that is whole, and alcohol by volume', () => {
    const { composition } = factsOf(cream(), none)
    const { water, protein, fat, carbohydrate, fibre = 0, ash } = composition!
    expect(water + protein + fat + carbohydrate + fibre + ash).toBeCloseTo(1, 6)
    const nog = method('heated-nog', [step('cook')], [amount('milk', 900, 'cook'), amount('spirit', 100, 'cook')])
    expect(factsOf(nog, none).alcoholByVolume).toBeCloseTo(0.042, 3)
  })
})

describe('scaling', () => {
  const made = cream([amount('milk', 1000, 'heat-dairy'), amount('yolk', 204, 'temper', { count: 12 })])

  it('turns a fraction of an egg into grams, and keeps whole ones', () => {
    expect(scaled(made, 0.5).amounts[1]).toMatchObject({ grams: 102, count: 6 })
    expect(scaled(made, 0.3).amounts[1]).toMatchObject({ grams: 61.2, count: null })
    expect(scaled(made, 2).vessel.fillDepth).toBe(0.1)
  })

  it('is by portions, by what is there to use up, or by a factor; anything else is refused', () => {
    expect(factorOf({ ...made, portions: 40 }, { kind: 'portions', portions: 60 })).toBe(1.5)
    expect(factorOf(made, { kind: 'eggs', part: 'yolk', count: 18 })).toBeCloseTo(1.5, 9)
    expect(() => factorOf(made, { kind: 'portions', portions: 10 })).toThrow(/does not say how many/)
    expect(() => factorOf(made, { kind: 'factor', factor: 0 })).toThrow(/factor: 0/)
    expect(() => factorOf(made, { kind: 'grams', amount: 'gold', grams: 1 })).toThrow(/gold/)
  })

  it('keeps every share the same, for any factor', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 40, noNaN: true }), (factor) => {
        const share = (each: Method) => each.amounts[1]!.grams! / each.amounts[0]!.grams!
        expect(share(scaled(made, factor))).toBeCloseTo(share(made), 2)
      }),
    )
  })
})

describe('two versions side by side', () => {
  it('show what differs and nothing else', () => {
    const before = cream()
    const after = {
      ...before,
      houseDays: 2,
      steps: [before.steps[1]!, before.steps[0]!, ...before.steps.slice(2)],
      amounts: [...before.amounts.slice(1), amount('butter', 90, 'cook')],
    }
    expect(differences(before, before)).toEqual([])
    expect(differences(before, after).map(({ what, key }) => `${what} ${key ?? ''}`.trim())).toEqual([
      'order of steps',
      'amount milk',
      'amount butter',
      'keeping',
    ])
  })
})

it('every step has its place in the picture, in order', () => {
  const steps = expectedSteps(cream(), [])
  expect(steps[0]!.from).toBe(0)
  expect(steps.at(-1)!.to).toBeCloseTo(1, 9)
  steps.slice(1).forEach(({ from }, i) => expect(from).toBe(steps[i]!.to))
  expect(ingredientOf(amount('nothing', 1, 'x'), { own: [] })).toBeNull()
})
