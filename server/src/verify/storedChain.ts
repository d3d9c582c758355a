import { entryIn, GENESIS, isCanonical, type ChainHead, type Instant, type SealedEntry } from '@logged-thermal/core'
import { sha256 } from '../sealing/sha256'
import type { Fault } from './fault'

/** An entry as the database has it. */
export interface StoredEntry {
  seq: string
  hash: string
  canon: string
}

/**
 * Goes along a chain of stored entries, by the very bytes that are stored. What is wrong is told once; it goes on from what
 * is there, so that one fault does not hide the others.
 */
export class StoredChain {
  head: ChainHead = GENESIS
  readonly faults: Fault[] = []
  private recordedAt: Instant = 0

  /** The entry; null where its text cannot be read. */
  next({ seq: at, hash, canon }: StoredEntry): SealedEntry | null {
    const seq = Number(at)
    if (seq !== this.head.seq + 1) this.faults.push({ code: 'missing', seq: this.head.seq + 1 })
    const entry = entryIn(canon)
    // The hash is of the bytes; and only one text of an entry is its own.
    if (sha256(canon) !== hash || !entry || !isCanonical(canon, entry) || entry.seal.seq !== seq)
      this.faults.push({ code: 'altered', seq })
    else {
      if (entry.seal.prev !== this.head.hash && seq === this.head.seq + 1)
        this.faults.push({ code: 'broken link', seq })
      if (entry.seal.recordedAt < this.recordedAt) this.faults.push({ code: 'recorded earlier', seq })
      this.recordedAt = entry.seal.recordedAt
    }
    this.head = { seq, hash }
    return entry && { claim: entry.claim, seal: { ...entry.seal, hash } }
  }
}
