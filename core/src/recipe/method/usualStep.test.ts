import { catalogue } from '../ingredient/catalogue'
import { FAMILY_KEYS, type FamilyKey } from './method'
import { newMethod } from './newMethod'
import { usualStep } from './usualStep'

describe('where an ingredient usually goes in', () => {
  it('is a step of the method, the one where cooks put it', () => {
    const at = (family: FamilyKey, ingredient: string | null) => {
      const made = newMethod({ id: 'm', vesselId: 'v', name: 'm', family })
      return usualStep(made, ingredient === null ? null : catalogue[ingredient]!)
    }
    expect(['milk', 'yolk', 'sugar', 'butter', 'spirit'].map((each) => at('heated-nog', each))).toEqual([
      'heat-dairy',
      'eggs',
      'eggs',
      'add-after-heat',
      'add-after-heat',
    ])
    expect(['gelatine', 'cream-36', 'raspberries'].map((each) => at('gelatine-cream', each))).toEqual([
      'mise',
      'heat-dairy',
      'add-after-heat',
    ])
    expect(at('assembly', null)).toBe('assemble')
    expect(usualStep({ steps: [] }, catalogue.milk!)).toBeNull()
    for (const family of FAMILY_KEYS) for (const key of Object.keys(catalogue)) expect(at(family, key)).not.toBeNull()
  })
})
