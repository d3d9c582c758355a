import type { Instant } from '../../ground/instant'
import type { Traces } from '../../ledger/tool'
import type { Allergen, Ingredient } from '../../recipe/ingredient/ingredient'
import { asKnown, type OwnKept } from '../../recipe/ingredient/ours'
import { foodIn } from '../../recipe/ingredient/own'
import type { MethodFacts } from '../../recipe/method/facts'
import type { BatchState } from '../../state/batch'
import { valid, type Fact } from '../../state/fact'

/** What the method itself says of what is in it. */
export type Declared = Pick<MethodFacts, 'allergens' | 'unchecked' | 'unknown'>

/**
 * The allergens of all that is in a batch: of its method, of its parts, and of what went in besides or instead.
 * @param until what was in it by then; which lots the method's own amounts are of is told at any time
 */
export function contentsOf(
  { facts }: Pick<BatchState, 'facts'>,
  declared: Declared,
  until: Instant = Infinity,
): Traces & { besides: Ingredient[] } {
  const inByThen = <T>(all: readonly Fact<T>[]) => valid(all).filter(({ at }) => at <= until)
  const parts = inByThen(facts['part-used']).map(({ value }) => value.part)
  const instead = valid(facts['lots-used']).flatMap(({ value }) => value.uses.filter((use) => use.instead))
  const besides = [
    ...inByThen(facts.added).flatMap(({ value }) => foodIn(value) ?? []),
    ...instead.flatMap(
      (use) => use.own ?? (use.ingredient === null ? [] : (foodIn({ ingredient: use.ingredient }) ?? [])),
    ),
  ]
  // What nobody read stays unknown, also where a part that went in has the same name.
  const missing = declared.unknown.filter((name) => !parts.some((part) => part.name === name))
  const unread = besides.flatMap(({ unchecked, name }) => (unchecked ? [name] : []))
  // Bought ready in the place of what the method names: nobody read here what is in it.
  const bought = instead.flatMap(({ ingredient, name }) => (ingredient === null ? [name] : []))
  return {
    allergens: sorted([
      ...declared.allergens,
      ...besides.flatMap(({ allergens }) => allergens),
      ...parts.flatMap((part) => part.facts.allergens),
    ]),
    unknown: [...missing, ...bought, ...declared.unchecked, ...unread, ...parts.flatMap((part) => part.facts.unknown)],
    besides,
  }
}

/** A batch with what went in of the kitchen's own as that is known now. */
export function withKnown(batch: BatchState, kept: readonly OwnKept[]): BatchState {
  const { added, 'lots-used': lots } = batch.facts
  const known = <T extends { own?: Ingredient }>(told: T): T =>
    told.own ? { ...told, own: asKnown(told.own, kept) } : told
  return {
    ...batch,
    facts: {
      ...batch.facts,
      added: added.map((fact) => ({ ...fact, value: known(fact.value) })),
      'lots-used': lots.map((fact) => ({ ...fact, value: { ...fact.value, uses: fact.value.uses.map(known) } })),
    },
  }
}

/** What its parts had taken over from tools. */
export function traceOfParts({ facts }: Pick<BatchState, 'facts'>, until: Instant = Infinity): Traces[] {
  return valid(facts['part-used']).flatMap(({ at, value }) =>
    at <= until && value.part.facts.mayContain ? [value.part.facts.mayContain] : [],
  )
}

export function sorted(allergens: readonly Allergen[]): Allergen[] {
  return [...new Set(allergens)].sort()
}
