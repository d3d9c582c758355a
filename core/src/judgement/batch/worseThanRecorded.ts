import type { Instant } from '../../ground/instant'
import { isClosed, isPutAway, type BatchState } from '../../state/batch'
import type { Finding } from '../finding'
import { isBinding, isGate, judgeBatch } from './judgeBatch'
import type { World } from '../world'
import { isWorse } from '../../ledger/standing'

/**
 * What today's rules say worse of a batch that is over than its own record does: it was put away or served as if every
 * gate were proven, or as the lead decided. It is told and not opened again: what was done with it is done. None of a
 * batch that runs, or that was thrown away.
 */
export function worseThanRecorded(batch: BatchState, world: World, now: Instant): Finding[] {
  const decided = batch.disposition && !batch.disposition.void ? batch.disposition.value : null
  if (!(isClosed(batch) || isPutAway(batch)) || decided?.decision === 'discard') return []
  const recorded = new Map(decided?.findings.map(({ check, standing }) => [check, standing]))
  return judgeBatch(batch, world, now).filter(
    (finding) =>
      isBinding(finding) &&
      isGate(finding) &&
      (finding.standing === 'missed' || finding.standing === 'unproven') &&
      isWorse(finding.standing, recorded.get(finding.check.key) ?? 'proven'),
  )
}
