import {
  addDays,
  dayOf,
  type HouseLine,
  type Instant,
  type LimitKey,
  type LimitSet,
  type Variance,
} from '@logged-thermal/core'

/** The demo kitchen's second version: stricter where a display door opens often, looser in one line by a variance. */
export function demoLimits(first: LimitSet, from: Instant, zone: string): LimitSet {
  const house: Partial<Record<LimitKey, { line: HouseLine; variance: Variance | null }>> = {
    'cold-holding': {
      line: {
        rule: { kind: 'stay', side: 'under', level: { c: 4, f: 39.2 }, grace: null },
        reason: 'The display door opens often',
      },
      variance: null,
    },
    'cool-ambient': {
      line: {
        rule: { kind: 'reach', clock: 'event', to: { c: 5, f: 41 }, direction: 'falling', withinMinutes: 300 },
        reason: 'Large whipped batches, piped before chilling',
      },
      variance: {
        authority: 'County food office',
        reference: 'L-118',
        reason: 'Validated on the blast drawer',
        validUntil: addDays(dayOf(from, zone), 120),
      },
    },
  }
  const lines = first.lines.map((line) => {
    const own = house[line.key]
    return own ? { ...line, house: own.line, variance: own.variance } : line
  })
  return { ...first, version: first.version + 1, from, lines }
}
