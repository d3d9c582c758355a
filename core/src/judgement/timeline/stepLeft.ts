import { MINUTE, type Instant } from '../../ground/instant'
import type { StepKind } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { timelineOf } from './timeline'

/** Between when something that waits is ready and when it should go on, where its method says so. */
export interface Wait {
  began: Instant
  ready: Instant
  /** Longer and it is not what the method meant. */
  until: Instant
}

/** Steps that nothing ends but the batch itself. */
export const STAYS: readonly StepKind[] = ['hold', 'serve at once']
/** Work on the parts: it is behind once the batch has gone on. */
const PARTS_ONLY: readonly StepKind[] = ['mise', 'eggs', 'infuse', 'heat dairy', 'whip']

/** When each step of a batch ended, and which one it is at: its index, -1 once it has gone through all. */
export function stepsOf(batch: BatchState): { ends: (Instant | null)[]; at: number } {
  const { steps } = batch.method
  const timeline = timelineOf(batch)
  const ends = steps.map(({ key }) => timeline.stepEnded(key))
  const reached = steps.reduce((last, { kind }, i) => (ends[i] !== null && !PARTS_ONLY.includes(kind) ? i : last), -1)
  return { ends, at: steps.findIndex((_, i) => i > reached && ends[i] === null) }
}

/** What a batch has still to go through before it only has to be kept: the step it is at, and how long that waits. */
export function stepLeft(batch: BatchState): { step: string; kind: StepKind; wait: Wait | null } | null {
  const step = batch.method.steps[stepsOf(batch).at]
  if (!step || STAYS.includes(step.kind)) return null
  return { step: step.key, kind: step.kind, wait: waitOf(batch, step.key) }
}

/** Steps that are not done and come before it is kept, in the order of the work. */
export function stepsLeft(batch: BatchState): { step: string; kind: StepKind }[] {
  const { at } = stepsOf(batch)
  const ahead = at < 0 ? [] : batch.method.steps.slice(at)
  return ahead.flatMap(({ key, kind }) => (STAYS.includes(kind) ? [] : [{ step: key, kind }]))
}

/**
 * How long a step waits: from when it began, by its mark, or where it goes on from a cooling by itself when that ended.
 * null before it began, and where the method says nothing of it.
 */
export function waitOf(batch: BatchState, step: string): Wait | null {
  const minutes = batch.terms.waits[step]
  const began = minutes ? waitsSince(batch, step) : null
  if (!minutes || began === null) return null
  return { began, ready: began + minutes.least * MINUTE, until: began + minutes.most * MINUTE }
}

/** It sets and ages where it has cooled: nobody has to say that this begins. */
export function waitsSince(batch: BatchState, step: string): Instant | null {
  const timeline = timelineOf(batch)
  const marked = timeline.marks.last({ step, edge: 'started' })
  if (marked !== null) return marked
  const { steps } = batch.method
  const index = steps.findIndex(({ key }) => key === step)
  const before = steps[index - 1]
  return steps[index]?.kind === 'set' && before?.kind === 'cool' ? timeline.stepEnded(before.key) : null
}
