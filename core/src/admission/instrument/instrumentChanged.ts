import type { CheckTerms, InstrumentFacts } from '../../ledger/instrumentEntries'
import { nameOf, number, object, oneOf, whole, type Field } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-changed': InstrumentFacts
  }
}

/** It hangs elsewhere, is held to another line, or is checked more or less often: from now on. */
export const instrumentChanged: KindOf<'instrument-changed'> = {
  kind: 'instrument-changed',
  v: 1,
  about: 'instrument',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { place, tolerance, checks } = object(body, ['place', 'tolerance', 'checks'])
    // Once checks are asked for, they are: only what was registered before there were any has none.
    object(checks, ['everyDays', 'overdue'])
    return parseInstrumentFacts({ place, tolerance, checks })
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) =>
    read('instrument', about.id) ? null : { code: 'not there', field: 'about.id', what: 'instrument' },
  folds: { instrument: (state, { claim: { body } }) => ({ ...state, ...body }) },
}

/** As often as yearly at least; a tolerance that still says something. */
export function parseInstrumentFacts(fields: Record<'place' | 'tolerance' | 'checks', Field>): InstrumentFacts {
  const { place, tolerance, checks } = fields
  return {
    place: place.value === null ? null : nameOf(place, 60),
    tolerance: number(tolerance, 0.01, 2),
    checks: parseTerms(checks),
  }
}

function parseTerms(field: Field): CheckTerms {
  if (field.value === 'not asked') return 'not asked'
  const { everyDays, overdue } = object(field, ['everyDays', 'overdue'])
  return { everyDays: whole(everyDays, 1, 366), overdue: oneOf(overdue, ['counts', 'proves nothing'] as const) }
}
