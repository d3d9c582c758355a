import type { Day } from '../ground/zone'
import type { Instant } from '../ground/instant'
import type { Measure } from '../ground/measure'
import type { Id } from '../ledger/subject'

/** A sample of something, kept apart so that it can be looked into. */
export interface KeptSample {
  /** The entry that took it. */
  entry: Id
  item: Id
  /** What it is of, by name and code. */
  name: string
  measure: Measure
  place: string
  /** Through this day it is kept. */
  until: Day
  at: Instant
  by: Id
  /** Thrown away, or handed to whoever asked for it; null: it is there. */
  ended: { at: Instant; by: Id; note: string } | null
}
