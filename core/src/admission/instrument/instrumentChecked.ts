import type { Against, CheckFound } from '../../ledger/instrumentEntries'
import type { Bodies, Claim } from '../../ledger/entry'
import type { Subject } from '../../ledger/subject'
import { isEntryLate, knownAt } from '../../ledger/late'
import { id, list, nameOf, number, object, oneOf, typedTemperature, type Field } from '../../ground/field'
import type { Typed } from '../../ground/temperature'
import { keptFor, mayBeReference, unfoundedBy, withUnfounded } from '../../state/comparison'
import { isReached, withCheck, withUse, type InstrumentCheck, type InstrumentState } from '../../state/instrument'
import { CHECK_LATE_AFTER, CHECK_READINGS, checkFound, spread, STEADY } from '../../state/instrumentCheck'
import { HIGHEST_ALTITUDE, LOWEST_ALTITUDE } from '../../physics/heating/boilingPoint'
import { failedProbes } from '../../state/backing'
import type { Read } from '../../state/state'
import { withDoubts } from '../../state/unit'
import type { Refusal } from '../guard/refusal'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { parseBuffers } from '../reading/acidityMeasured'
import { parseCheckFound } from './parseFound'
import { reachedThrough, throughWithSplitOff, withSplitOff } from './withSplitOff'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-checked': { against: Against; shown: Typed[]; found: CheckFound }
  }
}

/**
 * An instrument was checked against something that is known. Passed, its error is taken off from then on. Failed, all that
 * was read with it since its last pass stands in doubt until the lead has looked: it can deny, and proves nothing. So does
 * what was read with others that were checked against it since.
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
      found: parseCheckFound(found),
    }
  },
  writes: ({ about, body: { against, found } }) => [
    about,
    ...referenceOf(against),
    ...(found?.doubted ?? []),
    ...reachedThrough(found?.through),
  ],
  reads: () => [],
  readsThen(claim, read) {
    const found = foundIn(claim, read)
    const { history = [], uses = [] } = read('instrument', claim.about.id) ?? {}
    return [
      ...history.flatMap(({ against }) => referenceOf(against)),
      ...uses.filter(({ type }) => type === 'instrument'),
      ...(found?.doubted ?? []),
      ...reachedThrough(found?.through),
    ]
  },
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
      const { at, about, body } = entry.claim
      const { passed, through = [], kept } = body.found
      if (about.id !== own) {
        const isReference = passed && referenceOf(body.against).some(({ id: other }) => other === own)
        return withUnfounded(isReference ? withUse(state, about, at) : state, through)
      }
      const from = passed && isEntryLate(entry, at) ? knownAt(entry) : at
      return withCheck(state, { ...asMade(entry.claim, state, body.found), from }, kept === null ? -Infinity : kept)
    },
    batch: (state, entry) => ({ ...state, failedProbes: [...state.failedProbes, ...failedProbes(entry)] }),
    lot: (state, entry) => ({ ...state, fails: [...state.fails, ...failedProbes(entry)] }),
    item: (state, entry) => ({ ...state, fails: [...state.fails, ...failedProbes(entry)] }),
    unit: (state, entry) => withDoubts(state, failedProbes(entry)),
  },
}

function foundIn(claim: Claim<'instrument-checked'>, read: Read): CheckFound | null {
  const { about, at, body } = claim
  const instrument = read('instrument', about.id)
  if (!instrument) return null
  const { against } = body
  const other = against.kind === 'instrument' ? read('instrument', against.id) : null
  const found = checkFound(instrument, { at, ...body }, other)
  const through = found.passed ? [] : throughWithSplitOff(unfoundedBy(instrument, { ...found, at }, read), read)
  const kept = keptFor([...instrument.history, asMade(claim, instrument, found)], read)
  return {
    ...found,
    doubted: withSplitOff(found.doubted, read),
    ...(through.length > 0 ? { through } : {}),
    ...(kept === Infinity ? {} : { kept }),
  }
}

function asMade(
  { id: entry, at, by, body: { against, shown } }: Claim<'instrument-checked'>,
  { tolerance }: InstrumentState,
  { reference, error, passed }: CheckFound,
): InstrumentCheck {
  return { entry, at, by, against, shown, reference, error, passed, tolerance, from: at }
}

function referenceOf(against: Against): Subject[] {
  return against.kind === 'instrument' ? [{ type: 'instrument', id: against.id }] : []
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
  return mayBeReference(other, at)
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
