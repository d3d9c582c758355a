import { FieldError, hash, id, instant, list, object, oneOf, text, whole, type Field } from '../ground/field'
import type { Instant } from '../ground/instant'
import { dayOf } from '../ground/zone'
import type { Hash, Id } from '../ledger/subject'
import { publicKeyOf, signedOf, type PublicKey, type SignedText } from './signedHead'

/**
 * A proof file: what a kitchen hands out of its logbook, as lines of JSON, so that whoever holds it checks it without the
 * program that made it. The lines stand in this order: `proof`, `keys`, `heads`, `names`, then every entry of the logbook,
 * either itself or among those that were left out, then `end`.
 */
export type ProofLine =
  | ProofHeader
  /** By which the heads are signed, the first one first. */
  | { keys: PublicKey[] }
  /** What was signed of this logbook, by its length; the last one stands for all of it. */
  | { heads: SignedText[] }
  /** Who is who. Names stand outside what is hashed: this list vouches for nothing. */
  | { names: Record<Id, string> }
  /** An entry: the very text that was hashed, and its hash. */
  | { entry: string; hash: Hash }
  /** Entries that are not shown, as roots of whole subtrees, in order. */
  | { left: { level: number; hash: Hash }[] }
  /** The file is whole: so many entries has the logbook, shown or left out. */
  | { end: number }

export interface ProofHeader {
  proof: 1
  kitchen: Id
  /** As it is called: outside what is hashed. */
  called: string
  /** IANA zone of the kitchen. */
  zone: string
  made: Instant
  /** The version of core that wrote the file. */
  core: string
  /** Of which batches every entry is in the file: these are judged again. 'all': of all. */
  covers: 'all' | Id[]
}

/** A line is no longer than this, signs: an entry with the largest body that is taken, and room. */
export const LONGEST_LINE = 4_000_000

/** Reads a line. FieldError where it is none of a proof file. */
export function proofLineOf(line: string): ProofLine {
  const value = jsonOf(line)
  if ('entry' in value) {
    const entry = object({ path: 'line', value }, ['entry', 'hash'])
    return { entry: text(entry.entry, LONGEST_LINE), hash: hash(entry.hash) }
  }
  if ('left' in value) return { left: list(only(value, 'left'), subtreeOf, 100_000) }
  if ('end' in value) return { end: whole(only(value, 'end'), 1, Number.MAX_SAFE_INTEGER) }
  if ('keys' in value) return { keys: list(only(value, 'keys'), publicKeyOf, 10_000) }
  if ('heads' in value) return { heads: list(only(value, 'heads'), signedOf, 1_000_000) }
  if ('names' in value) return { names: namesOf(only(value, 'names')) }
  return headerOf({ path: 'line', value })
}

function headerOf(field: Field): ProofHeader {
  const of = object(field, ['proof', 'kitchen', 'called', 'zone', 'made', 'core', 'covers'])
  return {
    proof: of.proof.value === 1 ? 1 : unreadable('proof'),
    kitchen: id(of.kitchen),
    called: text(of.called, 200),
    zone: zoneOf(of.zone),
    made: instant(of.made),
    core: text(of.core, 20),
    covers: Array.isArray(of.covers.value) ? list(of.covers, id, 1_000_000) : oneOf(of.covers, ['all'] as const),
  }
}

function zoneOf(field: Field): string {
  const zone = text(field, 100)
  try {
    dayOf(0, zone)
  } catch {
    unreadable(field.path)
  }
  return zone
}

function subtreeOf(field: Field) {
  const { level, hash: root } = object(field, ['level', 'hash'])
  return { level: whole(level, 0, 50), hash: hash(root) }
}

function namesOf({ path, value }: Field): Record<Id, string> {
  if (typeof value !== 'object' || value === null) unreadable(path)
  const entries = Object.entries(value)
  return Object.fromEntries(
    entries.map(([of, name]) => [id({ path, value: of }), text({ path: `${path}.${of}`, value: name })]),
  )
}

function only<N extends string>(value: object, name: N): Field {
  return object({ path: 'line', value }, [name])[name]
}

function jsonOf(line: string): object {
  if (line.length > LONGEST_LINE) unreadable('line')
  try {
    const value: unknown = JSON.parse(line)
    if (typeof value === 'object' && value !== null && !Array.isArray(value)) return value
  } catch {
    // Told below.
  }
  return unreadable('line')
}

function unreadable(path: string): never {
  throw new FieldError(path, { code: 'not readable' })
}
