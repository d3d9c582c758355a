import type { Day } from '../../ground/zone'
import { mayUse, type EggRule, type LotForm } from '../../recipe/egg/eggPlan'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { BatchState } from '../../state/batch'
import { mayGoIn, type LotState } from '../../state/lot'
import { isPastUseBy } from '../dates/useBy'

/** Why a lot may not go into anything. */
export type LotShut = 'called back' | 'not accepted' | 'past its day'

/** Why egg may not go into this batch here: for whom it is made, or that nothing heats it. */
export type WrongEgg = 'susceptible' | 'unheated'

/** Why a lot may not go into anything on a day; null when it may. */
export function lotShut(lot: LotState, day: Day): LotShut | null {
  if (!mayGoIn(lot)) return lot.recall && !lot.recall.value.drill ? 'called back' : 'not accepted'
  return isPastUseBy(lot, day) ? 'past its day' : null
}

/** Which eggs may go into a batch at a step: by whether its plan heats them there, or else the step is before the kill. */
export function eggRuleAt(batch: BatchState, step: string): EggRule {
  const { eggs } = batch.terms
  const use = eggs.uses.find((each) => each.step === step)
  return (use?.heated ?? isBeforeKill(batch, step)) ? eggs.heated : eggs.unheated
}

/** Which eggs may be added beside the plan: raw egg opens the floor again, so that any heat of the method counts. */
export function eggRuleOfAddition({ method, terms: { eggs } }: BatchState): EggRule {
  return heatPlan(method).killed ? eggs.heated : eggs.unheated
}

/** Why eggs of that form may not go in under a rule of this batch; null when they may. */
export function wrongEgg({ terms }: BatchState, rule: EggRule, form: LotForm): WrongEgg | null {
  if (mayUse(rule, form)) return null
  return terms.susceptible ? 'susceptible' : 'unheated'
}

/** Whether a step comes no later than the one that kills: what goes in there is heated with the rest. */
export function isBeforeKill({ method }: BatchState, step: string): boolean {
  const { killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((each) => each.key === key)
  return killed !== null && at(step) <= at(killed.step)
}

/** Whether a lot makes egg that is added pasteurized egg: received in that form, and it may go in. */
export function isPasteurizedLot(lot: LotState | null, day: Day): boolean {
  return lot?.form === 'pasteurized' && lotShut(lot, day) === null
}

/** Whether a lot makes frozen fruit treated: its own received lot says by what, and it may go in. */
export function isTreatedLot(lot: LotState | null, ingredient: string): boolean {
  return lot !== null && lot.ingredient === ingredient && lot.treatment !== null && mayGoIn(lot)
}
