import { createHash, createPublicKey, verify } from 'node:crypto'
import type { KeyTools } from '@logged-thermal/core'

/** What a server knows of keys. */
export const KEYS: KeyTools = {
  verifies(publicKey, { statement, signature }) {
    try {
      return verify(null, Buffer.from(statement), publicKey, Buffer.from(signature, 'base64'))
    } catch {
      return false
    }
  },
  keyIdOf(publicKey) {
    try {
      const der = createPublicKey(publicKey).export({ type: 'spki', format: 'der' })
      return createHash('sha256').update(der).digest('hex').slice(0, 16)
    } catch {
      return null
    }
  },
}
