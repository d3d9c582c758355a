import { ProofCheck, type ProofFound, type ProofTools } from '@logged-thermal/core'
import { LinesIn } from './linesIn'
import { PROOF_TOOLS } from './proofTools'

interface Asked {
  /** How many bytes there are; for the progress alone. */
  size: number
  /** Told now and then how much is read, from 0 to 1. */
  onProgress?: (share: number) => void
  /** Gives it up: the check throws what the signal says. */
  signal?: AbortSignal
  tools?: ProofTools
}

/** Told and asked so often, bytes: a fraction of a second. */
const STEP = 1_000_000

/**
 * Goes through a proof file, or an archive with one in it, as its bytes come. Throws an UnreadableFile where there is nothing to
 * go through; a file that does not hold is found so and not thrown.
 */
export async function checkProof(
  pieces: AsyncIterable<Uint8Array>,
  { size, onProgress, signal, tools = PROOF_TOOLS }: Asked,
): Promise<ProofFound> {
  const check = new ProofCheck(tools)
  const lines = new LinesIn()
  let read = 0
  let told = 0
  for await (const piece of pieces) {
    for (const line of lines.push(piece, false)) check.next(line)
    read += piece.length
    if (read - told >= STEP) {
      told = read
      onProgress?.(size > 0 ? Math.min(1, read / size) : 0)
      // Whoever wants to cancel is heard in between.
      await new Promise((done) => setTimeout(done))
      signal?.throwIfAborted()
    }
    if (check.isLost) break
  }
  if (!check.isLost) for (const line of lines.push(new Uint8Array(), true)) check.next(line)
  return check.end()
}
