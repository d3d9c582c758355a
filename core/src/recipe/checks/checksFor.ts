import type { Day } from '../../ground/zone'
import { heatPlan } from '../method/heatPlan'
import type { Of, Procedure, StepKind } from '../method/method'
import type { CodeUnit } from '../../ground/temperature'
import type { Where } from '../../physics/trace/reading'
import type { Comparing } from '../../rules/compared'
import { families } from '../method/families'
import type { Limit, LimitKey, LimitSet } from '../../rules/limit'
import { inForce } from '../../rules/limitSet'
import type { EggPlan } from '../egg/eggPlan'
import type { HeldBake } from './signed'
import {
  bakeCoreOf,
  boilOutOf,
  eggLotOf,
  ceilingOf,
  fruitBoilOf,
  fruitDaysOf,
  houseDaysOf,
  rawHoursOf,
  rewarmedOf,
  serveByOf,
} from './methodLimits'
import { isJudged, type JudgedRule, type Mark, type StepMark } from '../../rules/rule'
import { COOLING_KEYS, nameIn } from '../../rules/sets/ruleSets'
import { schedules } from '../../rules/sets/schedules'

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
  /** Of a floor that a validated bake closes too: that bake. */
  bake?: HeldBake
}

/**
 * The checks that a batch of this method is held to under these limits, in the order of the work.
 * @param eggs what of eggs goes in, where it is known: raw egg before a heat asks for a floor whatever the family, and egg
 *   that no step heats is checked by its lot
 * @param bake a bake of it that the lead has validated: it closes the floor as a reading does
 * @param day the day it starts, in the kitchen: a variance ends with its last day
 */
export function checksFor(
  method: Procedure,
  limits: LimitSet,
  day: Day,
  eggs: EggPlan | null = null,
  bake: HeldBake | null = null,
): Check[] {
  const { combined, killed, lastHeat, assembled } = heatPlan(method)
  const { checks, lines, stepOf, cool, hold, settles, floorStep, heat, afterHeat } = resolving(method, limits, day)
  const serve = stepOf('serve at once') ?? lastHeat?.step ?? method.steps.at(-1)?.key ?? null
  const reheat = stepOf('reheat')
  const reheated: Mark = { step: reheat ?? '', edge: 'started' }
  const unheated = eggs?.unheated === 'pasteurized' ? eggs.uses.find(({ heated }) => !heated) : undefined
  const { egg, crumb } = families[method.family]
  const hasEgg = egg || (eggs?.uses.some(({ heated }) => heated) ?? false)
  const cooled = method.cooling === 'stages' || method.cooling === 'ambient'
  return [
    ...(unheated ? checks(unheated.step, [eggLotOf(lines('pasteurized-egg'))], 'batch started', assembled) : []),
    ...(heat ? floors(heat) : []),
    ...(crumb && killed ? checks(floorStep, [bakeCoreOf()], combined, killed) : []),
    ...(killed && afterHeat ? checks(killed.step, lines('rework'), combined, killed) : []),
    ...fruitBoil(),
    ...(heat ? checks(stepOf('boil out'), [boilOutOf()], combined, heat) : []),
    ...(heat ? checks(heat.step, ceilingOf(method), combined, heat) : []),
    ...(reheat ? checks(reheat, lines('reheat', 'reheat-time'), reheated, { step: reheat, edge: 'done' }) : []),
    // What nothing heats is served in the same time, from when it is put together.
    ...(method.cooling === 'none'
      ? checks(serve, [serveByOf(limits, lastHeat !== null)], lastHeat ?? assembled, null)
      : []),
    ...(!cooled ? [] : checks(cool, afterHeat ? coolingLimits(limits, day) : lines('cool-ambient'), settles, null)),
    ...(afterHeat && limits.practice.cookChill ? checks(cool, lines('chill-total'), settles, null) : []),
    ...(!cooled
      ? []
      : [
          ...checks(hold, rewarmedOf(lines('cool-ambient'), lines('cold-holding')), settles, null),
          ...checks(hold, lines('cold-holding', 'exposure'), settles, null),
          ...checks(hold, method.raw ? rawHoursOf(lines('raw-class')) : [], assembled, null),
          // Raw egg counts hours from combining instead of the house's days; the law's days stand beside.
          ...checks(hold, [...lines('date-marking'), ...(method.raw ? [] : [houseDaysOf(method)])], settles, null),
        ]),
    // Dry, it needs no cold and no date of the law's: the house's days are all.
    ...(method.cooling === 'dry' ? checks(hold, [houseDaysOf(method)], settles, null) : []),
  ]

  function floors(heat: StepMark): Check[] {
    const found = checks(floorStep, heatLimits(method, limits, day, killed !== null && hasEgg), combined, heat)
    const validated = crumb && bake !== null && bake.step === killed?.step
    return validated ? found.map((check) => (check.limit.rule.kind === 'hold' ? { ...check, bake } : check)) : found
  }

  /** On its own part where that is boiled by itself: what joins it may curdle long before. */
  function fruitBoil(): Check[] {
    if (!method.untreatedFruit) return []
    const own = method.steps.find(({ kind, measures }) => KILLS.includes(kind) && measures !== 'mixture')
    if (!own) return heat ? checks(heat.step, [fruitBoilOf()], combined, heat) : []
    return checks(own.key, [fruitBoilOf()], 'batch started', { step: own.key, edge: 'done' }).map((check) => ({
      ...check,
      evidence: { ...check.evidence, of: own.measures },
    }))
  }
}

