import type { Day } from '../../ground/zone'
import { eggPlan, type EggPlan } from '../egg/eggPlan'
import type { AcidityRule } from '../../rules/rule'
import { foreseenChecks, limitsOf, NOTHING_FORESEEN, type Foreseen } from './checksFor'
import type { Source } from '../../rules/source'
import type { Force, LimitSet } from '../../rules/limit'
import { permitted, type LotsAsked } from '../../rules/practice'
import type { Composition } from '../../physics/material/properties'
import { isWashed } from '../ingredient/produce'
import { factsOf, ingredientOf, unboiledFruit, withOwn, type MethodFacts } from '../method/facts'
import type { Degrees } from '../../ground/temperature'
import type { Instruction, Method, StepKind } from '../method/method'
import { acidDocumentOn, type AcidDocument } from './acidDocument'
import { NOTHING_SIGNED, type Signed } from './signed'

/** What of the house and of the order a batch is made under, beside its checks: fixed when it starts. */
export interface Terms extends Foreseen {
  /** The kitchen or this order serves highly susceptible people. */
  susceptible: boolean
  eggs: EggPlan
  /** Fresh fruit, herbs and flowers that the method takes: told as washed before they go in. */
  washed: { step: string; ingredient: string }[]
  /** Whose lots the house asks for: amounts of the method by their key. Eggs are asked for by themselves. */
  lots: { step: string; amount: string }[]
  /** The method takes frozen fruit that nobody treated, and does not boil it. */
  untreatedFruit: boolean
  cleanFirst: boolean
  warmMinutes: number
  rewarmings: number
  /** The table that says whether it needs temperature control; null where the rule set prints none. */
  acidity: AcidityTable | null
  /** The document that says how long it keeps by its pH; null where none holds. */
  acid: AcidDocument | null
  /** Minutes that a step waits, by its key: to set, to age, to harden. Less or more is told with a reason. */
  waits: Record<string, { least: number; most: number }>
  /** How cold a step cools it that the method goes on from, by its key: "to 25°, then fold". */
  coolTo: Record<string, { from: Degrees; to: Degrees }>
  /** It is covered only once it has set. */
  coverWhenSet: boolean
  /** It stands on the counter first, within its clock. */
  counterFirst: boolean
  /** What the method says is in it; null for a batch of before this was kept. */
  holds: Pick<MethodFacts, 'allergens' | 'unchecked' | 'unknown'> | null
  /**
   * What is to be cooled: all that goes in, and how much of it is of a composition that nobody documented, 0 to 1, left out
   * for none; null where the amounts do not say.
   */
  product: { kilograms: number; composition: Composition; unsure?: number } | null
}

export interface AcidityTable {
  rows: AcidityRule['rows']
  force: Force
  source: Source
}

/**
 * The terms of a batch of this method.
 * @param factor how many times over it is made
 * @param forSusceptible the order is for highly susceptible people, whatever the kitchen serves else
 * @param signed what the lead signed for this method
 */
export function termsOf(
  method: Method,
  factor: number,
  limits: LimitSet,
  forSusceptible: boolean,
  day: Day,
  signed: Pick<Signed, 'acid'> = NOTHING_SIGNED,
): Terms {
  const { practice } = limits
  const susceptible = practice.susceptible || forSusceptible
  return {
    susceptible,
    eggs: eggPlan(method, factor, limits, susceptible, day),
    washed: method.amounts
      .filter((amount) => isWashed(withOwn(amount, method)))
      .map(({ step, ingredient }) => ({ step, ingredient })),
    lots: lotsAsked(method, practice.lots),
    untreatedFruit: unboiledFruit(method).length > 0,
    cleanFirst: practice.cleanFirst,
    warmMinutes: practice.warmMinutes,
    rewarmings: practice.rewarmings,
    acidity: acidityTable(limits, day),
    acid: acidDocumentOn(signed, method, day),
    waits: toldAt(method, WAITS, 'passiveMinutes'),
    coolTo: toldAt(method, ['cool'], 'target'),
    coverWhenSet: coolsBy(method, ({ cover }) => cover === 'when set'),
    counterFirst: coolsBy(method, ({ first }) => first === 'counter'),
    holds: holdsOf(method),
    product: productOf(method, factor),
    ...foreseenChecks(method, limits, day),
  }
}

/** What a batch of before terms were kept was made under: nothing was allowed that is not allowed to all. */
export const FORMER_TERMS: Terms = {
  susceptible: false,
  eggs: { uses: [], heated: 'any', unheated: 'pasteurized', allows: null },
  washed: [],
  lots: [],
  untreatedFruit: false,
  cleanFirst: false,
  warmMinutes: 30,
  rewarmings: 0,
  acidity: null,
  acid: null,
  waits: {},
  coolTo: {},
  coverWhenSet: false,
  counterFirst: false,
  holds: null,
  product: null,
  ...NOTHING_FORESEEN,
}

/** What passes by itself, and is not the same where it is cut short or goes on. */
const WAITS: readonly StepKind[] = ['set', 'freeze']

/** What the method says at the steps of some kinds, where it says it. */
function toldAt<K extends 'passiveMinutes' | 'target'>(
  { steps, instructions }: Method,
  kinds: readonly StepKind[],
  what: K,
): Record<string, NonNullable<Instruction[K]>> {
  return Object.fromEntries(
    steps.flatMap(({ key, kind }) => {
      const told = instructions[key]?.[what]
      return told && kinds.includes(kind) ? [[key, told]] : []
    }),
  )
}

function lotsAsked(method: Method, asked: LotsAsked | undefined): Terms['lots'] {
  if (!asked || asked === 'nothing') return []
  return method.amounts.flatMap((amount) => {
    const food = ingredientOf(amount, method)
    const isAsked = food?.egg == null && (asked === 'everything' || food?.needsCold !== false)
    return isAsked ? [{ step: amount.step, amount: amount.key }] : []
  })
}

function coolsBy({ steps, instructions }: Method, says: (told: Instruction) => boolean): boolean {
  return steps.some(({ key, kind }) => kind === 'cool' && instructions[key] !== undefined && says(instructions[key]))
}

function holdsOf(method: Method): Terms['holds'] {
  const { allergens, unchecked, unknown } = factsOf(method, () => null)
  return { allergens, unchecked, unknown }
}

/** Components count by their grams, as if they were like the rest. */
function productOf(method: Method, factor: number): Terms['product'] {
  const { grams, composition, unsure } = factsOf(method, () => null)
  const parts = method.components.reduce((sum, part) => sum + (part.grams ?? 0), 0)
  if (!composition) return null
  const kilograms = Math.round(grams * factor + parts * factor) / 1000
  return { kilograms, composition, ...(unsure > 0 ? { unsure: Math.round(unsure * 100) / 100 } : {}) }
}

function acidityTable(limits: LimitSet, day: Day): AcidityTable | null {
  const packaged = permitted(limits.practice.permits.packagedAcidity, day)
    ? limitsOf(limits, 'acidity-packaged', day)
    : []
  const [limit] = packaged.length ? packaged : limitsOf(limits, 'acidity', day)
  return limit?.rule.kind === 'acidity' ? { rows: limit.rule.rows, force: limit.force, source: limit.source } : null
}
