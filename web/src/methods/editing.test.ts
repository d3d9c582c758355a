import { newMethod, type Amount, type Method, type Problem } from '@logged-thermal/core'
import { edited, mends } from './editing'
import { asSentence } from './sentence'
import { methodMatches } from '../app/methodMatches'

const amount = (key: string, step: string, more: Partial<Amount> = {}): Amount => ({
  key,
  ingredient: 'yolk',
  grams: 100,
  count: null,
  step,
  state: 'as it is',
  ...more,
})
const custard: Method = {
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Fennel custard', family: 'poured-custard' }),
  steps: (['cook', 'cool', 'hold'] as const).map((kind) => ({ key: kind, kind, measures: 'mixture' })),
  amounts: [amount('a', 'cook')],
}
const keys = ({ steps }: Method) => steps.map(({ key }) => key)

describe('editing a method', () => {
  it('moves a step, within its ends', () => {
    expect(keys(edited(custard, { kind: 'move step', key: 'hold', to: 0 }))).toEqual(['hold', 'cook', 'cool'])
    expect(keys(edited(custard, { kind: 'move step', key: 'cook', to: 9 }))).toEqual(['cool', 'hold', 'cook'])
    expect(keys(custard)).toEqual(['cook', 'cool', 'hold'])
  })

  it('gives a second step of a kind a key of its own', () => {
    expect(keys(edited(custard, { kind: 'add step', step: 'cook', before: 'cool' }))).toEqual([
      'cook',
      'cook-2',
      'cool',
      'hold',
    ])
  })

  it('loses nothing when a step is taken away: what went in goes in with its neighbour', () => {
    const less = edited(custard, { kind: 'remove step', key: 'cook' })
    expect([keys(less), less.amounts[0]!.step]).toEqual([['cool', 'hold'], 'cool'])
    const one = { ...custard, steps: custard.steps.slice(0, 1) }
    expect(edited(one, { kind: 'remove step', key: 'cook' })).toBe(one)
  })

  it('takes the steps of a family only while nothing is in it', () => {
    expect(keys(edited({ ...custard, amounts: [] }, { kind: 'family', family: 'mousse', vesselId: 'w' }))).toEqual([
      'combine',
      'whip',
      'fold',
      'cool',
      'hold',
    ])
    expect(keys(edited(custard, { kind: 'family', family: 'mousse', vesselId: 'w' }))).toEqual(['cook', 'cool', 'hold'])
  })

  it('offers what mends a problem', () => {
    const problem: Problem = {
      id: 'p',
      code: 'egg after the last heat',
      weight: 'blocks',
      step: 'cool',
      amount: 'a',
      values: {},
    }
    const [move, lot] = mends(problem, { ...custard, amounts: [amount('a', 'cool')] })
    expect(edited(custard, move!.edit).amounts[0]!.step).toBe('cook')
    expect(edited(custard, lot!.edit).amounts[0]!.state).toBe('pasteurized lot')
  })

  it('keeps one reason a problem, and takes it back', () => {
    const kept = edited(edited(custard, { kind: 'justify', problem: 'p', reason: 'a' }), {
      kind: 'justify',
      problem: 'p',
      reason: 'b',
    })
    expect(kept.justified).toEqual([{ problem: 'p', reason: 'b' }])
    expect(edited(kept, { kind: 'justify', problem: 'p', reason: '' }).justified).toEqual([])
  })
})

describe('finding a method', () => {
  const facts = {
    allergens: ['egg' as const],
    claims: [],
    alcoholByVolume: 0,
    grams: 0,
    composition: null,
    unsure: 0,
    unchecked: [],
    unknown: [],
  }

  it('goes by name, family, ingredient with its synonyms, and allergen; every word has to be there', () => {
    for (const wanted of ['fennel', 'poured', 'yolks', 'EGG', 'fennel egg', ''])
      expect(methodMatches(custard, wanted, facts)).toBe(true)
    for (const wanted of ['mousse', 'fennel milk']) expect(methodMatches(custard, wanted, facts)).toBe(false)
  })
})

it('ends with a full stop where the cook wrote no end', () => {
  expect(['Strain it', 'Strain it!', 'Strain it…', ''].map(asSentence)).toEqual([
    'Strain it.',
    'Strain it!',
    'Strain it…',
    '',
  ])
})
