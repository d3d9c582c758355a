import type { Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { CodeUnit } from '../ground/temperature'
import { canonical } from '../ground/canonical'
import { PRACTICE, type Practice } from './practice'
import { implies } from './implies'
import type { Limit, LimitKey, LimitSet, Line, RuleSet } from './limit'

/** Limits that some method needs in every kitchen: where a set prints none, the line asks for the house's. */
const NEEDED: readonly LimitKey[] = ['egg', 'reheat', 'cool-ambient', 'cold-holding', 'hot-holding', 'date-marking']

/** A rule set as a kitchen's limits, without a line of its own. `unit` is the rule set's unless given. */
export function limitSetOf(
  set: RuleSet,
  {
    id,
    version = 1,
    from,
    unit = set.unit,
    guard = 'none',
    practice = PRACTICE,
  }: {
    id: string
    version?: number
    from: Instant
    unit?: CodeUnit
    guard?: LimitSet['guard']
    practice?: Practice
  },
): LimitSet {
  const { key, name, edition } = set
  return { id, version, ruleSet: { key, name, edition }, from, unit, guard, lines: linesOf(set), practice }
}

/** The lines of a rule set: what it prints under each key, in its order, then what it leaves open. */
export function linesOf(set: RuleSet): Line[] {
  const keys = [...new Set([...set.limits.map(({ key }) => key), ...NEEDED])]
  return keys.map((key) => {
    const published = set.limits.filter((limit) => limit.key === key)
    return { key, published: published.length ? published : [unprinted(set, key)], house: null, variance: null }
  })
}

/** The limits of one line that hold on a day, all of them: a variance ends with its day and the printed line returns. */
export function inForce(line: Line, set: Pick<LimitSet, 'version'>, day: Day): Limit[] {
  const printed = line.published.filter(({ alternative }) => !alternative)
  const { house, variance } = line
  const [first] = printed
  if (!house || !first) return printed
  const chosen = alternativeOf(line)
  if (chosen) return [chosen]
  const ours: Limit = {
    key: line.key,
    origin: 'house',
    rule: house.rule,
    force: 'house',
    source: { document: 'House line', section: house.reason, edition: `version ${set.version}`, confidence: 'high' },
  }
  if (!isLooser(line)) return [...printed.filter(({ rule }) => rule.kind !== 'no number'), ours]
  if (!variance || day > variance.validUntil) return printed
  const { authority, reference } = variance
  const source = {
    document: `Variance ${reference}`,
    section: authority,
    edition: `until ${variance.validUntil}`,
    confidence: 'high' as const,
  }
  return [{ ...ours, force: first.force, source }]
}

/** Whether the house's line would let through what a printed one does not: only a variance allows it. */
export function isLooser(line: Line): boolean {
  const { house, published } = line
  if (!house || alternativeOf(line)) return false
  return !published.filter(({ alternative }) => !alternative).every(({ rule }) => implies(house.rule, rule))
}

/** The version in force at an instant: the latest that has begun. null before the first. */
export function limitsAt(versions: readonly LimitSet[], at: Instant): LimitSet | null {
  return versions.reduce<LimitSet | null>(
    (found, next) => (next.from <= at && (!found || next.version > found.version) ? next : found),
    null,
  )
}

/** The printed alternative that the house line names, if it names one. */
function alternativeOf({ published, house }: Line): Limit | null {
  const ruled = house && canonical(house.rule)
  return published.find(({ alternative, rule }) => alternative && canonical(rule) === ruled) ?? null
}

function unprinted({ key: origin, name, edition }: RuleSet, key: LimitKey): Limit {
  const source = { document: name, section: 'prints no number', edition, confidence: 'high' as const }
  return { key, origin, rule: { kind: 'no number' }, force: 'law', source }
}
