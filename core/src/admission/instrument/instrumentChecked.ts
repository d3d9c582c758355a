import type { Against, CheckFound } from '../../ledger/instrumentEntries'
import type { Bodies, Claim } from '../../ledger/entry'
import { isEntryLate, knownAt } from '../../ledger/late'
import { id, list, nameOf, number, object, oneOf, typedTemperature, type Field } from '../../ground/field'
import type { Typed } from '../../ground/temperature'
import { instrumentStanding, isReached, withCheck, type InstrumentState } from '../../state/instrument'
import { CHECK_LATE_AFTER, CHECK_READINGS, checkFound, spread, STEADY } from '../../state/instrumentCheck'
import { HIGHEST_ALTITUDE, LOWEST_ALTITUDE } from '../../physics/heating/boilingPoint'
import { failedProbe } from '../../state/backing'
import type { Read } from '../../state/state'
import { withDoubt } from '../../state/unit'
import type { Refusal } from '../guard/refusal'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { parseBuffers } from '../reading/acidityMeasured'
import { withSplitOff } from './withSplitOff'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-checked': { against: Against; shown: Typed[]; found: CheckFound }
  }
}

/**
 * An instrument was checked against something that is known. Passed, its error is taken off from then on. Failed, all that
 * was read with it since its last pass stands in doubt until the lead has looked: it can deny, and proves nothing.
 */
export const instrumentChecked: KindOf<'instrument-checked'> = {
  kind: 'instrument-checked',
  v: 1,
  about: 'instrument',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { against, shown, found } = object(body, ['against', 'shown', 'found'])
    return {
      against: parseAgainst(against),
      shown: list(shown, typedTemperature, CHECK_READINGS),
      // What it showed needs no parsing: only the very one that core finds is folded.
      found: found.value as CheckFound,
    }
  },
  writes: ({ about, body }) => [about, ...(body.found?.doubted ?? [])],
  reads: ({ body: { against } }) => (against.kind === 'instrument' ? [{ type: 'instrument', id: against.id }] : []),
  readsThen: (claim, read) => foundIn(claim, read)?.doubted ?? [],
  refuse(claim, read) {
    const { about, body } = claim
    const instrument = read('instrument', about.id)
    if (!instrument) return { code: 'not there', field: 'about.id', what: 'instrument' }
    if (instrument.gone) return { code: 'instrument gone', field: 'about.id', instrument: instrument.code }
    return refusedAgainst(instrument, claim, read) ?? refusedShown(body) ?? refusedLate(instrument, claim, read)
  },
  derive(claim, read) {
    return { found: foundIn(claim, read)! }
  },
  lateAfter: CHECK_LATE_AFTER,
  folds: {
    instrument(state, entry, own) {
      const { id: of, at, by, about, body } = entry.claim
      if (about.id !== own) return state
      const { reference, error, passed } = body.found
      const { against, shown } = body
      const from = passed && isEntryLate(entry, at) ? knownAt(entry) : at
      const { tolerance } = state
      return withCheck(state, { entry: of, at, by, against, shown, reference, error, passed, tolerance, from })
    },
    batch: (state, entry) => ({ ...state, failedProbes: [...state.failedProbes, failedProbe(entry)] }),
    lot: (state, entry) => ({ ...state, fails: [...state.fails, failedProbe(entry)] }),
    item: (state, entry) => ({ ...state, fails: [...state.fails, failedProbe(entry)] }),
    unit: (state, entry) => withDoubt(state, failedProbe(entry)),
  },
}

function foundIn({ about, at, body }: Claim<'instrument-checked'>, read: Read): CheckFound | null {
  const instrument = read('instrument', about.id)
  if (!instrument) return null
  const { against } = body
  const other = against.kind === 'instrument' ? read('instrument', against.id) : null
  const found = checkFound(instrument, { at, ...body }, other)
  return { ...found, doubted: withSplitOff(found.doubted, read) }
}

/** What it may be compared with: ice for every thermometer, boiling water for what goes into it, buffers for pH alone. */
function refusedAgainst(
  { code, kind, id: own }: InstrumentState,
  { at, body: { against } }: Claim<'instrument-checked'>,
  read: Read,
): Refusal | null {
  const fits = kind === 'ph' ? against.kind === 'buffers' : against.kind !== 'buffers'
  if (!fits || (against.kind === 'boiling' && kind !== 'probe'))
    return { code: 'not checked so', field: 'body.against', instrument: code }
  if (against.kind !== 'instrument') return null
  const other = read('instrument', against.id)
  if (!other || other.id === own) return { code: 'not there', field: 'body.against', what: 'instrument' }
  return instrumentStanding(other, at).backing === 'checked' && !other.gone
    ? null
    : { code: 'reference not checked', field: 'body.against', instrument: other.code }
}

function refusedShown({ against, shown }: Bodies['instrument-checked']): Refusal | null {
  if (against.kind === 'buffers') {
    // The same buffer twice is one.
    const read = new Set(against.buffers.map(({ nominal }) => nominal)).size
    return read < 2 ? { code: 'read again', field: 'body.against', read } : null
  }
  // A laboratory has its own way, and tells one figure for a temperature.
  if (against.kind === 'certificate')
    return shown.length === 1 ? null : { code: 'read again', field: 'body.shown', read: shown.length }
  if (shown.length < CHECK_READINGS) return { code: 'read again', field: 'body.shown', read: shown.length }
  const apart = spread(shown)
  return apart > STEADY ? { code: 'not steady', field: 'body.shown', apart } : null
}

/** A failure that no longer reaches all that was read before it would say of the rest that it stands well. */
function refusedLate(instrument: InstrumentState, claim: Claim<'instrument-checked'>, read: Read): Refusal | null {
  if (isReached(instrument, claim.at) || foundIn(claim, read)?.passed) return null
  return { code: 'too long ago', field: 'at', instrument: instrument.code }
}

function parseAgainst(field: Field): Against {
  const { kind } = object(field, ['kind', 'altitude', 'id', 'shown', 'issuer', 'number', 'truth', 'buffers'])
  switch (oneOf(kind, ['ice', 'boiling', 'instrument', 'certificate', 'buffers'] as const)) {
    case 'ice':
      return { kind: 'ice' }
    case 'boiling':
      return {
        kind: 'boiling',
        altitude: number(object(field, ['kind', 'altitude']).altitude, LOWEST_ALTITUDE, HIGHEST_ALTITUDE),
      }
    case 'instrument': {
      const { id: other, shown } = object(field, ['kind', 'id', 'shown'])
      return { kind: 'instrument', id: id(other), shown: typedTemperature(shown) }
    }
    case 'certificate': {
      const { issuer, number: named, truth } = object(field, ['kind', 'issuer', 'number', 'truth'])
      return {
        kind: 'certificate',
        issuer: nameOf(issuer, 80),
        number: nameOf(named, 40),
        truth: typedTemperature(truth),
      }
    }
    case 'buffers':
      return { kind: 'buffers', buffers: parseBuffers(object(field, ['kind', 'buffers']).buffers) }
  }
}
