import { canonical } from '../ground/canonical'
import type { Hash } from './subject'
import type { AnyClaim, Seal, SealedEntry } from './entry'

/** SHA-256 of UTF-8 text as lower-case hexadecimal; passed in, since not every browser context has one. */
export type Sha256 = (text: string) => Hash

/** Where a chain stands: its last entry. */
export interface ChainHead {
  seq: number
  hash: Hash
}

/** Before the first entry. */
export const GENESIS: ChainHead = { seq: 0, hash: '0'.repeat(64) }

/** Seals a claim as the next entry after `head`. `canon` is the text that was hashed. */
export function seal(
  claim: AnyClaim,
  head: ChainHead,
  stamp: Omit<Seal, 'seq' | 'prev' | 'hash'>,
  sha256: Sha256,
): { entry: SealedEntry; canon: string } {
  const unhashed = { seq: head.seq + 1, ...stamp, prev: head.hash }
  const canon = canonical({ claim, seal: unhashed })
  return { entry: { claim, seal: { ...unhashed, hash: sha256(canon) } }, canon }
}

/** What is wrong with a chain, and at which entry. */
export interface ChainFault {
  seq: number
  fault: 'gap' | 'broken link' | 'altered'
}

/**
 * Checks entries that should follow `head`, in order. Returns the new head, or the first fault.
 * Feed it piece by piece: the head of one piece is where the next begins.
 */
export function verifyChain(
  entries: Iterable<SealedEntry>,
  sha256: Sha256,
  head: ChainHead = GENESIS,
): ChainHead | ChainFault {
  let at = head
  for (const { claim, seal: sealed } of entries) {
    const { hash, ...unhashed } = sealed
    if (unhashed.seq !== at.seq + 1) return { seq: at.seq + 1, fault: 'gap' }
    if (unhashed.prev !== at.hash) return { seq: unhashed.seq, fault: 'broken link' }
    if (sha256(canonical({ claim, seal: unhashed })) !== hash) return { seq: unhashed.seq, fault: 'altered' }
    at = { seq: unhashed.seq, hash }
  }
  return at
}

export function isFault(result: ChainHead | ChainFault): result is ChainFault {
  return 'fault' in result
}
