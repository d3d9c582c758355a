import { READS_AIR } from '../../ledger/instrumentEntries'
import type { UnitReading } from '../../ledger/storeEntries'
import { withAir } from '../../state/unit'
import { withUse } from '../../state/instrument'
import { backed, instrumentOf, parseReadBy } from '../reading/readingTaken'
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
    const { typed, instrument, readBy, noted } = object(body, ['typed', 'instrument', 'readBy', 'noted'])
    return {
      typed: typedTemperature(typed),
      instrument: instrument.value === null ? null : id(instrument),
      ...parseReadBy(readBy, instrument),
      noted: noted.value === null ? null : oneOf(noted, ['door open', 'defrost'] as const),
    }
  },
  writes: ({ about, body }) => [about, ...instrumentOf(body)],
  reads: () => [],
  refuse({ about, at, body: { instrument } }, read) {
    if (!read('unit', about.id)) return { code: 'not there', field: 'about.id', what: 'unit' }
    if (instrument === null) return null
    const known = read('instrument', instrument)
    if (!known) return { code: 'not there', field: 'body.instrument', what: 'instrument' }
    if (known.gone && known.gone.at <= at)
      return { code: 'instrument gone', field: 'body.instrument', instrument: known.code }
    return READS_AIR.includes(known.kind)
      ? null
      : { code: 'cannot measure that', field: 'body.instrument', instrument: known.code }
  },
  derive: ({ at, body }, read) => backed(body, at, read),
  lateAfter: 30 * MINUTE,
  folds: {
    unit: (state, entry) => withAir(state, entry, entry.claim.body),
    instrument: (state, { claim: { at, about } }) => withUse(state, about, at),
  },
}
