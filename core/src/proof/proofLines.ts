import type { Hash, Id } from '../ledger/subject'
import { subtreesBetween, type Subtree } from './hashTree'
import type { ProofHeader, ProofLine } from './proofFile'
import { headSaidBy, type PublicKey, type SignedText } from './signedHead'

/** What a proof file is made of. */
export interface ProofSource {
  header: ProofHeader
  keys: PublicKey[]
  /** Heads of the logbook up to `size`, one of which is of all of it. */
  heads: SignedText[]
  names: Record<Id, string>
  /** Entries that the logbook has. */
  size: number
  /** The entries that are shown, in order. */
  shown: AsyncIterable<{ seq: number; canon: string; hash: Hash }>
  /** The root of a whole subtree of the logbook. */
  subtree(of: Subtree): Promise<Hash>
}

/** The lines of a proof file, one after the other: neither the logbook nor the file is ever in memory. */
export async function* proofLines(source: ProofSource): AsyncGenerator<ProofLine> {
  const { header, keys, heads, names, size } = source
  yield header
  yield { keys }
  yield { heads }
  yield { names }
  const stops = stopsOf(heads, size)
  let at = 0
  for await (const { seq, canon, hash } of source.shown) {
    yield* leftBetween(at, seq - 1, stops, source)
    yield { entry: canon, hash }
    at = seq
  }
  yield* leftBetween(at, size, stops, source)
  yield { end: size }
}

/** Where a head was signed the file stops too, so that the head can be compared there. */
function stopsOf(heads: readonly SignedText[], size: number): number[] {
  const signed = heads.flatMap((each) => headSaidBy(each)?.seq ?? [])
  return [...new Set([...signed.filter((seq) => seq < size), size])].sort((a, b) => a - b)
}

async function* leftBetween(
  from: number,
  to: number,
  stops: readonly number[],
  source: ProofSource,
): AsyncGenerator<ProofLine> {
  let at = from
  for (const stop of [...stops.filter((each) => each > from && each < to), to]) {
    const left: { level: number; hash: Hash }[] = []
    for (const each of subtreesBetween(at, stop)) left.push({ level: each.level, hash: await source.subtree(each) })
    if (left.length > 0) yield { left }
    at = stop
  }
}
