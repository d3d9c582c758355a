import { isUnitKind, PLACES } from '../../physics/cooling/place'
import { id, object, oneOf, typedTemperature } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'

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
  touches: ({ about, body: { unit } }) => (unit === null ? [about] : [about, { type: 'unit', id: unit }]),
  reads: () => [],
  admit(claim, read) {
    const { place, unit } = claim.body
    const shut = needsOpenBatch(claim, read)
    if (shut || unit === null) return shut
    const known = read('unit', unit)
    if (!known) return { code: 'not there', field: 'body.unit', what: 'unit' }
    return isUnitKind(place) && known.kind === place
      ? null
      : { code: 'other unit', field: 'body.place', unit: known.name }
  },
}
