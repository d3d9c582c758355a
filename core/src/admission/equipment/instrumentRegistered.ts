import type { InstrumentKind } from '../../ledger/subject'
import { object, oneOf, nameOf } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-registered': { code: string; kind: InstrumentKind }
  }
}

/** A probe, infrared gun or display becomes one of the kitchen's. */
export const instrumentRegistered: KindOf<'instrument-registered'> = {
  kind: 'instrument-registered',
  v: 1,
  about: 'instrument',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { code, kind } = object(body, ['code', 'kind'])
    return { code: nameOf(code, 12), kind: oneOf(kind, ['probe', 'infrared', 'display'] as const) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) =>
    read('instrument', about.id) ? { code: 'already there', field: 'about.id', what: 'instrument' } : null,
  begins: { instrument: ({ claim: { body } }, id) => ({ id, ...body }) },
  folds: { instrument: ({ id }, { claim: { body } }) => ({ id, ...body }) },
}
