import { createHash, randomInt } from 'node:crypto'

/** Letters and digits that nobody takes for another. */
const SIGNS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789'
const LENGTH = 8

/** A new code, as it is read off the console: two groups of four. */
export function newSetUpCode(): string {
  const signs = Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]!).join('')
  return `${signs.slice(0, LENGTH / 2)}-${signs.slice(LENGTH / 2)}`
}

/** The code as it is kept, however it was typed. */
export function setUpHash(code: string): string {
  return createHash('sha256')
    .update(code.toUpperCase().replace(/[^A-Z0-9]/g, ''))
    .digest('hex')
}
