import type { Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { Source } from '../rules/source'
import type { Force } from '../rules/limit'

/** What dates an item, fixed when it came to be: each with where it is from. */
export interface Dating {
  /** The day of this instant is day 1. */
  prepared: Instant
  keeps: Keep[]
  /** A maker's use-by, never lengthened. */
  useBy: Day | null
  /** The dates of the parts that pass theirs on; older ones say their last day alone. */
  parts: PassedDate[]
  /** A best-before: noted, and no bound. */
  bestBefore?: Day
  /** Frozen before its use-by, where the authority allows: the house's days in the frost, and 24 h after it. */
  frozenDays?: number
}

/** Calendar days or hours it may be kept, and who says so. */
export interface Keep {
  what: 'days' | 'hours' | 'once opened'
  count: number
  /** Hours count from here; null: from `prepared`, or the opening. */
  from: Instant | null
  force: Force
  source: Source
}

/** A date of a part, by the part's name. */
export interface PassedDate {
  name: string
  lastDay: Day
  until?: Instant
  kind?: PassedWall['kind']
  /** It was put on then: no frost before lengthens it. Left out: it was in from the first. */
  since?: Instant
}

/** A date that a part passes on. */
export interface PassedWall {
  kind: 'days' | 'hours' | 'use-by'
  until: Instant
  lastDay: Day
}
