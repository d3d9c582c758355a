import { HashTree, type Hash } from '@logged-thermal/core'
import { sha256 } from '../sealing/sha256'
import { BLOCK } from '../sealing/entryTree'
import type { Fault } from './fault'

/** The tree over a logbook, made again from its entries, beside the roots of blocks that are kept. */
export class StoredTree {
  readonly faults: Fault[] = []
  private readonly whole = new HashTree(sha256)
  private block = new HashTree(sha256)

  constructor(private readonly kept: ReadonlyMap<number, Hash>) {}

  next(hash: Hash): void {
    this.whole.addEntry(hash)
    this.block.addEntry(hash)
    if (this.block.size < BLOCK) return
    const kept = this.kept.get(this.whole.size / BLOCK - 1)
    if (kept !== undefined && kept !== this.block.root())
      this.faults.push({ code: 'other block', seq: this.whole.size })
    this.block = new HashTree(sha256)
  }

  root(): Hash {
    return this.whole.root()
  }
}
