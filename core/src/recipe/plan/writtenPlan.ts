import type { CodeUnit } from '../../ground/temperature'
import type { Day } from '../../ground/zone'
import type { Limit, LimitKey, LimitSet } from '../../rules/limit'
import type { Practice } from '../../rules/practice'
import { withSignedLines } from '../../rules/signedLine'
import { acidDocumentOn, type AcidDocument } from '../checks/acidDocument'
import { type Check, limitsOf } from '../checks/checksFor'
import { heldTo } from '../checks/heldTo'
import type { HeldBake, Signed } from '../checks/signed'
import type { Allergen } from '../ingredient/ingredient'
import { factsOf, ingredientOf, rawEggs, type FindMethod } from '../method/facts'
import { heatPlan } from '../method/heatPlan'
import type { Cooling, FamilyKey, Method, StepKind } from '../method/method'
import { answeredBy, hazardOf, watchedAs, type Hazard, type Missed, type Watched } from './control'
import { recordMonths } from './monthsKept'
import { planBasis, type PlanBasis } from './planBasis'

/** The hazard analysis of one method as an inspector expects it: made from what is in force, never typed. */
export interface WrittenPlan {
  method: { id: string; name: string; version: number }
  limits: { version: number; from: number; ruleSet: LimitSet['ruleSet'] }
  /** What it rests on: once this is different, a signature under it is out of date. */
  basis: PlanBasis
  product: PlanProduct
  steps: PlanStep[]
  rows: PlanRow[]
  /** House figures that rows speak of. */
  practice: Pick<Practice, 'rounds' | 'closing' | 'susceptible'>
  /** How long the rule set has records kept, months; null: it does not say. */
  recordMonths: number | null
}

export interface PlanProduct {
  family: FamilyKey
  grams: number
  portions: number | null
  allergens: Allergen[]
  /** Foods whose allergens nobody read, and parts whose method is not known: then the list is not whole. */
  unread: string[]
  cooling: Cooling
  /** It holds raw egg that no step heats. */
  raw: boolean
  /** The fewest calendar days of any limit that it may be kept; null where none counts days. */
  days: number | null
  acid: AcidDocument | null
  /** Whom it may be served to: also to highly susceptible people, or not. */
  forSusceptible: boolean
}

export interface PlanStep {
  key: string
  kind: StepKind
  /** Why no row is about it; null where one is. */
  leftOut: LeftOut | null
}

/** `by`: the number of the step that controls it instead, from 1. */
export type LeftOut = { why: 'heated later' | 'on the clock' | 'kept cold'; by: number } | { why: 'no limit'; by: null }

export interface PlanRow {
  /** The number of its step, from 1; null: of the whole. */
  step: number | null
  hazard: Hazard
  /** null: the law asks for words, not for a figure. */
  limit: Limit | null
  /** Which printed figure of the limit is compared. */
  unit: CodeUnit
  bake?: HeldBake
  watched: Watched
  missed: Missed
  /** How it is heated once more, where that mends it in time. */
  rework?: Limit
}

/**
 * @param signed what the lead signed for this method beside its versions
 * @param day the kitchen's: what ends with a day holds on its last
 * @param find the methods of the kitchen, for what its parts hold
 */
export function writtenPlan(method: Method, limits: LimitSet, signed: Signed, day: Day, find: FindMethod): WrittenPlan {
  const { susceptible, rounds, closing } = limits.practice
  const { checks } = heldTo(method, 1, limits, susceptible, day, signed)
  const own = withSignedLines(limits, signed.lines, day)
  const rows = [...checkRows(method, checks), ...rowsOfWhole(method, own, day)]
  const facts = factsOf(method, find)
  const dated = checks.flatMap(({ limit: { rule } }) => (rule.kind === 'days' ? [rule.days] : []))
  return {
    method: { id: method.id, name: method.name, version: method.version },
    limits: { version: limits.version, from: limits.from, ruleSet: limits.ruleSet },
    basis: planBasis(method, limits, signed, day, facts),
    product: {
      family: method.family,
      grams: facts.grams,
      portions: method.portions,
      allergens: facts.allergens,
      unread: [...facts.unchecked, ...facts.unknown],
      cooling: method.cooling,
      raw: method.raw,
      days: dated.length ? Math.min(...dated) : null,
      acid: acidDocumentOn(signed, method, day),
      forSusceptible: susceptible,
    },
    steps: stepsOf(method, rows),
    rows,
    practice: { rounds, closing, susceptible },
    recordMonths: recordMonths(own, day),
  }
}

