import type { Instant } from '../../ground/instant'
import type { Lacking, Traces } from '../../ledger/tool'
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
  batch: Pick<BatchState, 'facts' | 'reached'>,
  declared: Declared,
  until: Instant = Infinity,
): Traces & { besides: Ingredient[] } {
  const { facts } = batch
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
  // A part, or the batch itself, of which more was told after it went in and on.
  const after = toldAfterOf(batch, until).map(({ contains }) => contains)
  return {
    allergens: sorted([
      ...declared.allergens,
      ...after.flatMap(({ allergens }) => allergens),
      ...besides.flatMap(({ allergens }) => allergens),
      ...parts.flatMap((part) => part.facts.allergens),
    ]),
    unknown: [
      ...missing,
      ...bought,
      ...declared.unchecked,
      ...unread,
      ...parts.flatMap((part) => part.facts.unknown),
      ...after.flatMap(({ unknown }) => unknown),
    ],
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

/** What its parts had taken over from tools, and what was told of that after they went in. */
export function traceOfParts(batch: Pick<BatchState, 'facts' | 'reached'>, until: Instant = Infinity): Traces[] {
  const parts = valid(batch.facts['part-used']).flatMap(({ at, value }) =>
    at <= until && value.part.facts.mayContain ? [value.part.facts.mayContain] : [],
  )
  return [...parts, ...toldAfterOf(batch, until).map(({ mayContain }) => mayContain)]
}

/** What came to be known of it only after some of it was put away: it is in all that is made of it from then on. */
export function toldAfterOf({ reached }: Pick<BatchState, 'reached'>, until: Instant = Infinity): Lacking[] {
  return valid(reached).flatMap(({ at, value }) => (at <= until ? [value] : []))
}

export function sorted(allergens: readonly Allergen[]): Allergen[] {
  return [...new Set(allergens)].sort()
}
