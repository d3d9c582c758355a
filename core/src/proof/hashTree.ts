import type { Sha256 } from '../ledger/chain'
import type { Hash } from '../ledger/subject'

/**
 * The tree over the entries of a logbook, of the shape that RFC 6962 section 2.1 gives: a leaf is an entry, the left half of a
 * tree the largest power of two. Leaves and nodes are hashed as text: U+0000 and the entry's hash; U+0001 and both halves.
 */
export function leafOf(entry: Hash, sha256: Sha256): Hash {
  return sha256(`\u0000${entry}`)
}

export function nodeOf(left: Hash, right: Hash, sha256: Sha256): Hash {
  return sha256(`\u0001${left}${right}`)
}

/** A whole subtree: 2^level leaves, the `index`-eth of that size. */
export interface Subtree {
  level: number
  index: number
}

/** A tree as it grows at its right edge: only the roots of its whole subtrees are kept, log2 of its size at most. */
export class HashTree {
  private readonly peaks: { level: number; hash: Hash }[] = []
  private leaves = 0

  constructor(private readonly sha256: Sha256) {}

  /** How many leaves it has. */
  get size(): number {
    return this.leaves
  }

  /** Takes one more entry, by its hash. */
  addEntry(entry: Hash): void {
    this.add(0, leafOf(entry, this.sha256))
  }

  /**
   * Takes the 2^`level` entries that follow, by the root of their tree. RangeError where so many cannot stand together at this
   * place: their first is no multiple of their number.
   */
  add(level: number, hash: Hash): void {
    const count = 2 ** level
    if (!Number.isInteger(level) || level < 0 || level > MOST_LEVELS || this.leaves % count !== 0)
      throw new RangeError(`level: ${level} does not fit after ${this.leaves} entries`)
    this.leaves += count
    let grown = { level, hash }
    for (let last = this.peaks.at(-1); last?.level === grown.level; last = this.peaks.at(-1)) {
      this.peaks.pop()
      grown = { level: grown.level + 1, hash: nodeOf(last.hash, grown.hash, this.sha256) }
    }
    this.peaks.push(grown)
  }

  /** The root over all that it has; of nothing, the hash of nothing. */
  root(): Hash {
    const [last, ...others] = [...this.peaks].reverse()
    if (!last) return this.sha256('')
    return others.reduce((right, { hash }) => nodeOf(hash, right, this.sha256), last.hash)
  }
}

/** 2^50 entries: more than a number counts one by one. */
const MOST_LEVELS = 50

/** The fewest whole subtrees that stand for the entries numbered `from` to `to - 1`, the first of a logbook being 0; in order. */
export function subtreesBetween(from: number, to: number): Subtree[] {
  const found: Subtree[] = []
  for (let at = from; at < to;) {
    let level = 0
    while (at % 2 ** (level + 1) === 0 && at + 2 ** (level + 1) <= to) level++
    found.push({ level, index: at / 2 ** level })
    at += 2 ** level
  }
  return found
}
