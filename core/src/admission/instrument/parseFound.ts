import { flag, id, instant, list, number, object, oneOf, type Field } from '../../ground/field'
import type { CheckFound, DueFound, Unfounded } from '../../ledger/instrumentEntries'
import type { Subject } from '../../ledger/subject'

/** What core found as it was sent: only read, for core finds it anew, and what differs counts for nothing. */

export function parseCheckFound(field: Field): CheckFound {
  const fields = object(field, ['reference', 'error', 'passed', 'since', 'doubted', 'through', 'kept'])
  const { reference, error, passed, since, doubted, through, kept } = fields
  return {
    reference: number(reference, -MOST, MOST),
    error: number(error, -MOST, MOST),
    passed: flag(passed),
    since: orNull(since),
    doubted: parseDoubted(doubted),
    ...throughIn(through),
    ...(kept.value === undefined ? {} : { kept: orNull(kept) }),
  }
}

export function parseDueFound(field: Field): DueFound | null {
  if (field.value === null) return null
  const { backing, doubted, through } = object(field, ['backing', 'doubted', 'through'])
  return {
    backing: oneOf(backing, ['unchecked', 'lapsed'] as const),
    doubted: parseDoubted(doubted),
    ...throughIn(through),
  }
}

/** No thermometer and no pH meter is out by so much. */
const MOST = 10_000

/** A probe reads some fifty batches a day. */
const MOST_DOUBTED = 100_000

function throughIn(field: Field): { through?: Unfounded[] } {
  return field.value === undefined ? {} : { through: list(field, parseUnfounded) }
}

function parseUnfounded(field: Field): Unfounded {
  const fields = object(field, ['instrument', 'check', 'since', 'until', 'error', 'doubted'])
  return {
    instrument: id(fields.instrument),
    check: id(fields.check),
    since: orNull(fields.since),
    until: orNull(fields.until),
    error: number(fields.error, -MOST, MOST),
    doubted: parseDoubted(fields.doubted),
  }
}

function parseDoubted(field: Field): Subject[] {
  return list(
    field,
    (each) => {
      const { type, id: of } = object(each, ['type', 'id'])
      return { type: oneOf(type, ['batch', 'item', 'lot', 'unit'] as const), id: id(of) }
    },
    MOST_DOUBTED,
  )
}

function orNull(field: Field): number | null {
  return field.value === null ? null : instant(field)
}
