import { allFacts, type BatchState, type Decision } from '@logged-thermal/core'
import type { GroupKitchen } from '../http/answers'

type Figures = Omit<GroupKitchen, 'id' | 'name'>

/** What a kitchen is compared by: counts of its batches, never a rate, which a few batches would make look like something. */
export function figuresOf(batches: readonly BatchState[]): Figures {
  const decided: Record<Decision, number> = { release: 0, hold: 0, rework: 0, discard: 0 }
  let lateAccepted = 0
  let bySamePerson = 0
  for (const batch of batches) {
    const { disposition } = batch
    if (disposition && !disposition.void) decided[disposition.value.decision]++
    for (const { by, accepted } of allFacts(batch)) {
      if (!accepted) continue
      lateAccepted++
      if (accepted.by === by) bySamePerson++
    }
  }
  return { batches: batches.length, decided, lateAccepted, bySamePerson }
}
