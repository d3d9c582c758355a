import type { Instant } from '../../ground/instant'
import { Trace } from '../../physics/trace/trace'
import { rowsOf } from '../../rules/compared'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { HoldWatch } from '../watch/holdWatch'
import type { CoreReading } from './core'
import type { Warmings } from './warmings'

/** The present making of a batch. */
export interface Leg {
  /** 1, and one more for each rework that was decided. */
  number: number
  /**
   * When it began: nothing but an entry that says so begins one. A rework that the lead decided does once its own row is
   * proven, a batch that was warmed again once it was hot again in time. -Infinity in the first.
   */
  from: Instant
  /** When the last rework was decided; -Infinity while none was. */
  reworkedAt: Instant
}

export function legOf(batch: BatchState, core: readonly CoreReading[], warmings: Warmings): Leg {
  const reworks = valid(batch.reworks)
  const proven = reworks.findLast(({ at }) => isReworkProven(batch, core, at))?.at ?? -Infinity
  return {
    number: 1 + reworks.length,
    from: Math.max(proven, warmings.hot ? warmings.last : -Infinity),
    reworkedAt: reworks.at(-1)?.at ?? -Infinity,
  }
}

/** Whether the row of a rework was proven by readings since it was decided. */
function isReworkProven({ checks }: BatchState, core: readonly CoreReading[], since: Instant): boolean {
  const check = checks.find(({ limit }) => limit.key === 'rework')
  if (!check || check.limit.rule.kind !== 'hold') return false
  const trace = new Trace()
  for (const { at, celsius } of core) if (at >= since) trace.put(at, celsius)
  const watch = new HoldWatch(rowsOf(check.limit.rule, check), { from: since, to: Infinity })
  watch.take(trace, 0, trace.length)
  return watch.closed().held.proof !== null
}
