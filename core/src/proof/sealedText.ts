import { isCanonical } from '../ground/canonical'
import type { Sha256 } from '../ledger/chain'
import type { AnyClaim, Seal, SealedEntry } from '../ledger/entry'
import type { Hash } from '../ledger/subject'

/** The entry of a text that was hashed; null where the hash is of another text, or the text is not the one way to write it. */
export function entryOfText(canon: string, hash: Hash, sha256: Sha256): SealedEntry | null {
  if (sha256(canon) !== hash) return null
  const read = entryIn(canon)
  return read && isCanonical(canon, read) ? { claim: read.claim, seal: { ...read.seal, hash } } : null
}

/** What a text says, whether it is the one that was hashed or not; null where it is no entry at all, or one and more. */
export function entryIn(canon: string): { claim: AnyClaim; seal: Omit<Seal, 'hash'> } | null {
  try {
    const read = JSON.parse(canon) as { claim?: AnyClaim; seal?: Omit<Seal, 'hash'> } | null
    if (!isObject(read) || !isObject(read.claim) || !isObject(read.seal)) return null
    const { claim, seal, ...more } = read
    return Object.keys(more).length > 0 || 'hash' in seal ? null : { claim, seal }
  } catch {
    return null
  }
}

function isObject<T>(value: T | null | undefined): value is T & object {
  return typeof value === 'object' && value !== null
}
