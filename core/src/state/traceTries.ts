import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { TraceBegun, TraceEnded } from '../ledger/traceTry'

/** A trace that somebody tries, or tried. */
export interface TraceTry extends TraceBegun {
  /** The entry that began it. */
  entry: Id
  at: Instant
  by: Id
  ended: (Omit<TraceEnded, 'begun'> & { at: Instant; by: Id }) | null
}
