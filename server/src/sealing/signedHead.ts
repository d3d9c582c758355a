import {
  canonical,
  headSaidBy,
  type Hash,
  type HeadStatement,
  type Id,
  type Instant,
  type SignedText,
} from '@logged-thermal/core'
import type { SigningKeys } from './signingKey'

export function signHead(
  keys: SigningKeys,
  head: { kitchen: Id; seq: number; hash: Hash; root: Hash },
  time: Instant,
): SignedText {
  const statement: HeadStatement = { version: 1, ...head, time, key: keys.current.id }
  return keys.sign(canonical(statement))
}

/** What a signed head says; null where it was not signed by a key of ours, or says something else. */
export function headSaid(keys: SigningKeys, signed: SignedText | null): HeadStatement | null {
  const said = signed && headSaidBy(signed)
  return said && keys.isSignedBy(said.key, signed) ? said : null
}
