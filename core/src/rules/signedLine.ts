import type { Day } from '../ground/zone'
import type { Limit, LimitKey, LimitSet } from './limit'
import type { Rule } from './rule'

/**
 * What the lead signed for one method in place of a limit that is only guidance: an upper bound of its own, with its
 * reason and its last day. Inside it nobody is asked; the record prints both.
 */
export interface SignedLine {
  limit: LimitKey
  /** In the unit of what it stands for: minutes, hours or days. */
  most: number
  reason: string
  validUntil: Day
}

/** A line is signed for at most so many days. House figure. */
export const SIGNED_DAYS = 90

/** Which bound a rule has that a signed line may move, and how far. */
export interface Movable {
  unit: 'minutes' | 'hours' | 'days'
  printed: number
  most: number
}

/**
 * The upper bound of a rule that a signed line may move; null for those that have none. A floor has none: it kills, or it
 * does not. A cooling may take 6 h at most, the longest that any rule set here prints (Food Code 3-501.14), a date 7 days
 * (3-501.17), hours of use twice what is printed (a house figure).
 */
export function movable(rule: Rule): Movable | null {
  if (rule.kind === 'reach' && rule.direction === 'falling')
    return { unit: 'minutes', printed: rule.withinMinutes, most: 360 }
  if (rule.kind === 'hours') return { unit: 'hours', printed: rule.hours, most: rule.hours * 2 }
  if (rule.kind === 'days') return { unit: 'days', printed: rule.days, most: 7 }
  return null
}

/** A kitchen's limits as one method is held to them on a day: guidance gives way to what the lead signed for it, law never. */
export function withSignedLines(limits: LimitSet, signed: readonly SignedLine[], day: Day): LimitSet {
  const valid = signed.filter(({ validUntil }) => day <= validUntil)
  if (valid.length === 0) return limits
  const lines = limits.lines.map((line) => {
    const own = valid.findLast(({ limit }) => limit === line.key)
    return own ? { ...line, published: line.published.map((limit) => moved(limit, own)) } : line
  })
  return { ...limits, lines }
}

function moved(limit: Limit, { most, reason, validUntil }: SignedLine): Limit {
  const bound = movable(limit.rule)
  if (limit.force !== 'guidance' || limit.alternative || !bound || most <= bound.printed) return limit
  return {
    ...limit,
    rule: withBound(limit.rule, most),
    force: 'house',
    source: { document: 'Signed for this method', section: reason, edition: `until ${validUntil}`, confidence: 'high' },
    inPlaceOf: { rule: limit.rule, force: limit.force, source: limit.source },
  }
}

function withBound(rule: Rule, most: number): Rule {
  if (rule.kind === 'reach') return { ...rule, withinMinutes: most }
  if (rule.kind === 'hours') return { ...rule, hours: most }
  return rule.kind === 'days' ? { ...rule, days: most } : rule
}
