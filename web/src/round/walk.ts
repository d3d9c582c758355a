import { dueRound, timelineOf, type Id, type Instant } from '@logged-thermal/core'
import type { JudgedBatch } from '../app/kitchen'

/** A pan of the walk: when it was due, and what was read of it. */
export interface Stop {
  one: JudgedBatch
  due: Instant
}

/** The pans off the heat that are asked for now, the first due first. One on the heat is no walk: somebody stands at it. */
export function stopsDue(judged: readonly JudgedBatch[], now: Instant): Stop[] {
  const reads = judged.flatMap((one) =>
    one.asks.kind === 'read' && !timelineOf(one.batch).phase.cooking ? [{ one, at: one.asks.at }] : [],
  )
  return dueRound(reads, now).map(({ one, at }) => ({ one, due: at }))
}

/** The walk so far with what fell due meanwhile, in the order in which it is walked. */
export function walkOn(walk: readonly Id[], due: readonly Stop[]): Id[] {
  return [...walk, ...due.map(({ one }) => one.batch.id).filter((id) => !walk.includes(id))]
}
