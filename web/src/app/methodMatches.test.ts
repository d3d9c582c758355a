import { factsOf, newMethod, type Method } from '@logged-thermal/core'
import { methodMatches } from './methodMatches'

const method: Method = {
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Quince-skin curd', family: 'fruit-curd' }),
  amounts: [{ key: 'a', ingredient: 'skimmed-milk', grams: 500, count: null, step: 'cook', state: 'as it is' }],
  components: [{ key: 'c', method: 'x', name: 'Rhubarb jelly layer', grams: 100, step: 'cook' }],
}
const matches = (wanted: string) =>
  methodMatches(
    method,
    wanted,
    factsOf(method, () => null),
  )

describe('a method is found', () => {
  it('by words of its name, what is in it under whatever name, its parts and its allergens, in any order', () => {
    for (const wanted of ['', '  ', 'quince', 'CURD quince', 'skim milk', 'nonfat', 'rhubarb', 'milk curd'])
      expect([wanted, matches(wanted)]).toEqual([wanted, true])
  })

  it('not where one of the words is nowhere in it', () => {
    for (const wanted of ['chestnut', 'quince chestnut', 'peanut'])
      expect([wanted, matches(wanted)]).toEqual([wanted, false])
  })
})
