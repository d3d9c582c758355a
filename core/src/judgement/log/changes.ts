import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { BatchFact, BatchFacts, BatchState } from '../../state/batch'
import { isWaiting, type Acceptance, type Amendment, type Fact } from '../../state/fact'

/** Something of a batch that was not entered at once and for good: late, put right, or taken back. */
export interface Change {
  /** The correction, or what came late itself. */
  entry: Id
  kind: BatchFact
  /** What stood before; null: nothing, it only came late. */
  was: Told | null
  /** What stands in its place, or would if the lead let it count. */
  now: Told | 'void'
  by: Id
  madeAt: Instant
  /** Of a correction; null: nobody says why something comes late. */
  reason: string | null
  /** Whether it counts: by itself, not before the lead looked at it, or as the lead decided. */
  stands: 'counts' | 'waits' | 'accepted' | 'refused'
  decided: Acceptance | null
}

/** What is told of a time. */
export interface Told {
  at: Instant
  value: BatchFacts[BatchFact]
}

/** Every change of a batch, in the order they were made. What is doubted for another reason and let count is none. */
export function changesIn(batch: BatchState): Change[] {
  const kinds = Object.keys(batch.facts) as BatchFact[]
  return kinds
    .flatMap((kind) =>
      onceEach(batch.facts[kind] as Fact<BatchFacts[BatchFact]>[]).flatMap((fact) => changesOf(kind, fact)),
    )
    .sort((a, b) => a.madeAt - b.madeAt)
}

/** The first of those that one entry told together. */
function onceEach<T>(facts: readonly Fact<T>[]): Fact<T>[] {
  return [...new Map([...facts].reverse().map((fact) => [fact.entry, fact])).values()].reverse()
}

function changesOf(kind: BatchFact, fact: Fact<BatchFacts[BatchFact]>): Change[] {
  const { entry, by, madeAt, late, amends, waiting, accepted, refused } = fact
  // As it was entered: what corrections made of it stands in theirs.
  const [first] = amends
  const told = first ? { at: first.wasAt, value: first.was } : { at: fact.at, value: fact.value }
  const decided = refused ?? accepted
  const stands = isWaiting(fact) ? (refused ? 'refused' : 'waits') : 'accepted'
  return [
    ...(late ? [{ entry, kind, was: null, now: told, by, madeAt, reason: null, stands, decided } as const] : []),
    ...amends.map((each) => amendment(kind, each, each.accepted ? 'accepted' : 'counts')),
    ...waiting.map((each) => amendment(kind, each, each.refused ? 'refused' : 'waits')),
  ]
}

function amendment(kind: BatchFact, each: Amendment<BatchFacts[BatchFact]>, stands: Change['stands']): Change {
  const { entry, by, madeAt, reason, was, wasAt, now, accepted, refused } = each
  return { entry, kind, was: { at: wasAt, value: was }, now, by, madeAt, reason, stands, decided: accepted ?? refused }
}
