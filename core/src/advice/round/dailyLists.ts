import { HOUR, type Instant } from '../../ground/instant'
import { addDays, dayOf, type Day } from '../../ground/zone'
import type { DailyList } from '../../ledger/dailyList'
import { askedOn, type DoneList } from '../../state/dailyLists'
import type { KitchenState } from '../../state/kitchen'

/** A list as it stands on one day. */
export interface ListOfDay {
  list: DailyList
  day: Day
  /** By when it is gone through. */
  due: Instant
  state: 'ahead' | 'due' | 'done' | 'missed'
  /** Each time it was, the first first; after it was missed too. */
  done: DoneList[]
}

/** So long before its time a list is asked for, and so long after it it is missed, ms. House figures. */
const AHEAD = 3 * HOUR
const LATE = 2 * HOUR

/** From when a list that was due then is missed. */
export function listMissedAt(due: Instant): Instant {
  return due + LATE
}

type Lists = Pick<KitchenState, 'lists' | 'listsDone'>

/**
 * The lists of a day. Missed is missed: neither what is told later nor a list that the lead changes afterwards makes it
 * done.
 */
export function listsOn({ lists, listsDone }: Lists, day: Day, zone: string, now: Instant): ListOfDay[] {
  return askedOn(lists, day, zone).map(({ list, since, due }) => {
    const done = listsDone.filter((each) => each.list === list.key && each.day === day && each.at >= since)
    const inTime = done.some(({ known }) => known <= due + LATE)
    const waits = now < due - AHEAD ? 'ahead' : now <= due + LATE ? 'due' : 'missed'
    return { list, day, due, state: inTime ? 'done' : waits, done }
  })
}

/** Those of the last so many days and today, the latest day first. */
export function listsOfDays(lists: Lists, days: number, zone: string, now: Instant): ListOfDay[] {
  const today = dayOf(now, zone)
  return Array.from({ length: days + 1 }, (_, i) => addDays(today, -i)).flatMap((day) => listsOn(lists, day, zone, now))
}
