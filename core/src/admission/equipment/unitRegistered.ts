import type { ColdUnit } from '../../ledger/storeEntries'
import { HOLDING_KINDS } from '../../recipe/checks/unitKind'
import { number, object, oneOf, whole, nameOf } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'unit-registered': ColdUnit
  }
}

/** A cold unit becomes one of the kitchen's, or its facts are put right. */
export const unitRegistered: KindOf<'unit-registered'> = {
  kind: 'unit-registered',
  v: 2,
  about: 'unit',
  may: ['chef', 'lead'],
  signed: false,
  upcast: (body) => ({ ...body, shelves: 1, litres: null }),
  parse(body) {
    const { name, kind, watts, shelves, litres } = object(body, ['name', 'kind', 'watts', 'shelves', 'litres'])
    return {
      name: nameOf(name, 80),
      kind: oneOf(kind, HOLDING_KINDS),
      watts: watts.value === null ? null : number(watts, 20, 100_000),
      shelves: whole(shelves, 1, 40),
      litres: litres.value === null ? null : number(litres, 1, 100_000),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: () => null,
  begins: { unit: ({ claim: { body } }, id) => ({ id, airs: [], skips: [], ...body }) },
  folds: { unit: ({ id, airs, skips }, { claim: { body } }) => ({ id, airs, skips, ...body }) },
}
