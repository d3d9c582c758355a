import { limitSetOf, newMethod, ruleSets, type Method, type MethodState } from '@logged-thermal/core'
import type { LineData } from '../app/lineData'
import { at, judged } from '../test/judgedBatch'
import { idOf, sourced, sourcesIn } from './source'

const limits = limitSetOf(ruleSets['us-food-code-2022']!, { id: 'l', from: 0, unit: 'C' })
const custard: Method = {
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Custard', family: 'poured-custard' }),
  steps: (['temper', 'cook', 'cool', 'hold'] as const).map((kind) => ({
    key: kind,
    kind,
    measures: 'mixture' as const,
  })),
  amounts: [{ key: 'milk', ingredient: 'milk', grams: 2000, count: null, step: 'temper', state: 'as it is' }],
  instructions: {
    cook: {
      text: 'Stir to 82°',
      target: { from: { c: 80, f: 176 }, to: { c: 82, f: 180 } },
    } as unknown as Method['instructions'][string],
  },
}
const approved = (method: Method) =>
  ({ id: method.id, versions: [method], approvals: [{ version: method.version }] }) as unknown as MethodState
const line = (more: Partial<LineData> = {}) =>
  ({
    kitchen: { zone: 'UTC' },
    limits: { versions: [limits] },
    batches: [],
    methods: [],
    ...more,
  }) as unknown as LineData
const batch = (id: string, celsius: number) => ({
  ...judged(
    [
      [10, 80],
      [20, celsius],
    ],
    21,
  ).batch,
  id,
})

describe('what there is to cool', () => {
  it('is what is still warm, the hottest first: it is poured next', () => {
    const found = sourcesIn(line({ batches: [batch('tepid', 40), batch('cold', 20), batch('hot', 64)] }), at(21))
    expect(found.map(idOf)).toEqual(['hot', 'tepid'])
  })

  it('is nothing that the lead has decided about, nor what is served hot', () => {
    const decided = { ...batch('held', 60), disposition: { value: { decision: 'hold' } } } as never
    const hot = batch('souffle', 60)
    const served = { ...hot, method: { ...hot.method, cooling: 'none' as const } }
    expect(sourcesIn(line({ batches: [decided, served] }), at(21))).toEqual([])
  })
})

describe('what a source is reckoned with', () => {
  it('is never colder than the room: there nothing is left to plan', () => {
    const one = batch('a', 10)
    const product = { kilograms: 2, composition: { water: 0.9, protein: 0.03, fat: 0.03, carbohydrate: 0.04, ash: 0 } }
    const cooling = { ...one, terms: { ...one.terms, product } }
    const found = sourced({ kind: 'batch', batch: cooling }, line(), at(21))
    expect(found?.load.celsius).toBe(25)
    expect(found?.stages.map(({ to }) => to)).toEqual([21, 5])
  })

  it('of a method is the hottest of its targets and the limits in force; without limits there is nothing', () => {
    const found = sourced({ kind: 'method', method: custard }, line({ methods: [approved(custard)] }), at(21))
    expect(found?.load).toMatchObject({ celsius: 82, kilograms: 2 })
    expect(sourced({ kind: 'method', method: custard }, line({ limits: null }), at(21))).toBeNull()
  })
})
