import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import { unanswered, type BatchState } from '../../state/batch'
import { isReleased, releaseShut, type Shut } from '../batch/disposition'
import { batchStanding, judgeBatch } from '../batch/judgeBatch'
import type { Finding } from '../finding'

/** Whether what a batch became may go on: every gate proven, or released by the lead and no worse since. */
export function isCleared(batch: BatchState, zone: string, now: Instant): boolean {
  const { disposition, recalls } = batch
  const decided = disposition?.void ? undefined : disposition?.value.decision
  if (decided === 'hold' || decided === 'discard' || recalls.length > 0) return false
  const findings = standsFor(batch, zone, now)
  if (isReleased(batch, findings)) return true
  return unanswered(batch).length === 0 && batchStanding(findings) === 'proven'
}

/** Why the lead cannot let go on what was made of a batch, as the batch itself could not be released; null when it can be. */
export function releaseBar(batch: BatchState, zone: string, now: Instant): Shut | null {
  return releaseShut(standsFor(batch, zone, now))
}

/** The batch that an item was made of; null for what was made of none. */
export function batchOf({ from }: { from: readonly { type: string; id: Id }[] }): Id | null {
  return from.find(({ type }) => type === 'batch')?.id ?? null
}

/** What of a batch counts for what was made of it: not its own dates, for an item has its own, which the frost stops. */
function standsFor(batch: BatchState, zone: string, now: Instant): Finding[] {
  return judgeBatch(batch, { zone }, now).filter(({ check }) => !['days', 'hours'].includes(check.limit.rule.kind))
}
