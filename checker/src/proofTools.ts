import { ed25519 } from '@noble/curves/ed25519'
import { sha256 } from '@noble/hashes/sha2'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils'
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate'
import type { ProofTools } from '@logged-thermal/core'

/** All that a check needs, in plain JavaScript: what a browser has of its own depends on where a page came from. */
export const PROOF_TOOLS: ProofTools = {
  sha256: (text) => bytesToHex(sha256(utf8ToBytes(text))),
  verifies(publicKey, { statement, signature }) {
    try {
      const key = keyIn(publicKey)
      return key !== null && ed25519.verify(bytesOf(signature), utf8ToBytes(statement), key, { zip215: false })
    } catch {
      return false
    }
  },
  keyIdOf(publicKey) {
    const der = derOf(publicKey)
    return der && bytesToHex(sha256(der)).slice(0, 16)
  },
  pack: (text) => deflateSync(strToU8(text), { level: 1 }),
  unpack: (packed) => strFromU8(inflateSync(packed)),
}

/** What stands before the 32 bytes of an Ed25519 key in its SPKI form: RFC 8410, section 4. */
const PREFIX = '302a300506032b6570032100'

function keyIn(publicKey: string): Uint8Array | null {
  const der = derOf(publicKey)
  return der?.length === 44 && bytesToHex(der.slice(0, 12)) === PREFIX ? der.slice(12) : null
}

function derOf(publicKey: string): Uint8Array | null {
  const base64 = /^-----BEGIN PUBLIC KEY-----\s*([A-Za-z0-9+/=\s]+)-----END PUBLIC KEY-----\s*$/.exec(publicKey)?.[1]
  try {
    return base64 === undefined ? null : bytesOf(base64.replace(/\s/g, ''))
  } catch {
    return null
  }
}

function bytesOf(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0))
}
