import type { Day } from '../../ground/zone'
import type { LimitKey, LimitSet } from '../../rules/limit'
import { permitted } from '../../rules/practice'
import { ruleSets } from '../../rules/sets/ruleSets'
import { ingredientOf } from '../method/facts'
import { heatPlan } from '../method/heatPlan'
import type { Method } from '../method/method'
import { eggGrams, type EggPart } from '../ingredient/eggGrams'

/** Which eggs may go in: any, pasteurized lots alone, or shell eggs with a word to the guest. */
export type EggRule = 'any' | 'pasteurized' | 'shell with advisory'

/** Egg that a method takes at a step, for this batch. */
export interface EggUse {
  step: string
  part: EggPart
  grams: number
  /** A later step of the mixture kills. */
  heated: boolean
}

/** What of eggs goes into a batch and which lots may: fixed when it starts. */
export interface EggPlan {
  uses: EggUse[]
  heated: EggRule
  unheated: EggRule
  /** The printed limit that lets raw shell egg be served with an advisory; null where none does. */
  allows: LimitKey | null
}

/** More than this of edible egg is more than one. */
const ONE_EGG = eggGrams('whole', 'US J')

/**
 * The eggs of a batch under a kitchen's limits. Unheated egg comes from a pasteurized lot; shell egg only where the
 * method was approved as raw and the rule set allows it with an advisory. For highly susceptible people never: there
 * also heated egg is from a pasteurized lot wherever more than one is combined, except one serving served at once,
 * eggs combined right before baking, or under a written plan.
 * @param factor how many times over the method is made
 * @param susceptible whom the kitchen or the order serves
 */
export function eggPlan(method: Method, factor: number, limits: LimitSet, susceptible: boolean, day: Day): EggPlan {
  const { killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((step) => step.key === key)
  const kill = killed ? at(killed.step) : -1
  const uses = method.amounts.flatMap((amount): EggUse[] => {
    const part = ingredientOf(amount, method)?.egg ?? null
    if (part === null) return []
    const grams = Math.round((amount.grams ?? 0) * factor * 10) / 10
    return [{ step: amount.step, part, grams, heated: at(amount.step) <= kill }]
  })
  const guarded = susceptible && !permitted(limits.practice.permits.susceptiblePlan, day)
  const allows = allowsRaw(limits)
  const several = uses.reduce((sum, { grams }) => sum + grams, 0) > ONE_EGG
  return {
    uses,
    heated: guarded && several && !excepted(method, factor) ? 'pasteurized' : 'any',
    unheated: method.raw && allows !== null && !guarded ? 'shell with advisory' : 'pasteurized',
    allows,
  }
}

/** Whether eggs of this plan may come from that kind of lot. */
export function mayUse(rule: EggRule, form: LotForm): boolean {
  return form === 'pasteurized' || rule !== 'pasteurized'
}

/** How an egg lot comes: in its shell, or pasteurized. */
export type LotForm = 'shell' | 'pasteurized'

/** One serving cooked and served at once, or combined right before baking. */
function excepted(method: Method, factor: number): boolean {
  if (method.cooling === 'none' && (method.portions ?? Infinity) * factor <= 1) return true
  const { combined, killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((step) => step.key === key)
  const joins = combined === 'batch started' ? -1 : at(combined.step)
  const next = method.steps.slice(joins + 1).find(({ kind }) => kind !== 'fold' && kind !== 'strain')
  return next?.kind === 'bake' && killed?.step === next.key
}

function allowsRaw({ ruleSet, lines }: LimitSet): LimitKey | null {
  const key = ruleSets[ruleSet.key]?.rawShellEgg ?? null
  return key !== null && lines.some((line) => line.key === key) ? key : null
}
