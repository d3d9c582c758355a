import type { BatchState } from '../../state/batch'

/** Parts poured warm on cold ones of which the merged temperature was not read yet. */
export function asksMerged(batch: Pick<BatchState, 'facts'>): boolean {
  const warm = batch.facts['part-used'].filter(({ void: gone, value }) => !gone && value.warm).map(({ at }) => at)
  if (warm.length === 0) return false
  const last = Math.max(...warm)
  const read = batch.facts['reading-taken'].some(
    ({ void: gone, at, value }) => !gone && at >= last && value.of === 'mixture' && value.where === 'core',
  )
  return !read
}
