import { MINUTE, type Instant } from '../../ground/instant'

/** Readings that fall due within so long of each other are one walk with the probe, and one sound. */
export const ROUND_WITHIN = 10 * MINUTE

/** The readings of one walk, the first due first: as soon as one is due, all that will be shortly. */
export function dueRound<T extends { at: Instant }>(reads: readonly T[], now: Instant): T[] {
  const near = reads.filter(({ at }) => at <= now + ROUND_WITHIN)
  return near.some(({ at }) => at <= now) ? near.sort((a, b) => a.at - b.at) : []
}

/** When the next walk begins; null while nothing will be due. */
export function nextRound(reads: readonly { at: Instant }[]): Instant | null {
  return reads.length ? Math.min(...reads.map(({ at }) => at)) : null
}
