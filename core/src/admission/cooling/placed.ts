import type { Id } from '../../ledger/subject'
import { type Place, isUnitKind, PLACES } from '../../physics/cooling/place'
import type { Typed } from '../../ground/temperature'
import type { Bodies } from '../../ledger/entry'
import { withAir } from '../../state/unit'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { id, object, oneOf, typedTemperature } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    placed: Placement
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    placed: Bodies['placed']
  }
}

/** Where it stands to cool from now on: in a bath, on the counter, in a unit, whose air is read then. */
export const placed: KindOf<'placed'> = {
  kind: 'placed',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { place, unit, air } = object(body, ['place', 'unit', 'air'])
    return {
      place: oneOf(place, PLACES),
      unit: unit.value === null ? null : id(unit),
      air: air.value === null ? null : typedTemperature(air),
    }
  },
  writes: ({ about, body: { unit } }) => (unit === null ? [about] : [about, { type: 'unit', id: unit }]),
  reads: () => [],
  refuse(claim, read) {
    const { place, unit } = claim.body
    const shut = needsOpenBatch(claim, read)
    if (shut || unit === null) return shut
    const known = read('unit', unit)
    if (!known) return { code: 'not there', field: 'body.unit', what: 'unit' }
    return isUnitKind(place) && known.kind === place
      ? null
      : { code: 'other unit', field: 'body.place', unit: known.name }
  },
  lateAfter: 30 * MINUTE,
  fact: asEntered,
  folds: {
    unit: (state, entry) => {
      const { air } = entry.claim.body
      return air === null ? state : withAir(state, entry, { typed: air, instrument: null, noted: null })
    },
  },
}

/** Where it stands to cool, and what the unit's air was as it went in. */
export interface Placement {
  place: Place
  unit: Id | null
  air: Typed | null
}
