import { INSTRUMENT_KINDS, type InstrumentFacts, type InstrumentKind } from '../../ledger/instrumentEntries'
import { nameOf, object, oneOf } from '../../ground/field'
import { TOLERANCE } from '../../state/instrument'
import type { KindOf } from '../guard/kindOf'
import { parseInstrumentFacts } from './instrumentChanged'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-registered': InstrumentFacts & { code: string; kind: InstrumentKind }
  }
}

/** A probe, infrared gun or display becomes one of the kitchen's: it proves nothing before its first check. */
export const instrumentRegistered: KindOf<'instrument-registered'> = {
  kind: 'instrument-registered',
  v: 2,
  about: 'instrument',
  may: ['lead'],
  signed: true,
  // Before checks were asked for, its readings counted as they were.
  upcast: (body) => ({ ...body, place: null, tolerance: TOLERANCE.temperature, checks: 'not asked' }),
  parse(body) {
    const { code, kind, place, tolerance, checks } = object(body, ['code', 'kind', 'place', 'tolerance', 'checks'])
    return {
      code: nameOf(code, 12),
      kind: oneOf(kind, INSTRUMENT_KINDS),
      ...parseInstrumentFacts({ place, tolerance, checks }),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) =>
    read('instrument', about.id) ? { code: 'already there', field: 'about.id', what: 'instrument' } : null,
  begins: {
    instrument: ({ claim: { body } }, id) => ({
      id,
      ...body,
      history: [],
      dues: [],
      gone: null,
      uses: [],
      unfounded: [],
      usesSince: null,
    }),
  },
  folds: { instrument: (state, { claim: { body } }) => ({ ...state, ...body }) },
}
