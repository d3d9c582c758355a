import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE, type Instant } from '../../ground/instant'
import type { ReadingBody } from '../../ledger/entry'
import { hash, id, instant, object, oneOf, text, typedTemperature, type Field } from '../../ground/field'
import type { Refusal } from '../guard/refusal'
import { measures, readByOf, withUse } from '../../state/instrument'
import type { ReadBy } from '../../ledger/instrumentEntries'
import type { Id } from '../../ledger/subject'
import { celsiusOf, type Typed } from '../../ground/temperature'
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
  writes: ({ about, body }) => [about, ...instrumentOf(body)],
  reads: () => [],
  refuse: (claim, read) => needsOpenBatch(claim, read) ?? admitReading(claim.body, claim.at, read),
  derive: ({ at, body }, read) => backed(body, at, read),
  lateAfter: 15 * MINUTE,
  secondHand: ({ body }) => body.paper !== undefined,
  fact: asEntered,
  folds: {
    instrument: (state, { claim: { at, about } }) => withUse(state, about, at),
  },
}

export function parseReading(body: Field): ReadingBody {
  const fields = object(body, ['typed', 'where', 'of', 'instrument', 'portion', 'readBy', 'paper', 'asked'])
  const { typed, where, of, instrument, portion, readBy, paper, asked } = fields
  return {
    typed: typedTemperature(typed),
    where: oneOf(where, ['core', 'surface', 'air'] as const),
    of: parseOf(of),
    instrument: instrument.value === null ? null : id(instrument),
    ...(portion.value === undefined ? {} : { portion: text(portion, 8) }),
    ...parseReadBy(readBy, instrument),
    ...(paper.value === undefined ? {} : { paper: hash(paper) }),
    ...(asked.value === undefined ? {} : { asked: instant(asked) }),
  }
}

/** An instrument reads only where its kind can: an infrared gun never reads a core. One that is out of use reads nothing. */
export function admitReading({ instrument, where }: ReadingBody, at: Instant, read: Read): Refusal | null {
  if (instrument === null) return null
  const known = read('instrument', instrument)
  if (!known) return { code: 'not there', field: 'body.instrument', what: 'instrument' }
  if (known.gone && known.gone.at <= at)
    return { code: 'instrument gone', field: 'body.instrument', instrument: known.code }
  return measures[known.kind] === where
    ? null
    : { code: 'cannot measure that', field: 'body.where', instrument: known.code }
}

/** What a tablet thought of its instrument needs no parsing: core's own counts. Without an instrument there is nothing to think. */
export function parseReadBy(readBy: Field, instrument: Field): { readBy?: ReadBy } {
  return readBy.value === undefined || instrument.value === null ? {} : { readBy: readBy.value as ReadBy }
}

/** By what it was read, as core knows it. Nothing where no instrument was named. */
export function backed(
  { typed, instrument }: { typed: Typed; instrument: Id | null },
  at: Instant,
  read: Read,
): { readBy?: ReadBy } {
  const known = instrument === null ? null : read('instrument', instrument)
  return known ? { readBy: readByOf(known, at, celsiusOf(typed)) } : {}
}

export function instrumentOf({ instrument }: { instrument: Id | null }) {
  return instrument === null ? [] : [{ type: 'instrument' as const, id: instrument }]
}
