import { createHash, randomInt } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import type { Instant } from '@logged-thermal/core'

const ISSUER = 'Logged Thermal'
/** A code holds for so long, s (RFC 6238); the one before and the one after are taken too, for clocks that are a little off. */
const PERIOD = 30
const WINDOW = 1

/** A new secret, base32, for an app that shows codes. */
export function newCodeSecret(): string {
  return new Secret({ size: 20 }).base32
}

/** What an app reads, as text or as the QR code of it. */
export function codeUri(secret: string, called: string): string {
  return totp(secret, called).toString()
}

/**
 * The step of a code, counted from 1970 in half minutes; null where it is none of this secret at that time. A step that was
 * used is to be refused by whoever asks: a code is good once.
 */
export function stepOfCode(secret: string, code: string, now: Instant): number | null {
  const delta = totp(secret, '').validate({ token: code, timestamp: now, window: WINDOW })
  return delta === null ? null : Math.floor(now / 1000 / PERIOD) + delta
}

/** Letters and digits that nobody takes for another. */
const SIGNS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789'
const RECOVERY_CODES = 8
const RECOVERY_SIGNS = 12

/** Codes for whoever lost the app, each good once: three groups of four. */
export function newRecoveryCodes(): string[] {
  return Array.from({ length: RECOVERY_CODES }, () =>
    Array.from({ length: RECOVERY_SIGNS }, () => SIGNS[randomInt(SIGNS.length)]!)
      .join('')
      .replace(/(.{4})(?!$)/g, '$1-'),
  )
}

/** A recovery code as it is kept, however it was typed. It is long and random, so that it needs no slow hash. */
export function recoveryHash(code: string): string {
  return createHash('sha256')
    .update(code.toUpperCase().replace(/[^A-Z0-9]/g, ''))
    .digest('hex')
}

function totp(secret: string, called: string): TOTP {
  return new TOTP({ issuer: ISSUER, label: called || ISSUER, secret: Secret.fromBase32(secret), period: PERIOD })
}
