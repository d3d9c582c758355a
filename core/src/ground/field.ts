import { COLDEST, HOTTEST, type Typed, toCelsius } from './temperature'
import type { Instant } from './instant'

/** A field of an entry that cannot be taken, and why. `field` is its path, as in 'body.typed.value'. */
export class FieldError extends RangeError {
  constructor(
    readonly field: string,
    readonly problem: FieldProblem,
  ) {
    super(`${field}: ${problem.code}`)
    this.name = 'FieldError'
  }
}

export type FieldProblem =
  | { code: 'missing' }
  | { code: 'unknown field' }
  | { code: 'not text'; longest: number }
  | { code: 'hidden characters' }
  | { code: 'not one of'; allowed: string }
  | { code: 'not a number' }
  | { code: 'not an id' }
  | { code: 'not an instant' }
  | { code: 'not a list' }
  | { code: 'not a day' }
  | { code: 'other temperature' }
  | { code: 'not a whole' }
  | { code: 'not readable' }
  | { code: 'twice' }
  | { code: 'not a temperature'; typed: string }
  | { code: 'out of range'; least: number; most: number }

/** A value being read, with its path, so that each complaint names its field. */
export interface Field {
  readonly path: string
  readonly value: unknown
}

/** The fields of an object; one that is not in `names` is refused, so that nothing sent is dropped in silence. */
export function object<N extends string>(field: Field, names: readonly N[]): Record<N, Field> {
  const { value, path } = field
  if (value === undefined || value === null) throw new FieldError(path, { code: 'missing' })
  if (typeof value !== 'object' || Array.isArray(value)) throw new FieldError(path, { code: 'missing' })
  const known = new Set<string>(names)
  for (const name of Object.keys(value)) {
    if (!known.has(name)) throw new FieldError(`${path}.${name}`, { code: 'unknown field' })
  }
  const fields = {} as Record<N, Field>
  for (const name of names) fields[name] = { path: `${path}.${name}`, value: (value as Record<string, unknown>)[name] }
  return fields
}

/** Text just as it came: not blank, of `longest` characters at most, without U+0000 or half a surrogate pair. */
export function text({ path, value }: Field, longest = 500): string {
  if (value === undefined || value === null || value === '') throw new FieldError(path, { code: 'missing' })
  if (typeof value !== 'string' || value.length > longest || hasBadCharacter(value)) {
    throw new FieldError(path, { code: 'not text', longest })
  }
  if (value.trim() === '') throw new FieldError(path, { code: 'missing' })
  return value
}

/**
 * A name or a code, as it is read on a label or in a list: text without control characters, and without those that change
 * the direction of writing or cannot be seen, for two names could then look like one.
 */
export function nameOf(field: Field, longest: number): string {
  const value = text(field, longest)
  if (HIDDEN.test(value)) throw new FieldError(field.path, { code: 'hidden characters' })
  return value
}

/** Control characters, direction marks, and what has no width. */
const HIDDEN = /[\p{Cc}\u061c\u200b\u200e\u200f\u2028-\u202e\u2060-\u2069\ufeff]/u

export function oneOf<T extends string | true>({ path, value }: Field, allowed: readonly T[]): T {
  if (!allowed.includes(value as T)) throw new FieldError(path, { code: 'not one of', allowed: allowed.join(', ') })
  return value as T
}

export function number({ path, value }: Field, least: number, most: number): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) throw new FieldError(path, { code: 'not a number' })
  if (value < least || value > most) throw new FieldError(path, { code: 'out of range', least, most })
  return value
}

export function whole(field: Field, least: number, most: number): number {
  const value = number(field, least, most)
  if (!Number.isInteger(value)) throw new FieldError(field.path, { code: 'not a number' })
  return value
}

export function flag({ path, value }: Field): boolean {
  if (typeof value !== 'boolean') throw new FieldError(path, { code: 'not one of', allowed: 'true, false' })
  return value
}

export function id({ path, value }: Field): string {
  if (typeof value !== 'string' || !UUID.test(value)) throw new FieldError(path, { code: 'not an id' })
  return value
}

/** SHA-256 as lower-case hexadecimal. */
export function hash({ path, value }: Field): string {
  if (typeof value !== 'string' || !/^[0-9a-f]{64}$/.test(value)) throw new FieldError(path, { code: 'not an id' })
  return value
}

/** Whether a text is an id: then it names something, else it is only words. */
export function isId(text: string): boolean {
  return UUID.test(text)
}

export function instant({ path, value }: Field): Instant {
  if (typeof value !== 'number' || !Number.isInteger(value) || value < EARLIEST || value > LATEST) {
    throw new FieldError(path, { code: 'not an instant' })
  }
  return value
}

export function list<T>({ path, value }: Field, each: (field: Field, index: number) => T, most = 200): T[] {
  if (!Array.isArray(value) || value.length > most) throw new FieldError(path, { code: 'not a list' })
  return value.map((item, i) => each({ path: `${path}[${i}]`, value: item }, i))
}

/** A temperature as typed, with its unit, which no instrument would make impossible. */
export function typedTemperature(field: Field): Typed {
  const { value, unit } = object(field, ['value', 'unit'])
  const typed = { value: number(value, -1e6, 1e6), unit: oneOf(unit, ['C', 'F'] as const) }
  if (!isPossible(typed))
    throw new FieldError(value.path, { code: 'not a temperature', typed: `${typed.value} °${typed.unit}` })
  return typed
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-9a-f][0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}$/
/** The years 2000 to 2200. */
const EARLIEST = 946_684_800_000
const LATEST = 7_258_118_400_000

function isPossible({ value, unit }: Typed): boolean {
  if (unit === 'C') return value >= COLDEST && value <= HOTTEST
  try {
    toCelsius(value)
    return true
  } catch {
    return false
  }
}

function hasBadCharacter(value: string): boolean {
  return (
    value.includes('\u0000') || /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/.test(value)
  )
}
