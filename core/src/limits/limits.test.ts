import type { Method } from '../method/method'
import { toCelsius } from '../quantity/temperature'
import { checksFor } from './checksFor'
import type { LimitSet } from './limit'
import { coolingStages, heatRows, ruleSets } from './ruleSets'

/** The numbers once more, written down apart from the data: °C, °F, seconds, section. */
const EGG: [number, number, number][] = [
  [63, 145, 180],
  [66, 150, 60],
  [68, 155, 17],
  [70, 158, 0],
]
const SECTIONS: Record<string, string> = {
  'egg-immediate': '3-401.11(A)(1)(a)',
  egg: '3-401.11(A)(2)',
  'cool-first': '3-501.14(A)(1)',
  'cool-total': '3-501.14(A)(2)',
  'cold-holding': '3-501.16(A)(2)',
  'date-marking': '3-501.17',
}
const us = 'us-food-code-2022'

describe('Food Code 2022', () => {
  it('has the egg rows as printed in both units', () => {
    expect(heatRows(us, 'egg', 'C')).toEqual(EGG.map(([celsius, , seconds]) => ({ celsius, seconds })))
    expect(heatRows(us, 'egg')).toEqual(EGG.map(([, f, seconds]) => ({ celsius: toCelsius(f), seconds })))
    expect(heatRows(us, 'egg-immediate', 'C')).toEqual([{ celsius: 63, seconds: 15 }])
  })

  it('cools in two stages from one start', () => {
    const stages = coolingStages(us, 'C')
    expect(stages.map(({ from, to, withinMinutes, clock }) => [from, to, withinMinutes, clock])).toEqual([
      [57, 21, 120, 'from'],
      [57, 5, 360, 'from'],
    ])
    expect(coolingStages(us)[0]).toMatchObject({ from: toCelsius(135), to: toCelsius(70) })
    expect(coolingStages(us, 'stricter')[0]).toMatchObject({ from: toCelsius(135), to: 21 })
  })

  it('names document, section, edition and confidence for every limit', () => {
    const sections = ruleSets[us]!.limits.map(({ key, source }) => [key, source.section])
    expect(Object.fromEntries(sections)).toEqual(SECTIONS)
    for (const { source } of ruleSets[us]!.limits) {
      expect(source).toMatchObject({ document: 'FDA Food Code', edition: '2022', confidence: 'high' })
    }
  })

  it('knows no other set or use', () => {
    expect(() => coolingStages('nowhere')).toThrow(/ruleSetKey: nowhere/)
    expect(() => coolingStages('toString')).toThrow(RangeError)
    expect(() => heatRows(us, 'boil' as never)).toThrow(/use: boil/)
    expect(heatRows(us, 'reheat')).toEqual([])
  })
})

describe('the checks of a batch', () => {
  const steps = (['temper', 'cook', 'cool', 'hold'] as const).map((kind) => ({
    key: kind,
    kind,
    measures: 'mixture' as const,
  }))
  const vessel = { id: 'v', name: 'pan', fillDepth: 0.1 }
  const method: Method = { id: 'm', version: 2, name: 'Curd', family: 'fruit-curd', steps, houseDays: 5, vessel }
  const set: LimitSet = { id: 'l', version: 1, ruleSet: { key: us, name: '' }, unit: 'C', limits: ruleSets[us]!.limits }

  it('follow from family and rule set, each with its force', () => {
    const checks = checksFor(method, set)
    expect(checks.map(({ key, limit }) => `${key} ${limit.force}`)).toEqual([
      'egg law',
      'ceiling quality',
      'cool-first law',
      'cool-total law',
      'cold-holding law',
      'date-marking law',
      'house-days house',
    ])
    expect(checks[1]!.limit.rule).toEqual({ kind: 'stay', side: 'under', level: { c: 88, f: 190 } })
  })

  it('ask for a house line where the rule set has no number, and never pass by it', () => {
    const [egg] = checksFor(method, { ...set, limits: set.limits.filter(({ key }) => key !== 'egg') })
    expect(egg!.limit.rule).toEqual({ kind: 'no number' })
  })

  it('need the steps they belong to', () => {
    expect(() => checksFor({ ...method, steps: steps.slice(1) }, set)).toThrow(/has no step "temper"/)
  })
})
