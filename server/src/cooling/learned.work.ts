import { coolingRecord, judgeBatch, learnedFrom, type BatchState, type Instant } from '@logged-thermal/core'
import type { Answers } from '../http/answers'

/** @param batches a list of batch states as JSON: the thread that serves need not read it */
export function learned({ batches, zone, now }: { batches: string; zone: string; now: Instant }): Answers['Learned'] {
  const records = (JSON.parse(batches) as BatchState[]).flatMap(
    (batch) => coolingRecord(batch, judgeBatch(batch, { zone }, now)) ?? [],
  )
  return { learned: learnedFrom(records) }
}
