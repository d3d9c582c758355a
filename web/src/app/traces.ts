import type { BatchState, Id } from '@logged-thermal/core'

/** Where the first readings of a batch are: pieces by their hashes, in order. */
export interface TraceApart {
  batch: Id
  pieces: string[]
}

export type Readings = BatchState['facts']['reading-taken']

/**
 * Batches with their whole traces: what the Line left out comes before what it has.
 * @param pieces of all traces, in the order in which they name them
 */
export function withTraces(
  batches: readonly BatchState[],
  traces: readonly TraceApart[],
  pieces: readonly Readings[],
): BatchState[] {
  let used = 0
  const before = new Map(
    traces.map(({ batch, pieces: hashes }) => [batch, pieces.slice(used, (used += hashes.length)).flat()]),
  )
  return batches.map((batch) => {
    const first = before.get(batch.id)
    if (!first) return batch
    return { ...batch, facts: { ...batch.facts, 'reading-taken': [...first, ...batch.facts['reading-taken']] } }
  })
}
