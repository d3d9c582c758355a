import { createHash } from 'node:crypto'
import { deflateRawSync, inflateRawSync } from 'node:zlib'
import type { ProofTools } from '@logged-thermal/core'
import { PROOF_TOOLS } from '../proofTools'

/** The same with what Node has of its own, several times as fast. */
export const NODE_TOOLS: ProofTools = {
  ...PROOF_TOOLS,
  sha256: (text) => createHash('sha256').update(text, 'utf8').digest('hex'),
  // A copy: what the library gives lies in a piece of memory many times as large.
  pack: (text) => new Uint8Array(deflateRawSync(text, { level: 1 })),
  unpack: (packed) => inflateRawSync(packed).toString('utf8'),
}
