import { UNIT_KINDS } from '../cooling/place'
import { number, object, oneOf, text } from '../ledger/parse'
import type { KindOf } from './kindOf'

/** A cold unit becomes one of the kitchen's, or its facts are put right. */
export const unitRegistered: KindOf<'unit-registered'> = {
  kind: 'unit-registered',
  v: 1,
  about: 'unit',
  may: ['chef', 'lead'],
  signed: false,
  parse(body) {
    const { name, kind, watts } = object(body, ['name', 'kind', 'watts'])
    return {
      name: text(name, 80),
      kind: oneOf(kind, UNIT_KINDS),
      watts: watts.value === null ? null : number(watts, 20, 100_000),
    }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit: () => null,
}
