import { DUE_AT_ONCE, type DueAtOnce } from '../../ledger/instrumentEntries'
import { object, oneOf } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { inUse } from './inUse'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-due': { why: DueAtOnce }
  }
}

/** It fell, or has a new battery or sensor: it is due at once, however long ago its last check was. */
export const instrumentDue: KindOf<'instrument-due'> = {
  kind: 'instrument-due',
  v: 1,
  about: 'instrument',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ why: oneOf(object(body, ['why']).why, DUE_AT_ONCE) }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) => inUse(about.id, read),
  folds: {
    instrument: (state, { claim: { at, body } }) => ({ ...state, dues: [...state.dues, { at, why: body.why }] }),
  },
}
