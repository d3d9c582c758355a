import type { EggsTaken } from '../ledger/entry'
import type { Variance } from '../rules/source'
import { PRACTICE, type Practice } from '../rules/practice'
import type { Amount, Method } from '../recipe/method/method'
import { newMethod } from '../recipe/method/newMethod'
import { limitsFrom, method } from './story'

/** Methods with eggs, the lot they come from, and limits with the house's practice. */

export const egg = (ingredient: string, grams: number, step: string): Amount => ({
  key: `${ingredient} ${step}`,
  ingredient,
  grams,
  count: null,
  step,
  state: 'as it is',
})
export const custard: Method = { ...method, amounts: [egg('yolk', 340, 'temper'), egg('milk', 2000, 'warm')] }
export const mousse = (raw: boolean): Method => ({
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Test mousse', family: 'mousse' }),
  raw,
  steps: [
    { key: 'fold', kind: 'fold', measures: 'mixture' },
    { key: 'cool', kind: 'cool', measures: 'mixture' },
    { key: 'hold', kind: 'hold', measures: 'mixture' },
  ],
  amounts: [egg('yolk', 200, 'fold'), egg('white', 400, 'fold')],
})
export const held: Variance = { authority: 'County', reference: 'L-4', reason: 'plan', validUntil: '2027-03-03' }
export const limits = (ruleSet = 'us-food-code-2022', practice: Partial<Practice> = {}) => ({
  ...limitsFrom(ruleSet),
  practice: { ...PRACTICE, ...practice },
})

export const LOT = '01a20bf3-5302-753b-a1ac-749fd32bb5cb'
export const taken = (more: Partial<EggsTaken> = {}): EggsTaken => ({
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
