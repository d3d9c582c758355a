import { hash, id, instant, list, nameOf, object, text, typedTemperature, whole } from '../../ground/field'
import { MOST_BROUGHT_IN, type BroughtIn } from '../../ledger/broughtIn'
import { withFact } from '../../state/batch'
import { factOf } from '../../state/fact'
import { withUse } from '../../state/instrument'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'
import { admitReading, backed, parseReadBy } from './readingTaken'

declare module '../../ledger/entry' {
  interface Bodies {
    'readings-brought-in': BroughtIn
  }
}

/**
 * Readings out of the file of a logger that lay in the pot. Each becomes a reading of the batch, under the one entry: a file can
 * be written by anybody, so all of it waits for the lead, however soon it is brought in, and until then only counts against the
 * batch.
 */
export const readingsBroughtIn: KindOf<'readings-brought-in'> = {
  kind: 'readings-brought-in',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { instrument, portion, file, of, readings } = object(body, [
      'instrument',
      'portion',
      'file',
      'of',
      'readings',
    ])
    const { name, sha256 } = object(file, ['name', 'sha256'])
    return {
      instrument: id(instrument),
      ...(portion.value === undefined ? {} : { portion: text(portion, 8) }),
      file: { name: nameOf(name, 120), sha256: hash(sha256) },
      of: whole(of, 1, 10_000_000),
      readings: list(
        readings,
        (field) => {
          const { at, typed, readBy } = object(field, ['at', 'typed', 'readBy'])
          return { at: instant(at), typed: typedTemperature(typed), ...parseReadBy(readBy, instrument) }
        },
        MOST_BROUGHT_IN,
      ),
    }
  },
  writes: ({ about, body: { instrument } }) => [about, { type: 'instrument', id: instrument }],
  reads: () => [],
  refuse(claim, read) {
    const shut = needsOpenBatch(claim, read)
    if (shut) return shut
    const { about, at: now, body } = claim
    const { readings, instrument, file } = body
    const begins = read('batch', about.id)!.startedAt
    const [first, last] = [readings[0], readings.at(-1)]
    if (!first || !last) return { code: 'not there', field: 'body.readings', what: 'reading' }
    if (first.at < begins) return { code: 'before it began', field: 'at', begins }
    if (last.at > now || readings.some(({ at }, i) => i > 0 && at <= readings[i - 1]!.at))
      return { code: 'readings out of order', field: 'body.readings' }
    const isIn = read('batch', about.id)!.facts['reading-taken'].some(
      ({ void: gone, value }) => !gone && value.file?.sha256 === file.sha256 && value.portion === body.portion,
    )
    if (isIn) return { code: 'already there', field: 'body.file', what: 'file' }
    return readings.reduce<ReturnType<typeof admitReading>>(
      (found, { at, typed }) => found ?? admitReading({ typed, instrument, where: 'core', of: 'mixture' }, at, read),
      null,
    )
  },
  derive: ({ body: { instrument, readings } }, read) => ({
    readings: readings.map(({ at, typed }) => ({ at, typed, ...backed({ typed, instrument }, at, read) })),
  }),
  folds: {
    batch: (state, entry) => {
      const { readings, instrument, portion, file } = entry.claim.body
      return readings.reduce((batch, { at, typed, readBy }) => {
        const value = {
          typed,
          where: 'core' as const,
          of: 'mixture' as const,
          instrument,
          ...(portion === undefined ? {} : { portion }),
          ...(readBy === undefined ? {} : { readBy }),
          file,
        }
        return withFact(batch, 'reading-taken', factOf(entry, at, value, true))
      }, state)
    },
    instrument: (state, { claim: { about, body } }) =>
      body.readings.reduce((instrument, { at }) => withUse(instrument, about, at), state),
  },
}
