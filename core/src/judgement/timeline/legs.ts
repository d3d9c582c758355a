import type { Instant } from '../../ground/instant'
import { rowsOf } from '../../rules/compared'
import type { BatchState } from '../../state/batch'
import { standing } from '../../state/fact'
import { celsiusOf } from '../../ground/temperature'
import { Trace } from '../../physics/trace/trace'
import { hotAgain, rewarmedAt } from './rewarming'
import { HoldWatch } from '../watch/holdWatch'

/** Which making of the batch it is: 1, and one more for each rework that was decided. */
export function legOf(batch: Pick<BatchState, 'reworks'>): number {
  return 1 + standing(batch.reworks).length
}

/**
 * When the present leg began: nothing but an entry that says so begins one. A rework that the lead decided does once its
 * own row is proven, a batch that was warmed again once it was hot again in time. Long ago in the first leg.
 */
export function legStart(batch: BatchState): Instant {
  const reworked = standing(batch.reworks).findLast(({ at }) => reworkProvenAt(batch, at) !== null)?.at ?? -Infinity
  return Math.max(reworked, hotAgain(batch) ? rewarmedAt(batch) : -Infinity)
}

/** When the row of a rework was proven by readings since it was decided; null while it is not. */
export function reworkProvenAt(batch: BatchState, since: Instant): Instant | null {
  const check = batch.checks.find(({ limit }) => limit.key === 'rework')
  if (!check || check.limit.rule.kind !== 'hold') return null
  const trace = new Trace()
  for (const { at, value } of standing(batch.facts['reading-taken']))
    if (at >= since && value.of === 'mixture' && value.where === 'core') trace.put(at, celsiusOf(value.typed))
  const watch = new HoldWatch(rowsOf(check.limit.rule, check), { from: since, to: Infinity })
  watch.take(trace, 0, trace.length)
  return watch.closed().held.proof?.to ?? null
}
