import type { Day } from '../calendar/zone'
import type { Of, Procedure, StepKind } from '../method/method'
import type { CodeUnit } from '../quantity/temperature'
import type { Where } from '../trace/reading'
import type { Comparing } from './compared'
import { families } from './families'
import type { Limit, LimitKey, LimitSet } from './limit'
import { inForce } from './limitSet'
import { isJudged, type JudgedRule, type Mark } from './rule'
import { COOLING_KEYS, nameIn } from './ruleSets'
import { schedules } from './sets/schedules'

/**
 * One limit as it applies to a batch, resolved when the batch starts and stored with it, so that an old batch never
 * changes with our code and an export can be judged alone.
 */
export interface Check extends Comparing {
  /** Its name in the batch: the limit's key, with its origin in front where that is not the rule set in force. */
  key: string
  step: string
  limit: Limit<JudgedRule>
  /** Which printed figure of the limit is compared. */
  unit: CodeUnit
  /** Which readings can count: of what, taken where, and between which marks. */
  evidence: { of: Of; where: Where[]; from: Mark; to: Mark | null }
}

/**
 * The checks that a batch of this method is held to under these limits, in the order of the work.
 * @param day the day it starts, in the kitchen: a variance ends with its last day
 * RangeError for a method without a step that its family needs.
 */
export function checksFor(method: Procedure, limits: LimitSet, day: Day): Check[] {
  const cook = stepOf(method, 'cook')
  const cool = stepOf(method, 'cool')
  const hold = stepOf(method, 'hold')
  const combined: Mark = { step: stepOf(method, 'temper'), edge: 'combined' }
  const cooked: Mark = { step: cook, edge: 'done' }
  const guard = limits.guard === 'tolerance' ? toleranceOf(limits, day) : 0

  const checks = (step: string, found: Limit[], from: Mark, to: Mark | null): Check[] =>
    found.flatMap((limit) => {
      if (!judges(limit)) return []
      const key = nameIn(limits.ruleSet.key, limit)
      const quality = limit.force === 'quality'
      const evidence = { of: 'mixture' as const, where: ['core' as const], from, to }
      return [{ key, step, limit, unit: limits.unit, guard: quality ? 0 : guard, evidence }]
    })
  const lines = (...keys: LimitKey[]) => keys.flatMap((key) => limitsOf(limits, key, day))
  return [
    ...checks(cook, heatLimits(method, limits, day), combined, cooked),
    ...checks(cook, lines('rework'), combined, cooked),
    ...checks(cook, [ceilingOf(method)], combined, cooked),
    ...checks(cool, coolingLimits(limits, day), cooked, null),
    ...checks(hold, lines('cold-holding', 'exposure'), cooked, null),
    ...checks(hold, [...lines('date-marking'), houseDaysOf(method)], cooked, null),
  ]
}

/** The limits in force under a key: those of its line, or "no number" where the rule set does not know it. */
export function limitsOf(limits: LimitSet, key: LimitKey, day: Day): Limit[] {
  const line = limits.lines.find((each) => each.key === key)
  return line ? inForce(line, limits, day) : []
}

/** A schedule that the method names stands in for the rule set's egg rows, where it may close a check on egg. */
function heatLimits(method: Procedure, limits: LimitSet, day: Day): Limit[] {
  const schedule = method.schedule === null ? null : (schedules[method.schedule] ?? null)
  if (schedule?.egg) return schedule.limits.filter(({ key }) => key === 'egg')
  const key = families[method.family].heat
  const own = limitsOf(limits, key, day)
  // Where a set has no rows of its own for serving at once, its egg rows hold.
  return own.length ? own : orNoNumber(limitsOf(limits, 'egg', day), 'egg', limits)
}

/** Every stage after heat, a stage that follows another right after it; "no number" where the set prints none. */
function coolingLimits(limits: LimitSet, day: Day): Limit[] {
  const printed = COOLING_KEYS.flatMap((key) => limitsOf(limits, key, day))
  const found = orNoNumber(printed, 'cool-total', limits)
  return found
    .map((limit, i) => ({ limit, i }))
    .sort((a, b) => rank(found, a.limit) - rank(found, b.limit) || a.i - b.i)
    .map(({ limit }) => limit)
}

/** A check never goes missing: without a number it asks for a house line, and does not pass. */
function orNoNumber(found: Limit[], key: LimitKey, { ruleSet: { key: origin, name, edition } }: LimitSet): Limit[] {
  if (found.length) return found
  const source = { document: name, section: 'prints no number', edition, confidence: 'high' as const }
  return [{ key, origin, rule: { kind: 'no number' }, force: 'law', source }]
}

function rank(all: readonly Limit[], { origin }: Limit): number {
  return all.findIndex((limit) => limit.origin === origin)
}

function judges(limit: Limit): limit is Limit<JudgedRule> {
  return isJudged(limit.rule)
}

function toleranceOf(limits: LimitSet, day: Day): number {
  const rules = limitsOf(limits, 'thermometer', day).map(({ rule }) => rule)
  const found = rules.flatMap((rule) =>
    rule.kind === 'tolerance' ? [Math.max(rule.within.c, rule.within.f / 1.8)] : [],
  )
  return Math.max(1, ...found)
}

function ceilingOf(method: Procedure): Limit {
  return {
    key: 'ceiling',
    origin: 'method',
    rule: { kind: 'stay', side: 'under', level: families[method.family].ceiling, grace: null },
    force: 'quality',
    source: { document: 'House default', section: method.family, edition: '1', confidence: 'medium' },
  }
}

function houseDaysOf(method: Procedure): Limit {
  return {
    key: 'house-days',
    origin: 'method',
    rule: { kind: 'days', days: method.houseDays },
    force: 'house',
    source: { document: method.name, section: 'house days', edition: `version ${method.version}`, confidence: 'high' },
  }
}

function stepOf(method: Procedure, kind: StepKind): string {
  const step = method.steps.find((candidate) => candidate.kind === kind)
  if (!step) throw new RangeError(`method: ${method.name} has no step "${kind}"`)
  return step.key
}
