import type { Instant } from '../ground/instant'
import { timeOn } from '../ground/timeOfDay'
import { weekdayOf, type Day } from '../ground/zone'
import type { DailyList } from '../ledger/dailyList'
import type { Id } from '../ledger/subject'

/** A list as it was asked for over some time; until null: it still is. */
export interface ListVersion {
  list: DailyList
  since: Instant
  until: Instant | null
}

/** A list was gone through, in the words that it had then. */
export interface DoneList {
  entry: Id
  list: string
  name: string
  day: Day
  faults: { text: string; note: string }[]
  at: Instant
  by: Id
  /** When the kitchen knew of it: what is told afterwards makes nothing done in time. */
  known: Instant
}

/** A list that is asked for on a day. */
export interface AskedList {
  list: DailyList
  /** Since when it is asked for so: what was done before was another list. */
  since: Instant
  due: Instant
}

/** The lists that are asked for on a day, the soonest first: as they were when they were due. */
export function askedOn(lists: readonly ListVersion[], day: Day, zone: string): AskedList[] {
  return lists
    .filter(({ list }) => list.days.includes(weekdayOf(day)))
    .map(({ list, since, until }) => ({ list, since, until, due: timeOn(day, list.by, zone) }))
    .filter(({ since, until, due }) => since <= due && (until === null || due < until))
    .map(({ list, since, due }) => ({ list, since, due }))
    .sort((a, b) => a.due - b.due)
}
