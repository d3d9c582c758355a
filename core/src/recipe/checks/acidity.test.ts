import { dayOf } from '../../ground/zone'
import { PRACTICE } from '../../rules/practice'
import { limitsFrom, method } from '../../test/story'
import { TEN } from '../../test/traces'
import { termsOf } from './terms'
import { acidityResult, isChecked, type AcidityMeasure } from './acidity'

const DAY = dayOf(TEN, 'UTC')
const tableOf = (ruleSet: string, packaged = false) => {
  const held = { authority: 'County', reference: 'A-7', reason: 'filled hot', validUntil: '2099-12-31' }
  const limits = limitsFrom(ruleSet)
  const permits = { ...PRACTICE.permits, packagedAcidity: packaged ? held : null }
  return termsOf(method, 1, { ...limits, practice: { ...PRACTICE, permits } }, false, DAY).acidity
}
const checked = [
  { nominal: 4.01, read: 4.05 },
  { nominal: 7, read: 6.95 },
]
const measured = (ph: number, waterActivity: number | null = null, more: Partial<AcidityMeasure> = {}) => ({
  ph,
  phTolerance: 0,
  waterActivity,
  waterTolerance: 0,
  meter: 'M1',
  buffers: checked,
  ...more,
})
const control = (measure: AcidityMeasure, packaged = false) =>
  acidityResult(measure, tableOf('us-food-code-2022', packaged), true).control

// Written from the tables, not from the data.
it.each<[string, number, number | null, string, string]>([
  ['4.19 by pH alone', 4.19, null, 'not needed', 'not needed'],
  ['4.2, which is not under it', 4.2, null, 'needed', 'not needed'],
  ['4.2 and dry', 4.2, 0.92, 'not needed', 'not needed'],
  ['4.6 and a little wetter', 4.6, 0.93, 'assessment', 'not needed'],
  ['4.61 and middling', 4.61, 0.9, 'not needed', 'not needed'],
  ['5.0 and wet', 5, 0.91, 'assessment', 'not needed'],
  ['5.6 and 0.95', 5.6, 0.95, 'assessment', 'not needed'],
  ['5.7 and 0.92', 5.7, 0.92, 'assessment', 'not needed'],
  ['5.7 and 0.93', 5.7, 0.93, 'assessment', 'assessment'],
  ['6.5 and 0.87', 6.5, 0.87, 'not needed', 'not needed'],
  ['6.5 and 0.88', 6.5, 0.88, 'assessment', 'not needed'],
  ['6.5 by pH alone', 6.5, null, 'needed', 'needed'],
])('runs both tables on %s', (_, ph, water, notPackaged, packaged) => {
  expect(control(measured(ph, water))).toBe(notPackaged)
  expect(control(measured(ph, water), true)).toBe(packaged)
})

it('adds the tolerance of the meter before it looks', () => {
  expect(control(measured(4.16, null, { phTolerance: 0.05 }))).toBe('needed')
  expect(control(measured(4.14, null, { phTolerance: 0.05 }))).toBe('not needed')
  expect(control(measured(6.5, 0.875, { waterTolerance: 0.01 }))).toBe('assessment')
})

it('needs temperature control without a number, a finished product, a table or a checked meter', () => {
  const table = tableOf('us-food-code-2022')
  const because = (...args: Parameters<typeof acidityResult>) => {
    const result = acidityResult(...args)
    return result.control === 'needed' ? result.because : result.control
  }
  expect(because(null, table, true)).toBe('not measured')
  expect(because(measured(3), table, false)).toBe('not finished')
  expect(because(measured(3), tableOf('fr-2009'), true)).toBe('no table')
  expect(because(measured(3, null, { buffers: [] }), table, true)).toBe('meter not checked')
  expect(because(measured(6), table, true)).toBe('no water activity')
})

it('knows a checked meter: two buffers, and near enough in each', () => {
  expect(isChecked({ buffers: checked })).toBe(true)
  expect(isChecked({ buffers: [checked[0]!, checked[0]!] })).toBe(false)
  expect(isChecked({ buffers: [checked[0]!, { nominal: 7, read: 7.11 }] })).toBe(false)
})
