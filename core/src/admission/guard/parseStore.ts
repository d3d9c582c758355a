import type { Spot } from '../../ledger/storeEntries'
import { id, number, object, oneOf, whole, type Field } from '../../ground/field'
import { MEASURE_UNITS, type Measure } from '../../ground/measure'

export function parseMeasure(field: Field): Measure {
  const { value, unit } = object(field, ['value', 'unit'])
  return { value: number(value, 0.1, 1_000_000), unit: oneOf(unit, MEASURE_UNITS) }
}

export function parseSpot({ unit, shelf }: { unit: Field; shelf: Field }): Spot {
  return {
    unit: unit.value === null ? null : id(unit),
    shelf: shelf.value === null ? null : whole(shelf, 1, 40),
  }
}
