import { Problem } from '../http/problem'
import { COMMON_PASSWORDS } from './commonPasswords'

export const LEAST_PASSWORD = 10
export const LONGEST_PASSWORD = 128

/**
 * Throws a Problem about the field `password` where it is too short, one that many people use, or made of the names around
 * it. Length alone is asked for beyond that: no signs of a kind (NIST SP 800-63B, 5.1.1.2).
 * @param names what anybody knows of whoever it is for
 */
export function requireGoodPassword(password: string, names: readonly string[]): void {
  const bad = (sentence: string) => new Problem(400, 'bad field', sentence, 'password')
  if ([...password].length < LEAST_PASSWORD)
    throw bad(`A password has ${LEAST_PASSWORD} characters or more. Three or four words are easy to keep in mind.`)
  const bare = bareOf(password)
  if (COMMON_PASSWORDS.has(bare) || isRepeated(bare) || isRow(bare))
    throw bad('Many people use that password, and it is among the first that are tried. Take another.')
  const left = names
    .flatMap((name) => [bareOf(name), ...name.split(/[\s.@_-]+/).map(bareOf)])
    .filter((name) => name.length >= 3)
    .sort((a, b) => b.length - a.length)
    .reduce((rest, name) => rest.replaceAll(name, ''), bare)
  if (left.replace(/\d+/g, '').length < 4)
    throw bad('That password is made of names that anybody here knows. Take another.')
}

/** The password as it is compared and kept: however its letters were put together. */
export function normalPassword(password: string): string {
  return password.normalize('NFKC')
}

/** Without capitals, spaces and signs at the ends of words: 'Password-123!' is 'password123'. */
function bareOf(text: string): string {
  return normalPassword(text)
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]/gu, '')
}

/** 'aaaaaaaaaa', 'abcabcabcabc'. */
function isRepeated(bare: string): boolean {
  return /^(.{1,4})\1+$/u.test(bare)
}

/** '1234567890', 'abcdefghij', and the same backwards. */
function isRow(bare: string): boolean {
  const codes = [...bare].map((sign) => sign.codePointAt(0)!)
  return [1, -1].some((step) =>
    codes.every((code, i) => i === 0 || code === codes[i - 1]! + step || (step === 1 && code === 48)),
  )
}
