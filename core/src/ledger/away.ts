import type { Instant } from '../ground/instant'
import type { Id } from './subject'

/** A time in which the server heard nothing of a tablet of the kitchen: when last before, and when again. */
export interface Gap {
  from: Instant
  to: Instant
}

/** Made in such a time: sealed with the entry, as the server found it. */
export interface MadeAway extends Gap {
  at: Instant
}

/** What the server knows of a tablet by its own clock. */
export interface Contact {
  gaps: readonly Gap[]
  /** Runs of the program on that tablet. */
  runs: ReadonlyMap<Id, Run>
}

/** A run of the program on a tablet: from when on, as the server heard of it, or as its first entries claimed (`claimedRuns`). */
export interface Run {
  began: Instant
  claimed: boolean
}

/** What a claim says of when it was made. */
interface Made {
  id: Id
  madeAt: Instant
  run?: Id
  monotonic?: number
}

/**
 * When each of these claims of one tablet was made, as far as the server can tell without it: only in a time in which it
 * heard nothing of that tablet. A run is reckoned from its beginning by the clock that nobody sets; one that the server did
 * not hear of must have begun in that time too. Of two times that differ the later counts. What is not in the map is known as
 * it is recorded.
 */
export function madeAway(claims: readonly Made[], { gaps, runs }: Contact, now: Instant): ReadonlyMap<Id, MadeAway> {
  const found = new Map<Id, MadeAway>()
  for (const { id, madeAt, run, monotonic } of claims) {
    const known = run === undefined ? undefined : runs.get(run)
    if (!known || monotonic === undefined) continue
    const at = Math.round(Math.max(madeAt, known.began + monotonic))
    const gap = gaps.find(({ from, to }) => at >= from && at <= to && to <= now)
    if (gap && (!known.claimed || known.began >= gap.from)) found.set(id, { from: gap.from, to: gap.to, at })
  }
  return found
}

/** When runs that the server never heard of began by their own word, as late as their entries have it. */
export function claimedRuns(claims: readonly Made[]): ReadonlyMap<Id, Run> {
  const runs = new Map<Id, Run>()
  for (const { madeAt, run, monotonic } of claims) {
    if (run === undefined || monotonic === undefined) continue
    runs.set(run, { began: Math.max(runs.get(run)?.began ?? -Infinity, Math.round(madeAt - monotonic)), claimed: true })
  }
  return runs
}
