import { HOUR, MINUTE } from '@logged-thermal/core'

/** Wrong tries before a name is locked; each one more doubles for how long, up to the longest. */
export const TRIES = 5
const FIRST_LOCK = MINUTE
const LONGEST_LOCK = HOUR
/** Wrong tries are forgotten when none came for so long, ms. */
export const FORGOTTEN_AFTER = 24 * HOUR

/** For how long a name is locked after so many wrong tries, ms. */
export function lockOf(wrong: number): number {
  return Math.min(LONGEST_LOCK, FIRST_LOCK * 2 ** (wrong - TRIES))
}

/** A time to wait, ms, in words. */
export function waitWords(ms: number): string {
  return ms > 2 * MINUTE ? `${Math.ceil(ms / MINUTE)} min` : `${Math.ceil(ms / 1000)} s`
}
