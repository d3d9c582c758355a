import { MINUTE, type Instant } from '../ground/instant'
import type { Entry } from './entry'

/** The rules of lateness that the server seals entries with today. */
export const RULES = 1

/** A correction counts by itself when its author makes it within this of the entry; a mark is undone sooner, ms. */
export const CORRECTED_WITHIN = 10 * MINUTE
export const MARK_UNDONE_WITHIN = 2 * MINUTE
/** Another time is no correction of a slip of the finger: it waits for the lead, ms. */
export const SAME_TIME = MINUTE
/** Before `RULES` a reading was late by its own tablet's word, ms. */
export const LATE_MS = 15 * MINUTE

/** When the kitchen knew of an entry: as the server recorded it. Entries of before the rules, and unsent ones: as made. */
export function knownAt({ claim, seal }: Entry): Instant {
  return seal?.rules === undefined ? claim.madeAt : seal.recordedAt
}

/**
 * When it was entered, as far as the server can tell: as it recorded it, or, of a tablet that it heard nothing of, when that
 * made it. What others did meanwhile they did without knowing: for that `knownAt` counts.
 */
export function enteredAt(entry: Entry): Instant {
  return entry.seal?.away?.at ?? knownAt(entry)
}

/**
 * An entry with how long after it happened it may become known and still better something, ms. Later than this it counts
 * only against the batch until the lead accepts it. House rules, given by its kind; Infinity: it betters nothing.
 */
export interface Known extends Entry {
  lateAfter: number
}

/** Whether an entry was entered so long after `at` that it betters nothing before the lead accepts it. */
export function isEntryLate(entry: Known, at: Instant): boolean {
  const { claim, seal, lateAfter } = entry
  if (seal && seal.rules === undefined) return claim.kind === 'reading-taken' && claim.madeAt - at > LATE_MS
  return enteredAt(entry) - at > lateAfter
}
