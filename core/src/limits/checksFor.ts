import type { Day } from '../calendar/zone'
import { heatPlan } from '../method/heatPlan'
import type { Of, Procedure, StepKind } from '../method/method'
import type { CodeUnit } from '../quantity/temperature'
import type { Where } from '../trace/reading'
import type { Comparing } from './compared'
import { families } from './families'
import type { Limit, LimitKey, LimitSet } from './limit'
import { inForce } from './limitSet'
import type { EggPlan } from '../egg/eggPlan'
import {
  boilOutOf,
  eggLotOf,
  ceilingOf,
  fruitBoilOf,
  houseDaysOf,
  rawHoursOf,
  rewarmedOf,
  serveByOf,
} from './methodLimits'
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
 * @param eggs what of eggs goes in, where it is known: egg that no step heats is checked by its lot
 * @param day the day it starts, in the kitchen: a variance ends with its last day
 */
export function checksFor(method: Procedure, limits: LimitSet, day: Day, eggs: EggPlan | null = null): Check[] {
  const { combined, killed, lastHeat, assembled } = heatPlan(method)
  const guard = limits.guard === 'tolerance' ? toleranceOf(limits, day) : 0
  const stepOf = (kind: StepKind) => method.steps.find((step) => step.kind === kind)?.key ?? null
  const lines = (...keys: LimitKey[]) => keys.flatMap((key) => limitsOf(limits, key, day))

  const checks = (step: string | null, found: Limit[], from: Mark, to: Mark | null): Check[] =>
    found.flatMap((limit) => {
      if (!judges(limit) || step === null) return []
      const key = nameIn(limits.ruleSet.key, limit)
      const evidence = { of: 'mixture' as const, where: ['core' as const], from, to }
      return [{ key, step, limit, unit: limits.unit, guard: limit.force === 'quality' ? 0 : guard, evidence }]
    })

  const afterHeat = method.cooling === 'stages' && lastHeat !== null
  const settles: Mark = afterHeat ? lastHeat : assembled
  const cool = stepOf('cool') ?? stepOf('set') ?? stepOf('hold')
  const hold = stepOf('hold') ?? cool
  const serve = stepOf('serve at once') ?? lastHeat?.step ?? null
  const reheat = stepOf('reheat')
  const reheated: Mark = { step: reheat ?? '', edge: 'started' }
  const heat = killed ?? lastHeat
  // A starch cream reaches its floor as it cooks, and goes on to the boil.
  const cooks = method.steps.find(({ kind, measures }) => kind === 'cook' && measures === 'mixture')
  const floorStep = (killed && cooks?.key) ?? heat?.step ?? null
  const unheated = eggs?.unheated === 'pasteurized' ? eggs.uses.find(({ heated }) => !heated) : undefined
  return [
    ...(unheated ? checks(unheated.step, [eggLotOf(lines('pasteurized-egg'))], 'batch started', assembled) : []),
    ...(heat ? checks(floorStep, heatLimits(method, limits, day, killed !== null), combined, heat) : []),
    ...(killed && afterHeat ? checks(killed.step, lines('rework'), combined, killed) : []),
    ...(heat && method.untreatedFruit ? checks(heat.step, [fruitBoilOf()], combined, heat) : []),
    ...(heat ? checks(stepOf('boil out'), [boilOutOf()], combined, heat) : []),
    ...(heat ? checks(heat.step, ceilingOf(method), combined, heat) : []),
    ...(reheat ? checks(reheat, lines('reheat', 'reheat-time'), reheated, { step: reheat, edge: 'done' }) : []),
    ...(method.cooling === 'none' && lastHeat ? checks(serve, [serveByOf(limits)], lastHeat, null) : []),
    ...(method.cooling === 'none'
      ? []
      : checks(cool, afterHeat ? coolingLimits(limits, day) : lines('cool-ambient'), settles, null)),
    ...(afterHeat && limits.practice.cookChill ? checks(cool, lines('chill-total'), settles, null) : []),
    ...(method.cooling === 'none'
      ? []
      : [
          ...checks(hold, rewarmedOf(lines('cool-ambient'), lines('cold-holding')), settles, null),
          ...checks(hold, lines('cold-holding', 'exposure'), settles, null),
          ...checks(hold, method.raw ? rawHoursOf(lines('raw-class')) : [], assembled, null),
          // Raw egg counts hours from combining instead of the house's days; the law's days stand beside.
          ...checks(hold, [...lines('date-marking'), ...(method.raw ? [] : [houseDaysOf(method)])], settles, null),
        ]),
  ]
}

/** The limits in force under a key: those of its line; none where the kitchen's limits do not know it. */
export function limitsOf(limits: LimitSet, key: LimitKey, day: Day): Limit[] {
  const line = limits.lines.find((each) => each.key === key)
  return line ? inForce(line, limits, day) : []
}

/**
 * The floor: of a mixture with egg the rule set's rows, or the schedule that the method names where that may close a
 * check on egg; of one without egg only what a schedule asks.
 */
function heatLimits(method: Procedure, limits: LimitSet, day: Day, kills: boolean): Limit[] {
  const schedule = method.schedule === null ? null : (schedules[method.schedule] ?? null)
  const egg = families[method.family].egg && kills
  if (schedule && (schedule.egg || !egg))
    return schedule.limits.filter(({ key }) => key === (schedule.egg ? 'egg' : 'no-egg'))
  if (!egg) return []
  const own = method.cooling === 'none' ? limitsOf(limits, 'egg-immediate', day) : []
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
