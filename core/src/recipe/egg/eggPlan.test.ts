import { PRACTICE } from '../../rules/practice'
import { ruleSets } from '../../rules/sets/ruleSets'
import type { Method } from '../method/method'
import { newMethod } from '../method/newMethod'
import { eggPlan, mayUse } from './eggPlan'
import { custard, egg, held, limits, mousse } from '../../test/eggMethods'

const DAY = '2027-03-03'
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
