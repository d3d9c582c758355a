import type { HeatStatus, ItemFacts, Part } from '../../ledger/storeEntries'
import type { Traces } from '../../ledger/tool'
import { claimsOf, factsOf, type DietClaim } from '../../recipe/method/facts'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Method } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { alcoholOf } from './alcohol'
import { claimsBeside, tracesBeside } from './carryOver'
import { together } from './toolTrail'
import { contentsOf, toldAfterOf, traceOfParts } from './contents'
import { ingredientsOf } from './ingredients'
import { holdsUntreatedFruit, isMoistened } from '../timeline/contents'
import { timelineOf } from '../timeline/timeline'

/** How the floors of a batch stand that its heat is held to; 'none' where it has none. A release proves nothing. */
export type Floors = 'proven' | 'not proven' | 'none'

/**
 * The parts whose date, heat and advisory pass on: all but those that went in before a floor that is proven, and were not
 * ready to eat. No heat makes what was ready younger.
 * @param every the house lets every part pass on
 */
export function passingOn(
  { method, facts: { 'part-used': parts } }: Pick<BatchState, 'facts' | 'method'>,
  every: boolean,
  floors: Floors,
): Part[] {
  const { killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((step) => step.key === key)
  return valid(parts)
    .filter(
      ({ value }) => every || isReady(value.part) || floors !== 'proven' || !killed || at(value.step) > at(killed.step),
    )
    .map(({ value }) => value.part)
}

/**
 * The allergens of all that is in an item of a batch, what may be claimed of it, and what heat did to it.
 * @param carried what tools brought into it
 */
export function portionFacts(
  batch: BatchState,
  method: Method,
  passedOn: readonly Part[],
  floors: Floors,
  carried: Traces,
): ItemFacts {
  const own = factsOf(method, () => null)
  const parts = valid(batch.facts['part-used']).map(({ value }) => value.part)
  const { allergens, unknown, besides: added } = contentsOf(batch, own)
  const mayContain = tracesBeside(together([carried, ...traceOfParts(batch)]), { allergens, unknown })
  // A component that went in is known by its item; one that did not leaves the claims open.
  const ofMethod = own.unknown.length ? factsOf({ ...method, components: [] }, () => null).claims : own.claims
  const claims = unknown.length
    ? []
    : parts.reduce<DietClaim[]>((left, { facts }) => left.filter((claim) => facts.claims.includes(claim)), ofMethod)
  const takenBack = toldAfterOf(batch).flatMap((lacking) => lacking.claims)
  const heat = worstHeat([ownHeat(batch, floors), ...passedOn.map(({ facts }) => facts.heat)])
  const alcohol = alcoholOf(batch, method)
  const egg = timelineOf(batch).raw.some(({ what }) => what === 'egg') || batch.terms.eggs.uses.length > 0
  return {
    allergens,
    // What went in besides takes back what it is not: honey, gelatine and spirit have no allergen.
    claims: claimsBeside(
      claims.filter((claim) => claimsOf(added).includes(claim) && !takenBack.includes(claim)),
      mayContain,
    ),
    // The word to the guest is for raw or undercooked egg, never for fruit.
    advisory: (heat === 'raw' && egg) || passedOn.some(({ facts }) => facts.advisory),
    ...(alcohol ? { alcohol } : {}),
    ...(holdsUntreatedFruit(batch) ? { untreatedFruit: true as const } : {}),
    heat,
    ...(isMeantRaw(batch, passedOn, floors) ? { meantRaw: true as const } : {}),
    needsCold: batch.method.cooling !== 'dry' || isMoistened(batch) || heat === 'raw',
    unknown,
    ...(mayContain ? { mayContain } : {}),
    ingredients: ingredientsOf(batch, method),
  }
}

/** Nothing in it is raw but what is meant to be, and every floor that it is held to is proven: a miss is never meant. */
function isMeantRaw(batch: BatchState, passedOn: readonly Part[], floors: Floors): boolean {
  const raw = timelineOf(batch).raw.filter(({ what }) => what !== 'fruit')
  return (
    floors !== 'not proven' &&
    raw.length > 0 &&
    raw.every(({ onPurpose }) => onPurpose) &&
    passedOn.every(({ facts }) => facts.heat !== 'raw' || facts.meantRaw === true)
  )
}

function isReady({ ready, facts }: Part): boolean {
  return ready ?? facts.heat === 'cooked'
}

/** What heat did to it, by what is proven. */
function ownHeat(batch: BatchState, floors: Floors): HeatStatus {
  const { raw } = timelineOf(batch)
  if (raw.some(({ onPurpose }) => onPurpose)) return 'raw'
  if (heatPlan(batch.method).killed) {
    if (floors === 'none') return raw.length ? 'raw' : 'no heat asked'
    return floors === 'proven' ? 'cooked' : 'raw'
  }
  if (raw.length > 0) return 'raw'
  if (valid(batch.facts['eggs-taken']).length > 0) return 'pasteurized'
  // Egg that the method takes and nobody named is raw until somebody does.
  return batch.terms.eggs.uses.some(({ grams }) => grams > 0) &&
    valid(batch.facts['part-used']).every(({ value }) => value.part.egg === null)
    ? 'raw'
    : 'no heat asked'
}

const WORST_FIRST: HeatStatus[] = ['raw', 'no heat asked', 'pasteurized', 'cooked']

/** The heat of what several are in: that of the worst. */
export function worstHeat(all: readonly HeatStatus[]): HeatStatus {
  return WORST_FIRST.find((each) => all.includes(each)) ?? 'raw'
}
