import type { ItemFacts } from '../../ledger/storeEntries'
import type { Lacking, Traces } from '../../ledger/tool'
import { claimsOf } from '../../recipe/method/facts'
import type { BatchState } from '../../state/batch'
import type { Fact } from '../../state/fact'
import type { ToolState } from '../../state/tool'
import type { Portioned } from '../../ledger/storeEntries'
import { carriedInto, claimsBeside, NO_TRACES, tracesBeside } from './carryOver'
import { isStrongSince } from './alcohol'
import { contentsOf, traceOfParts } from './contents'
import { together, type FindBatch } from './toolTrail'

/** What the label of some of a batch lacks by all that is known now of what was in it as it was put away. */
export function lackingOf(
  batch: BatchState,
  put: Fact<Portioned>,
  tools: readonly ToolState[],
  find: FindBatch,
): Lacking {
  const {
    at,
    value: { facts },
  } = put
  const declared = batch.terms.holds ?? { allergens: facts.allergens, unknown: facts.unknown, unchecked: [] }
  const { besides, ...inIt } = contentsOf(batch, declared, at)
  const contains = tracesBeside(inIt, facts) ?? NO_TRACES
  const told = together([facts, facts.mayContain ?? NO_TRACES, contains])
  const carried = together([carriedInto(batch, tools, find, { until: at }), ...traceOfParts(batch, at)])
  const mayContain = tracesBeside(carried, told) ?? NO_TRACES
  const left = claimsBeside(claimsOf(besides), together([contains, mayContain]))
  const claims = facts.claims.filter((claim) => !left.includes(claim))
  return { contains, mayContain, claims, ...(isStrongSince(batch, put) ? { alcohol: true } : {}) }
}

/** What is lacking now and was not before; null: nothing is. */
export function lackingSince(now: Lacking, before: Lacking): Lacking | null {
  const contains = tracesBeside(now.contains, before.contains) ?? NO_TRACES
  const mayContain = tracesBeside(now.mayContain, before.mayContain) ?? NO_TRACES
  const claims = now.claims.filter((claim) => !before.claims.includes(claim))
  const lacks: Lacking = { contains, mayContain, claims, ...(now.alcohol && !before.alcohol ? { alcohol: true } : {}) }
  return isLacking(lacks) ? lacks : null
}

export function isLacking({ contains, mayContain, claims, alcohol }: Lacking): boolean {
  return !isNothing(contains) || !isNothing(mayContain) || claims.length > 0 || alcohol === true
}

export function bothLacking(a: Lacking, b: Lacking): Lacking {
  return {
    contains: together([a.contains, b.contains]),
    mayContain: together([a.mayContain, b.mayContain]),
    claims: [...new Set([...a.claims, ...b.claims])],
    ...(a.alcohol || b.alcohol ? { alcohol: true } : {}),
  }
}

/** What an item is once that is known of it. Where something is in it that its list of ingredients lacks, there is no list. */
export function factsWithLacking(facts: ItemFacts, { contains, mayContain, claims, alcohol }: Lacking): ItemFacts {
  const { ingredients, mayContain: traces = NO_TRACES, ...same } = facts
  const inIt = together([facts, contains])
  const beside = tracesBeside(together([traces, mayContain]), inIt)
  const left = facts.claims.filter((claim) => !claims.includes(claim))
  return {
    ...same,
    ...inIt,
    claims: claimsBeside(claimsBeside(left, contains), beside),
    ...(beside ? { mayContain: beside } : {}),
    ...(alcohol ? { alcohol: { byVolume: null } } : {}),
    ...(ingredients && isNothing(contains) ? { ingredients } : {}),
  }
}

function isNothing({ allergens, unknown }: Traces): boolean {
  return allergens.length === 0 && unknown.length === 0
}
