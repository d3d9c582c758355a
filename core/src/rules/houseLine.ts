import { canonical } from '../ground/canonical'
import { celsiusOf, toFahrenheit, type Degrees, type Typed } from '../ground/temperature'
import { implies } from './implies'
import type { Limit, LimitSet, Line } from './limit'
import { isJudged, type Rule } from './rule'

/**
 * Both figures of a temperature as typed: where it is the printed figure of a limit nearby, that limit's own pair (70 °F
 * is printed 21 °C), otherwise the exact conversion.
 */
export function degreesTyped(typed: Typed, nearby: readonly Degrees[]): Degrees {
  const printed = nearby.find(({ c, f }) => (typed.unit === 'C' ? c : f) === typed.value)
  if (printed) return printed
  const celsius = celsiusOf(typed)
  return typed.unit === 'C'
    ? { c: typed.value, f: rounded(toFahrenheit(celsius)) }
    : { c: rounded(celsius), f: typed.value }
}

/** How a house line stands to what is printed: stricter, the same, or looser, which needs a variance. */
export function comparedWithPrinted(line: Line, rule: Rule): 'stricter' | 'same' | 'looser' {
  const printed = line.published.filter(({ alternative }) => !alternative).map(({ rule: each }) => each)
  if (printed.some((each) => canonical(each) === canonical(rule))) return 'same'
  const chosen = line.published.some(
    ({ alternative, rule: each }) => alternative && canonical(each) === canonical(rule),
  )
  return chosen || printed.every((each) => implies(rule, each)) ? 'stricter' : 'looser'
}

/** The rule that a house line begins from: the printed one, or where none is printed one of the kind that is asked for. */
export function templateOf({ key, published }: Line): Rule | null {
  const printed = published.find(({ rule, alternative }) => !alternative && isJudged(rule))?.rule
  if (printed && printed.kind !== 'no number') return printed
  const at = { c: 70, f: 158 }
  switch (key) {
    case 'egg':
    case 'reheat':
      return { kind: 'hold', rows: [{ at, seconds: 120 }] }
    case 'cool-ambient':
      return { kind: 'reach', clock: 'event', to: { c: 5, f: 41 }, direction: 'falling', withinMinutes: 240 }
    case 'cold-holding':
      return { kind: 'stay', side: 'under', level: { c: 5, f: 41 }, grace: null }
    case 'hot-holding':
      return { kind: 'stay', side: 'over', level: { c: 63, f: 145.4 }, grace: null }
    case 'date-marking':
      return { kind: 'days', days: 3 }
    default:
      return null
  }
}

/** What differs between two versions of the limits. */
export interface LimitChange {
  what: 'rule set' | 'unit' | 'guard' | 'house line' | 'variance' | 'practice'
  line: Limit['key'] | null
}

export function limitChanges(before: LimitSet, after: LimitSet): LimitChange[] {
  const changes: LimitChange[] = []
  if (before.ruleSet.key !== after.ruleSet.key) changes.push({ what: 'rule set', line: null })
  if (before.unit !== after.unit) changes.push({ what: 'unit', line: null })
  if (before.guard !== after.guard) changes.push({ what: 'guard', line: null })
  if (canonical(before.practice) !== canonical(after.practice)) changes.push({ what: 'practice', line: null })
  const linesBefore = new Map(before.lines.map((line) => [line.key, line]))
  const keys = [...new Set([...before.lines, ...after.lines].map(({ key }) => key))]
  for (const key of keys) {
    const [was, is] = [linesBefore.get(key), after.lines.find((line) => line.key === key)]
    if (canonical(was?.house ?? null) !== canonical(is?.house ?? null)) changes.push({ what: 'house line', line: key })
    if (canonical(was?.variance ?? null) !== canonical(is?.variance ?? null))
      changes.push({ what: 'variance', line: key })
  }
  return changes
}

function rounded(degrees: number): number {
  return Math.round(degrees * 1e6) / 1e6
}
