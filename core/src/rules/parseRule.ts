import { FieldError, list, number, object, oneOf, text, whole, type Field } from '../ground/field'
import type { Clock, ExposureRule, HoldRule, Reference, Rule, StayRule } from './rule'
import { COLDEST, HOTTEST, toCelsius, toFahrenheit, type Degrees } from '../ground/temperature'

/** A rule that a house may write, field by field: those that readings and the calendar decide. Throws FieldError. */
export function parseRule(field: Field): Rule {
  const { kind } = peek(field)
  switch (oneOf(kind, ['hold', 'equivalent', 'reach', 'stay', 'exposure', 'days', 'hours'] as const)) {
    case 'hold':
      return parseHold(field)
    case 'equivalent': {
      const { reference, minutes } = object(field, ['kind', 'reference', 'minutes'])
      return { kind: 'equivalent', reference: parseReference(reference), minutes: number(minutes, 0.01, 1440) }
    }
    case 'reach': {
      const { clock, to, direction, withinMinutes } = object(field, [
        'kind',
        'clock',
        'to',
        'direction',
        'withinMinutes',
      ])
      return {
        kind: 'reach',
        clock: parseClock(clock),
        to: parseDegrees(to),
        direction: oneOf(direction, ['falling', 'rising'] as const),
        withinMinutes: number(withinMinutes, 1, 10_080),
      }
    }
    case 'stay': {
      const { side, level, grace } = object(field, ['kind', 'side', 'level', 'grace'])
      return {
        kind: 'stay',
        side: oneOf(side, ['under', 'over'] as const),
        level: parseDegrees(level),
        grace: parseGrace(grace),
      }
    }
    case 'exposure': {
      const { low, high, bands } = object(field, ['kind', 'low', 'high', 'bands'])
      return { kind: 'exposure', low: parseDegrees(low), high: parseDegrees(high), bands: list(bands, parseBand, 5) }
    }
    case 'days':
      return { kind: 'days', days: whole(object(field, ['kind', 'days']).days, 1, 365) }
    case 'hours': {
      const { hours, under } = object(field, ['kind', 'hours', 'under'])
      return {
        kind: 'hours',
        hours: number(hours, 0.25, 720),
        under: under.value === null ? null : parseDegrees(under),
      }
    }
  }
}

/** Both figures of one limit: they may differ by what printing rounds, not by more. */
export function parseDegrees(field: Field): Degrees {
  const { c, f } = object(field, ['c', 'f'])
  const degrees = { c: number(c, COLDEST, HOTTEST), f: number(f, toFahrenheit(COLDEST), toFahrenheit(HOTTEST)) }
  if (Math.abs(toCelsius(degrees.f) - degrees.c) > ROUNDING) throw new FieldError(f.path, { code: 'other temperature' })
  return degrees
}

/** The largest step between the printed figures of any code that ships, °C. */
const ROUNDING = 0.8

function parseHold(field: Field): HoldRule {
  const { rows } = object(field, ['kind', 'rows'])
  const parsed = list(
    rows,
    (row) => {
      const { at, seconds } = object(row, ['at', 'seconds'])
      return { at: parseDegrees(at), seconds: number(seconds, 0, 86_400) }
    },
    12,
  )
  if (parsed.length === 0) throw new FieldError(rows.path, { code: 'missing' })
  return { kind: 'hold', rows: parsed }
}

function parseReference(field: Field): Reference {
  const { atCelsius, z, from, to } = object(field, ['atCelsius', 'z', 'from', 'to'])
  const optional = (one: Field) => (one.value === undefined ? undefined : number(one, COLDEST, HOTTEST))
  const [least, most] = [optional(from), optional(to)]
  return {
    atCelsius: number(atCelsius, COLDEST, HOTTEST),
    z: number(z, 0.1, 100),
    ...(least === undefined ? {} : { from: least }),
    ...(most === undefined ? {} : { to: most }),
  }
}

function parseClock(field: Field): Clock {
  if (field.value === 'event') return 'event'
  if (typeof field.value === 'object' && field.value !== null && 'after' in field.value) {
    return { after: text(object(field, ['after']).after, 40) }
  }
  return { crossing: parseDegrees(object(field, ['crossing']).crossing) }
}

function parseGrace(field: Field): StayRule['grace'] {
  if (field.value === null) return null
  const { minutes, count } = object(field, ['minutes', 'count'])
  return { minutes: number(minutes, 0, 1440), count: oneOf(count, ['once', 'total'] as const) }
}

function parseBand(field: Field): ExposureRule['bands'][number] {
  const { fromMinutes, then } = object(field, ['fromMinutes', 'then'])
  return {
    fromMinutes: number(fromMinutes, 0, 1440),
    then: oneOf(then, ['use or chill', 'use now', 'discard'] as const),
  }
}

/** The kind of a rule before its other fields are known. */
function peek({ path, value }: Field): { kind: Field } {
  const kind = typeof value === 'object' && value !== null ? (value as { kind?: unknown }).kind : undefined
  return { kind: { path: `${path}.kind`, value: kind } }
}
