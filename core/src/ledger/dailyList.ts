import type { Day } from '../ground/zone'
import type { TimeOfDay } from '../ground/timeOfDay'

/** What the house goes through on some days of the week, by a time: hand basins, sanitizer, the churn, glass. */
export interface DailyList {
  key: string
  name: string
  /** Days of the week, 0 being Monday. */
  days: number[]
  /** By when it is done, on the kitchen's clock. */
  by: TimeOfDay
  lines: DailyLine[]
}

export interface DailyLine {
  key: string
  /** What is right when it is right: 'Hand basins: warm water, soap, towels'. */
  text: string
}

/** A list was gone through: all of it is right but these. */
export interface ListDone {
  list: string
  day: Day
  faults: { line: string; note: string }[]
}

/** A house has so many lists at most, and a list so many lines. */
export const MOST_LISTS = 12
export const MOST_LINES = 40
