import { FieldError, hash, id, instant, object, text, whole, type Field } from '../ground/field'
import { canonical } from '../ground/canonical'
import type { Instant } from '../ground/instant'
import type { Hash, Id } from '../ledger/subject'

/** A text and its Ed25519 signature, base64. */
export interface SignedText {
  statement: string
  signature: string
}

/** The public half of a key that signs, or signed before. */
export interface PublicKey {
  /** The first 16 signs of the SHA-256 of the key itself: what is printed, to be compared by eye. */
  id: string
  /** SPKI, PEM. */
  publicKey: string
  since: Instant
  /** Why this key is ours: said and signed by the one before it; null: it was the first. */
  introduced: SignedText | null
}

/** What is signed of a kitchen's logbook: that it ended so at that time. */
export interface HeadStatement {
  version: 1
  kitchen: Id
  seq: number
  hash: Hash
  /** Of the tree over all entries up to it; null where it was signed before there was one. */
  root: Hash | null
  time: Instant
  /** By which key. */
  key: string
}

/** Says that another key signs from now on. */
export function nextKeyStatement(key: string, next: { id: string; publicKey: string }, time: Instant): string {
  return canonical({ version: 1, says: 'next key', key, next: next.id, publicKey: next.publicKey, time })
}

/** What a signed text says of a head; null where it says something else. Whether the signature holds is another question. */
export function headSaidBy({ statement }: SignedText): HeadStatement | null {
  try {
    const said = object({ path: 'statement', value: JSON.parse(statement) as unknown }, HEAD_FIELDS)
    return {
      version: said.version.value === 1 ? 1 : fail(said.version),
      kitchen: id(said.kitchen),
      seq: whole(said.seq, 1, Number.MAX_SAFE_INTEGER),
      hash: hash(said.hash),
      root: said.root.value === null ? null : hash(said.root),
      time: instant(said.time),
      key: text(said.key, 64),
    }
  } catch {
    return null
  }
}

export function signedOf(field: Field): SignedText {
  const { statement, signature } = object(field, ['statement', 'signature'])
  return { statement: text(statement, 2_000), signature: text(signature, 200) }
}

export function publicKeyOf(field: Field): PublicKey {
  const key = object(field, ['id', 'publicKey', 'since', 'introduced'])
  return {
    id: text(key.id, 64),
    publicKey: text(key.publicKey, 1_000),
    since: instant(key.since),
    introduced: key.introduced.value === null ? null : signedOf(key.introduced),
  }
}

const HEAD_FIELDS = ['version', 'kitchen', 'seq', 'hash', 'root', 'time', 'key'] as const

function fail(field: Field): never {
  throw new FieldError(field.path, { code: 'not readable' })
}
