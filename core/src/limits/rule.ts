import type { Degrees } from '../quantity/temperature'

/** A step's edge in the life of a batch; the instant at which it happened bounds what counts for a check. */
export interface Mark {
  step: string
  edge: Edge
}

export type Edge = 'started' | 'combined' | 'done' | 'skipped'

/** What a limit asks of the readings, with temperatures as printed. */
export type Rule = HoldRule | ReachRule | StayRule | DaysRule | NoNumberRule

/** Any one row, unbroken; 0 seconds is instant. */
export interface HoldRule {
  kind: 'hold'
  rows: { at: Degrees; seconds: number }[]
}

/** Be at or under `to` within a time of the clock's start. */
export interface ReachRule {
  kind: 'reach'
  clock: { crossing: Degrees }
  to: Degrees
  withinMinutes: number
}

/** Once at or under the level, stay there. */
export interface StayRule {
  kind: 'stay'
  side: 'under'
  level: Degrees
}

/** Calendar days that it may be kept, the day of preparation being day 1. */
export interface DaysRule {
  kind: 'days'
  days: number
}

/** The rule set prints no number: never proves, and asks for a house line. */
export interface NoNumberRule {
  kind: 'no number'
}
