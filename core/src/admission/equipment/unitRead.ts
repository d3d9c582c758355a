import { id, object, oneOf, typedTemperature } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

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
  touches: ({ about }) => [about],
  reads: ({ body: { instrument } }) => (instrument === null ? [] : [{ type: 'instrument', id: instrument }]),
  admit({ about, body: { instrument } }, read) {
    if (!read('unit', about.id)) return { code: 'not there', field: 'about.id', what: 'unit' }
    return instrument !== null && !read('instrument', instrument)
      ? { code: 'not there', field: 'body.instrument', what: 'instrument' }
      : null
  },
}
