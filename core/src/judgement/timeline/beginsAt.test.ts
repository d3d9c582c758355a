import { limitsFrom, method, Story } from '../../test/story'
import { at } from '../../test/traces'
import { beginsAt } from './beginsAt'

it('takes what is to be cooled to be as warm as it was read, and what was never hot as no hotter than a kitchen', () => {
  const hot = new Story()
  expect(beginsAt(hot.batch, at(5))).toBe(80)
  hot.read(10, 57.2)
  expect(beginsAt(hot.batch, at(12))).toBe(57.2)
  const neverHot = new Story(limitsFrom('us-food-code-2022'), { ...method, cooling: 'ambient' })
  expect(beginsAt(neverHot.batch, at(5))).toBe(25)
})
