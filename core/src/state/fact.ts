import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { MadeAway } from '../ledger/away'
import type { Claim, Entry } from '../ledger/entry'
import { isEntryLate, knownAt, type Known } from '../ledger/late'

/** Something that was entered, as it stands now, with every value it had before. */
export interface Fact<T> {
  entry: Id
  at: Instant
  madeAt: Instant
  /** null while it is only on the tablet. */
  recordedAt: Instant | null
  /** When the kitchen knew of it. */
  knownAt: Instant
  /** Made while the server heard nothing of its tablet; left out: not. */
  away?: MadeAway
  /** How far the clock of its tablet was ahead of the kitchen's, ms; left out: as good as right. */
  aheadMs?: number
  by: Id
  /** Whose shift it was entered in; null: not told. */
  postedBy: Id | null
  value: T
  /** What stands corrected, oldest first. */
  amends: Amendment<T>[]
  /** Corrections that came too late to count by themselves: they deny, and better nothing until the lead accepts them. */
  waiting: Amendment<T>[]
  /** Taken back: shown struck through, counts for nothing. */
  void: boolean
  /** Known too late to better anything by itself. */
  late: boolean
  /** The lead let it count although it was entered late, or stood in doubt. */
  accepted: Acceptance | null
  /** The lead looked at it as it waited and did not let it count: it stays as late as it is, and asks nobody. */
  refused: Acceptance | null
}

/** What the lead decided about an entry that waits. */
export interface Acceptance {
  entry: Id
  by: Id
  at: Instant
  reason: string
  /** Whose PIN came beside it; left out: nobody's. */
  second?: Id
}

/** An entry by which the lead lets others count, or does not. */
export type Accepting = Known & { claim: Claim<'reading-accepted' | 'entries-accepted' | 'entries-refused'> }

export function acceptanceOf({ claim: { id, by, at, body }, seal }: Accepting): Acceptance {
  return { entry: id, by, at, reason: body.reason, ...(seal?.secondedBy ? { second: seal.secondedBy } : {}) }
}

/** What a correction put in the place of what, who made it, and why. */
export interface Amendment<T> {
  entry: Id
  by: Id
  madeAt: Instant
  reason: string
  wasAt: Instant
  was: T
  now: Amended<T>
  /** The lead let it count although it came late. */
  accepted: Acceptance | null
  /** The lead did not: it goes on denying, and asks nobody. */
  refused: Acceptance | null
}

export type Amended<T> = { at: Instant; value: T } | 'void'

/** @param late whether it is known too late; as the rules of its kind say, unless it is told */
export function factOf<T>(entry: Known, at: Instant, value: T, late = isEntryLate(entry, at)): Fact<T> {
  const { claim, seal } = entry
  return {
    entry: claim.id,
    at,
    madeAt: claim.madeAt,
    recordedAt: seal?.recordedAt ?? null,
    knownAt: knownAt(entry),
    ...(seal?.away ? { away: seal.away } : {}),
    ...(claim.aheadMs === undefined ? {} : { aheadMs: claim.aheadMs }),
    by: claim.by,
    postedBy: seal?.postedBy ?? null,
    value,
    amends: [],
    waiting: [],
    void: false,
    late,
    accepted: null,
    refused: null,
  }
}

/** Those that were not taken back. */
export function valid<T extends { void: boolean }>(facts: readonly T[]): T[] {
  return facts.filter(({ void: gone }) => !gone)
}

/** Those that were not taken back, by the time they tell of; of one time, the one entered later comes later. */
export function inOrder<T extends { void: boolean; at: Instant }>(facts: readonly T[]): T[] {
  return valid(facts).sort((a, b) => a.at - b.at)
}

/** Whether it betters nothing: known too late and not accepted. Until the lead has looked at it, it waits for them. */
export function isWaiting({ late, accepted }: Pick<Fact<unknown>, 'late' | 'accepted'>): boolean {
  return late && accepted === null
}

/**
 * The fact after a correction: new values, or void. What stood before is kept. One that came too late waits beside it.
 * The order in which corrections arrive changes nothing, and nothing brings back what was taken back.
 */
export function amended<T>(fact: Fact<T>, { claim }: Entry, reason: string, now: Amended<T>, counts: boolean): Fact<T> {
  const { id: entry, by, madeAt } = claim
  const amendment: Amendment<T> = {
    entry,
    by,
    madeAt,
    reason,
    wasAt: fact.at,
    was: fact.value,
    now,
    accepted: null,
    refused: null,
  }
  if (!counts) return { ...fact, waiting: ordered([...fact.waiting, amendment]) }
  return replayed(fact, [...fact.amends, amendment], null)
}

/** The fact once the lead has accepted it, or a correction of it that waits; the very same where neither is meant. */
export function acceptedIn<T>(fact: Fact<T>, target: Id, accepted: Acceptance): Fact<T> {
  if (fact.entry === target) return { ...fact, accepted, refused: null }
  const amendment = fact.waiting.find(({ entry }) => entry === target)
  if (!amendment) return fact
  const waiting = fact.waiting.filter((each) => each !== amendment)
  return replayed({ ...fact, waiting }, [...fact.amends, { ...amendment, accepted, refused: null }], accepted)
}

/** The fact once the lead has not let it count, or a correction of it that waits; the very same where neither waits. */
export function refusedIn<T>(fact: Fact<T>, target: Id, refused: Acceptance): Fact<T> {
  if (fact.entry === target) return isWaiting(fact) ? { ...fact, refused } : fact
  if (!fact.waiting.some(({ entry }) => entry === target)) return fact
  return { ...fact, waiting: fact.waiting.map((each) => (each.entry === target ? { ...each, refused } : each)) }
}

/** The fact as it stood before any correction that only the lead's acceptance lets count. */
export function withoutAccepted<T>(fact: Fact<T>): Fact<T> {
  const own = fact.amends.filter(({ accepted }) => accepted === null)
  return own.length === fact.amends.length ? fact : replayed(fact, own, null)
}

function replayed<T>(fact: Fact<T>, amends: readonly Amendment<T>[], accepted: Acceptance | null): Fact<T> {
  const [first] = fact.amends
  let stood = first ? { at: first.wasAt, value: first.was } : { at: fact.at, value: fact.value }
  let gone = false
  const told = ordered(amends).map((each) => {
    const amendment = { ...each, wasAt: stood.at, was: stood.value }
    if (each.now === 'void') gone = true
    else stood = each.now
    return amendment
  })
  // Accepted, or refused, was the value that stood then.
  return { ...fact, ...stood, amends: told, void: gone, accepted, refused: null }
}

function ordered<T>(amends: readonly Amendment<T>[]): Amendment<T>[] {
  return [...amends].sort((a, b) => a.madeAt - b.madeAt || (a.entry < b.entry ? -1 : 1))
}
