import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import type { ReadingBody } from '../../ledger/entry'
import { id, object, oneOf, text, typedTemperature, type Field } from '../../ground/field'
import type { Refusal } from '../guard/refusal'
import { measures } from '../../state/instrument'
import type { Read } from '../../state/state'
import { parseOf } from '../../recipe/method/parseMethod'
import { needsOpenBatch } from '../guard/openBatch'

/** One temperature, by hand: as typed, with its unit, where, of what, and by which instrument. */
export const readingTaken: KindOf<'reading-taken'> = {
  kind: 'reading-taken',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: parseReading,
  writes: ({ about }) => [about],
  reads: ({ body }) => instrumentOf(body),
  refuse: (claim, read) => needsOpenBatch(claim, read) ?? admitReading(claim.body, read),
  lateAfter: 15 * MINUTE,
  fact: asEntered,
}

export function parseReading(body: Field): ReadingBody {
  const fields = object(body, ['typed', 'where', 'of', 'instrument', 'portion'])
  const { typed, where, of, instrument, portion } = fields
  return {
    typed: typedTemperature(typed),
    where: oneOf(where, ['core', 'surface', 'air'] as const),
    of: parseOf(of),
    instrument: instrument.value === null ? null : id(instrument),
    ...(portion.value === undefined ? {} : { portion: text(portion, 8) }),
  }
}

/** An instrument reads only where its kind can: an infrared gun never reads a core. */
export function admitReading({ instrument, where }: ReadingBody, read: Read): Refusal | null {
  if (instrument === null) return null
  const known = read('instrument', instrument)
  if (!known) return { code: 'not there', field: 'body.instrument', what: 'instrument' }
  return measures[known.kind] === where
    ? null
    : { code: 'cannot measure that', field: 'body.where', instrument: known.code }
}

export function instrumentOf({ instrument }: ReadingBody) {
  return instrument === null ? [] : [{ type: 'instrument' as const, id: instrument }]
}
