import { canonical, type Hash, type Id, type Instant } from '@logged-thermal/core'
import type { Signed, SigningKeys } from './signingKey'

/** What is signed of a kitchen's logbook: that it ended so at that time. */
export interface HeadStatement {
  version: 1
  kitchen: Id
  seq: number
  hash: Hash
  /** Of a tree over all entries; there is none yet. */
  root: null
  time: Instant
  /** By which key. */
  key: string
}

export function signHead(keys: SigningKeys, head: { kitchen: Id; seq: number; hash: Hash }, time: Instant): Signed {
  const statement: HeadStatement = { version: 1, ...head, root: null, time, key: keys.current.id }
  return keys.sign(canonical(statement))
}

/** What a signed head says; null where it was not signed by a key of ours, or says something else. */
export function headSaid(keys: SigningKeys, signed: Signed | null): HeadStatement | null {
  if (!signed) return null
  const said = statementOf(signed.statement)
  return said?.version === 1 && keys.isSignedBy(said.key, signed) ? said : null
}

function statementOf(text: string): HeadStatement | null {
  try {
    return JSON.parse(text) as HeadStatement
  } catch {
    return null
  }
}
