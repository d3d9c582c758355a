import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'unit-skipped': { reason: string }
  }
}

/** Somebody came by on a round and could not read it: that is said, not passed over. */
export const unitSkipped: KindOf<'unit-skipped'> = {
  kind: 'unit-skipped',
  v: 1,
  about: 'unit',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ reason: text(object(body, ['reason']).reason, 200) }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) => (read('unit', about.id) ? null : { code: 'not there', field: 'about.id', what: 'unit' }),
  folds: {
    unit: (state, { claim: { at, by, body } }) => ({
      ...state,
      skips: [...state.skips, { at, by, reason: body.reason }].slice(-100),
    }),
  },
}
