import { parseDay } from '../ground/zone'
import { FieldError, object, text, type Field } from '../ground/field'
import type { Variance } from './source'

/** A written permission, field by field; null is none. Throws FieldError. */
export function parseVariance(field: Field): Variance | null {
  if (field.value === null) return null
  const { authority, reference, reason, validUntil } = object(field, ['authority', 'reference', 'reason', 'validUntil'])
  return {
    authority: text(authority, 120),
    reference: text(reference, 120),
    reason: text(reason, 300),
    validUntil: parseDayField(validUntil),
  }
}

/** A day, YYYY-MM-DD. Throws FieldError. */
export function parseDayField(field: Field): string {
  const day = text(field, 10)
  try {
    parseDay(field.path, day)
  } catch {
    throw new FieldError(field.path, { code: 'not a day' })
  }
  return day
}
