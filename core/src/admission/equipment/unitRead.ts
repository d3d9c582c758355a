import type { UnitReading } from '../../ledger/storeEntries'
import { withAir } from '../../state/unit'
import { MINUTE } from '../../ground/instant'
import { id, object, oneOf, typedTemperature } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'unit-read': UnitReading
  }
}

/** The air of a unit, on a round or by a probe that stays in it. */
export const unitRead: KindOf<'unit-read'> = {
  kind: 'unit-read',
  v: 1,
  about: 'unit',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { typed, instrument, noted } = object(body, ['typed', 'instrument', 'noted'])
    return {
      typed: typedTemperature(typed),
      instrument: instrument.value === null ? null : id(instrument),
      noted: noted.value === null ? null : oneOf(noted, ['door open', 'defrost'] as const),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { instrument } }) => (instrument === null ? [] : [{ type: 'instrument', id: instrument }]),
  refuse({ about, body: { instrument } }, read) {
    if (!read('unit', about.id)) return { code: 'not there', field: 'about.id', what: 'unit' }
    return instrument !== null && !read('instrument', instrument)
      ? { code: 'not there', field: 'body.instrument', what: 'instrument' }
      : null
  },
  lateAfter: 30 * MINUTE,
  folds: { unit: (state, entry) => withAir(state, entry, entry.claim.body.typed, entry.claim.body.noted) },
}
