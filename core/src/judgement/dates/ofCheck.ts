import type { Instant } from '../../ground/instant'
import { dayOf, daysBetween } from '../../ground/zone'
import type { Check } from '../../recipe/checks/checksFor'
import type { DaysRule, HoursRule } from '../../rules/rule'
import { discardDay } from './discardDay'
import type { Finding } from '../finding'
import { findingOf, type Span } from '../find/checkWatch'

/** How long a batch may still be kept. The day of preparation is day 1; it is usable to the end of the last. */
export function findDays(
  check: Check,
  { days }: DaysRule,
  span: Span,
  prepared: Instant,
  zone: string,
  now: Instant,
): Finding {
  const { lastDay, until } = discardDay({ prepared, zone, keepDays: days })
  if (lastDay === null || until === null) throw new RangeError(`check: ${check.key} gives no day`)
  const out = now >= until
  const day = daysBetween(dayOf(prepared, zone), dayOf(now, zone)) + 1
  return findingOf(check, span, {
    standing: out ? 'missed' : 'open',
    because: out ? { code: 'out of date', lastDay, days } : { code: 'in date', lastDay, day, days },
    deadline: until,
    nextAt: out ? null : until,
  })
}

/** Hours from an instant; nothing while that has not come. */
export function findHours(
  check: Check,
  { hours }: HoursRule,
  span: Span,
  begins: Instant | null,
  zone: string,
  now: Instant,
): Finding {
  if (begins === null)
    return findingOf(check, span, { standing: 'open', because: { code: 'nothing read', waitingFor: 'combined' } })
  const { until } = discardDay({ prepared: begins, zone, keepHours: hours })
  if (until === null) throw new RangeError(`check: ${check.key} gives no hour`)
  const out = now >= until
  return findingOf(check, span, {
    standing: out ? 'missed' : 'open',
    because: { code: out ? 'past its hours' : 'in time to use', until, hours },
    deadline: until,
    nextAt: out ? null : until,
  })
}
