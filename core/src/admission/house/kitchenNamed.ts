import { nameOf, object, oneOf } from '../../ground/field'
import type { TemperatureScale } from '../../ground/temperature'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'kitchen-named': { name: string; address: string | null; unit: TemperatureScale }
  }
}

/** What the kitchen is called, where it is, and in which degrees it reads, from now on: nothing is judged otherwise. */
export const kitchenNamed: KindOf<'kitchen-named'> = {
  kind: 'kitchen-named',
  v: 1,
  about: 'kitchen',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { name, address, unit } = object(body, ['name', 'address', 'unit'])
    return {
      name: nameOf(name, 60),
      address: address.value === null ? null : nameOf(address, 120),
      unit: oneOf(unit, ['C', 'F'] as const),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about, kitchen }) =>
    about.id === kitchen ? null : { code: 'not there', field: 'about.id', what: 'kitchen' },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, named: body }) },
}
