import type { Day } from '../../ground/zone'
import type { LimitSet } from '../../rules/limit'
import { limitsOf } from '../checks/checksFor'

/** Where the house does not say, names stay so long with what their people entered, months: a house figure. */
export const USUAL_MONTHS_KEPT = 24

/** How long a rule set has records kept, months; null: it does not say. */
export function recordMonths(limits: LimitSet, day: Day): number | null {
  const [records] = limitsOf(limits, 'records', day)
  return records?.rule.kind === 'condition' ? (records.rule.months ?? null) : null
}

/** For how many months a name stays with what its person entered: as the house says, and never less than the rule set asks. */
export function monthsKept(limits: LimitSet, day: Day): number {
  return Math.max(recordMonths(limits, day) ?? 0, limits.practice.monthsKept ?? USUAL_MONTHS_KEPT)
}