/**
 * What batches are checked by, in the order of the work. A validated bake stands in its row as in the check; heating once
 * more is no row of its own but what is done where it cools too slowly.
 */
function checkRows({ steps, cooling }: Method, checks: readonly Check[]): PlanRow[] {
  const rework = checks.find(({ limit }) => limit.key === 'rework')?.limit
  const asked = checks.filter(({ limit }) => limit !== rework)
  const numbered = asked.map((check): PlanRow => {
    const { step, limit, unit, bake } = check
    const watched = watchedAs(limit, bake !== undefined)
    const at = steps.findIndex(({ key }) => key === step)
    const baked = steps[at]?.kind === 'bake'
    const missed = answeredBy(watched, limit, { rework: rework !== undefined, baked })
    return {
      step: at + 1 || null,
      hazard: hazardOf(limit, cooling === 'dry'),
      limit,
      unit,
      ...(bake && { bake }),
      watched,
      missed,
      ...(rework && missed === 'heat once more' && { rework }),
    }
  })
  return numbered
    .map((row, i) => ({ row, i }))
    .sort((a, b) => (a.row.step ?? Infinity) - (b.row.step ?? Infinity) || a.i - b.i)
    .map(({ row }) => row)
}

/** What no one step controls: what comes in, what reads it, who is told, what is in it. */
function rowsOfWhole(method: Method, limits: LimitSet, day: Day): PlanRow[] {
  const foods = method.amounts.flatMap((amount) => ingredientOf(amount, method) ?? [])
  const keys: LimitKey[] = [
    ...(foods.some(({ needsCold, egg }) => needsCold && egg === null) ? (['received-cold'] as const) : []),
    ...(foods.some(({ needsCold, origin }) => needsCold && origin === 'milk') ? (['received-milk'] as const) : []),
    ...(rawEggs(method).length ? (['shell-egg-air'] as const) : []),
    ...(method.raw ? (['advisory', 'susceptible'] as const) : []),
    'thermometer',
  ]
  const stated = keys
    .flatMap((key) => limitsOf(limits, key, day))
    .map((limit): PlanRow => {
      const watched = watchedAs(limit, false)
      const missed = answeredBy(watched, limit, { rework: false, baked: false })
      return { step: null, hazard: hazardOf(limit, false), limit, unit: limits.unit, watched, missed }
    })
  const named: PlanRow = {
    step: null,
    hazard: 'allergen',
    limit: null,
    unit: limits.unit,
    watched: 'label',
    missed: 'label anew',
  }
  return [...stated, named]
}

/** Each step, and of those that no row is about what controls them instead. */
function stepsOf(method: Method, rows: readonly PlanRow[]): PlanStep[] {
  const { steps } = method
  const { killed, lastHeat } = heatPlan(method)
  const numberOf = (key: string | undefined) => steps.findIndex((step) => step.key === key) + 1
  const heat = numberOf((killed ?? lastHeat)?.step)
  const controls = (i: number, watched: readonly Watched[]) =>
    rows.find((row) => row.step !== null && row.step > i + 1 && watched.includes(row.watched))?.step ?? null
  const instead = (i: number): LeftOut => {
    // Only where that step has a floor to show: a heat that nothing proves controls nothing.
    const floor = controls(i, ['in the middle', 'by the bake'])
    if (heat > i + 1 && floor !== null) return { why: 'heated later', by: floor }
    const clock = controls(i, ['cooling', 'clock'])
    if (clock !== null) return { why: 'on the clock', by: clock }
    const cold = controls(i, ['rounds'])
    return cold === null ? { why: 'no limit', by: null } : { why: 'kept cold', by: cold }
  }
  return steps.map(({ key, kind }, i) => ({
    key,
    kind,
    leftOut: rows.some(({ step }) => step === i + 1) ? null : instead(i),
  }))
}
