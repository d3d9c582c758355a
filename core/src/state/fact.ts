import type { Instant } from '../calendar/instant'
import type { Entry, Id } from '../ledger/entry'

/** Something that was entered, as it stands now, with every value it had before. */
export interface Fact<T> {
  entry: Id
  at: Instant
  madeAt: Instant
  /** null while it is only on the tablet. */
  recordedAt: Instant | null
  by: Id
  value: T
  /** Oldest first. */
  amends: Amendment<T>[]
  /** Taken back: shown struck through, counts for nothing. */
  void: boolean
  /** The lead let it count although it was entered late. */
  accepted: Acceptance | null
}

export interface Acceptance {
  entry: Id
  by: Id
  at: Instant
  reason: string
}

/** What a correction replaced, who made it, and why. */
export interface Amendment<T> {
  entry: Id
  by: Id
  madeAt: Instant
  reason: string
  wasAt: Instant
  was: T
}

export function factOf<T>({ claim, seal }: Entry, at: Instant, value: T): Fact<T> {
  const recordedAt = seal?.recordedAt ?? null
  return {
    entry: claim.id,
    at,
    madeAt: claim.madeAt,
    recordedAt,
    by: claim.by,
    value,
    amends: [],
    void: false,
    accepted: null,
  }
}

/** Those that were not taken back. */
export function standing<T extends { void: boolean }>(facts: readonly T[]): T[] {
  return facts.filter(({ void: gone }) => !gone)
}

/** Those that were not taken back, by the time they tell of; of one time, the one entered later comes later. */
export function inOrder<T extends { void: boolean; at: Instant }>(facts: readonly T[]): T[] {
  return standing(facts).sort((a, b) => a.at - b.at)
}

/** The fact after a correction: new values, or void. What stood before is kept. */
export function amended<T>(
  fact: Fact<T>,
  { claim }: Entry,
  reason: string,
  now: { at: Instant; value: T } | 'void',
): Fact<T> {
  const amends = [
    ...fact.amends,
    { entry: claim.id, by: claim.by, madeAt: claim.madeAt, reason, wasAt: fact.at, was: fact.value },
  ]
  return now === 'void'
    ? { ...fact, amends, void: true }
    : // Accepted was the value that stood then.
      { ...fact, amends, void: false, accepted: null, at: now.at, value: now.value }
}
