import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto'
import { isId, type Id } from '@logged-thermal/core'
import { parse, stringify } from 'uuid'

// Of this process alone: a handle that is older than it means nothing.
const KEY = randomBytes(32)
const [IV, TAG] = [12, 16]

/** Something by which a stranger can name an id that is shown to them, and which says nothing of it. */
export function handleOf(id: Id): string {
  const iv = randomBytes(IV)
  const cipher = createCipheriv('aes-256-gcm', KEY, iv)
  const hidden = Buffer.concat([cipher.update(parse(id)), cipher.final()])
  return Buffer.concat([iv, cipher.getAuthTag(), hidden]).toString('base64url')
}

/** The id that a handle stands for, or that it is; null where it is neither. */
export function idOf(handle: string): Id | null {
  if (isId(handle)) return handle
  const bytes = Buffer.from(handle, 'base64url')
  if (bytes.length !== IV + TAG + 16) return null
  try {
    const decipher = createDecipheriv('aes-256-gcm', KEY, bytes.subarray(0, IV))
    decipher.setAuthTag(bytes.subarray(IV, IV + TAG))
    return stringify(Buffer.concat([decipher.update(bytes.subarray(IV + TAG)), decipher.final()]))
  } catch {
    return null
  }
}