const KILLS: readonly StepKind[] = ['cook', 'boil out', 'bake']

/** What a batch is held to once something comes to light that its method did not say. */
export interface Foreseen {
  /** Raw egg is in it: the floor that it asks for, the lot of what nothing heats, and the hours of the raw class. */
  ifRaw: { floor: Check[]; lot: Check[]; hours: Check[] }
  /** Made at room temperature, and read hot: it cools under the limits of heat. */
  ifHot: Check[]
  /** To be heated, and never hot, as its warmest reading shows: it cools as what is made at room temperature. */
  ifNeverHot: Check[]
  /** Kept dry, and something went in that needs the cold: from then on it is dated and kept cold as the law says. */
  ifMoist: Check[]
  /** Frozen fruit that nobody treated went in and is not boiled here: the house's days for it. */
  ifFruit: Check[]
}

export const NOTHING_FORESEEN: Foreseen = {
  ifRaw: { floor: [], lot: [], hours: [] },
  ifHot: [],
  ifNeverHot: [],
  ifMoist: [],
  ifFruit: [],
}

/** Fixed when the batch starts, beside its checks, so that it changes no more than these do. */
export function foreseenChecks(method: Procedure, limits: LimitSet, day: Day): Foreseen {
  const { combined, killed, assembled, lastHeat } = heatPlan(method)
  const { checks, lines, cool, hold, settles, floorStep, heat, afterHeat } = resolving(method, limits, day)
  const last = hold ?? method.steps.at(-1)?.key ?? null
  return {
    ifRaw: {
      floor: heat && killed ? checks(floorStep, heatLimits(method, limits, day, true), combined, heat) : [],
      lot: killed ? [] : checks(last, [eggLotOf(lines('pasteurized-egg'))], 'batch started', assembled),
      hours: checks(last, rawHoursOf(lines('raw-class')), assembled, null),
    },
    ifHot: method.cooling === 'ambient' ? checks(cool, coolingLimits(limits, day), settles, null) : [],
    ifNeverHot: afterHeat && !killed && lastHeat ? checks(cool, lines('cool-ambient'), lastHeat, null) : [],
    ifMoist: method.cooling === 'dry' ? checks(last, lines('cold-holding', 'date-marking'), settles, null) : [],
    ifFruit: checks(last, [fruitDaysOf(limits)], settles, null),
  }
}

/** What both look at: where each thing of a method is checked, and under which lines. */
function resolving(method: Procedure, limits: LimitSet, day: Day) {
  const { killed, lastHeat, assembled } = heatPlan(method)
  const guard = limits.guard === 'tolerance' ? toleranceOf(limits, day) : 0
  const stepOf = (kind: StepKind) => method.steps.find((step) => step.kind === kind)?.key ?? null
  const lines = (...keys: LimitKey[]) => keys.flatMap((key) => limitsOf(limits, key, day))
  const checks = (step: string | null, found: Limit[], from: Mark, to: Mark | null): Check[] =>
    found.flatMap((limit) => {
      if (!judges(limit) || step === null) return []
      const key = nameIn(limits.ruleSet.key, limit)
      const evidence: Check['evidence'] = { of: 'mixture', where: ['core'], from, to }
      return [{ key, step, limit, unit: limits.unit, guard: limit.force === 'quality' ? 0 : guard, evidence }]
    })
  const afterHeat = method.cooling === 'stages' && lastHeat !== null
  const settles: Mark = afterHeat ? lastHeat : assembled
  // Of two coolings the last: the first only brings it to where the method goes on.
  const cool = method.steps.findLast(({ kind }) => kind === 'cool')?.key ?? stepOf('set') ?? stepOf('hold')
  const heat = killed ?? lastHeat
  // A starch cream reaches its floor as it cooks, and goes on to the boil.
  const cooks = method.steps.find(({ kind, measures }) => kind === 'cook' && measures === 'mixture')
  const floorStep = (killed && cooks?.key) ?? heat?.step ?? null
  return { checks, lines, stepOf, cool, hold: stepOf('hold') ?? cool, settles, floorStep, heat, afterHeat }
}

/** The limits in force under a key: those of its line; none where the kitchen's limits do not know it. */
export function limitsOf(limits: LimitSet, key: LimitKey, day: Day): Limit[] {
  const line = limits.lines.find((each) => each.key === key)
  return line ? inForce(line, limits, day) : []
}

/**
 * The floor: of a mixture with egg the rule set's rows, or the schedule that the method names where that may close a
 * check on egg, and the house's own line beside it; of one without egg only what a schedule asks. A schedule for milk
 * takes no egg floor away.
 */
function heatLimits(method: Procedure, limits: LimitSet, day: Day, hasEgg: boolean): Limit[] {
  const schedule = method.schedule === null ? null : (schedules[method.schedule] ?? null)
  const asked = schedule ? schedule.limits.filter(({ key }) => key === (schedule.egg ? 'egg' : 'no-egg')) : []
  if (!hasEgg) return asked
  const egg = limitsOf(limits, 'egg', day)
  if (schedule?.egg) return [...asked, ...egg.filter(({ origin }) => origin === 'house')]
  const immediate = method.cooling === 'none' ? limitsOf(limits, 'egg-immediate', day) : []
  // Where a set has no rows of its own for serving at once, its egg rows hold.
  return immediate.length ? immediate : orNoNumber(egg, 'egg', limits)
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
