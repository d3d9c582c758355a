import type { Instant } from '../calendar/instant'
import { dayOf, daysBetween } from '../calendar/zone'
import type { Check } from '../limits/checksFor'
import type { DaysRule } from '../limits/rule'
import { discardDay } from '../shelf/discardDay'
import type { BatchState } from '../state/batch'
import type { Finding } from './finding'

/** How long a batch may still be kept. The day of preparation is day 1; it is usable to the end of the last. */
export function findDays(check: Check, rule: DaysRule, batch: BatchState, zone: string, now: Instant): Finding {
  const { days } = rule
  const { lastDay, until } = discardDay({ prepared: batch.startedAt, zone, keepDays: days })
  if (lastDay === null || until === null) throw new RangeError(`check: ${check.key} gives no day`)
  const out = now >= until
  const day = daysBetween(dayOf(batch.startedAt, zone), dayOf(now, zone)) + 1
  return {
    check,
    standing: out ? 'missed' : 'open',
    overdue: false,
    because: out ? { code: 'out of date', lastDay, days } : { code: 'in date', lastDay, day, days },
    deciding: [],
    start: null,
    end: null,
    deadline: until,
    doubts: [],
    nextAt: out ? null : until,
  }
}
