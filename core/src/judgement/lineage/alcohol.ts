import type { Bodies } from '../../ledger/entry'
import type { ItemFacts, Portioned } from '../../ledger/storeEntries'
import { byVolume, ingredientOf } from '../../recipe/method/facts'
import { foodIn } from '../../recipe/ingredient/own'
import type { Method } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { valid, type Fact } from '../../state/fact'

/**
 * The alcohol in a batch, as all that went in says: of the method and besides, nothing taken off for what boils away.
 * undefined where there is none; without a figure where somebody did not weigh it, or where it came in a part.
 */
export function alcoholOf(batch: BatchState, method: Method): ItemFacts['alcohol'] {
  const added = valid(batch.facts.added).map(({ value }) => ({ ...value, food: foodIn(value) }))
  // What the method takes at that step and the cook told of is one thing, not two.
  const planned = method.amounts
    .filter(({ step, ingredient }) => !added.some((each) => each.step === step && each.ingredient === ingredient))
    .map((amount) => ({ grams: (amount.grams ?? 0) * batch.factor, food: ingredientOf(amount, method) }))
  const all = [...planned, ...added]
  const strong = all.filter(({ food }) => (food?.alcohol ?? 0) > 0)
  const instead = valid(batch.facts['lots-used'])
    .flatMap(({ value }) => value.uses)
    .some(isStrongInstead)
  const parts = valid(batch.facts['part-used'])
  const inPart = parts.some(({ value }) => value.part.facts.alcohol !== undefined) || isStrongAfter(batch)
  if (strong.length === 0 && !instead && !inPart) return undefined
  if (instead || inPart || strong.some(({ grams }) => grams === null)) return { byVolume: null }
  const bought = method.components.reduce((sum, part) => sum + (part.grams ?? 0) * batch.factor, 0)
  const mass = all.reduce((sum, { grams }) => sum + (grams ?? 0), bought)
  const ethanol = strong.reduce((sum, { grams, food }) => sum + (grams ?? 0) * food!.alcohol, 0)
  return { byVolume: Math.round(byVolume(ethanol, mass) * 1000) / 1000 }
}

/** Whether alcohol was told of only after some of it was put away, and was in that. */
export function isStrongSince(batch: BatchState, { at, knownAt }: Fact<Portioned>): boolean {
  const since = <T>(facts: readonly Fact<T>[], inBy = at) =>
    valid(facts).flatMap((fact) => (fact.at <= inBy && fact.knownAt > knownAt ? [fact.value] : []))
  const { added, 'lots-used': lots, 'part-used': parts } = batch.facts
  return (
    since(added).some((each) => (foodIn(each)?.alcohol ?? 0) > 0) ||
    since(lots, Infinity).some(({ uses }) => uses.some(isStrongInstead)) ||
    since(parts).some(({ part }) => part.facts.alcohol !== undefined) ||
    since(batch.reached).some(({ alcohol }) => alcohol === true)
  )
}

/** A part of it had alcohol in it, as was told only after that went in. */
function isStrongAfter(batch: BatchState): boolean {
  return valid(batch.reached).some(({ value }) => value.alcohol === true)
}

function isStrongInstead({ instead, ingredient, own }: Bodies['lots-used']['uses'][number]): boolean {
  return instead === true && ((own?.alcohol ?? 0) > 0 || (ingredient !== null && isStrong(ingredient)))
}

function isStrong(ingredient: string): boolean {
  return (foodIn({ ingredient })?.alcohol ?? 0) > 0
}
