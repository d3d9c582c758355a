import type { BatchState } from '../../state/batch'
import { timelineOf } from '../timeline/timeline'

/** Whether parts were poured warm on cold ones and nobody has read yet how warm they are together. */
export function asksMerged(batch: BatchState): boolean {
  const warm = batch.facts['part-used'].filter(({ void: gone, value }) => !gone && value.warm).map(({ at }) => at)
  const last = Math.max(-Infinity, ...warm)
  return warm.length > 0 && timelineOf(batch).core.every(({ at }) => at < last)
}
