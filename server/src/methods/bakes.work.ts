import { shownBake, type BatchState, type Instant } from '@logged-thermal/core'
import type { Answers } from '../http/answers'

/** @param batches a list of batch states as JSON: the thread that serves need not read it */
export function shown({ batches, zone, now }: { batches: string; zone: string; now: Instant }): Answers['Bakes'] {
  return { bakes: (JSON.parse(batches) as BatchState[]).flatMap((batch) => shownBake(batch, zone, now) ?? []) }
}
