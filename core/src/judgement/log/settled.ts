import { isClosed, isHeld, unanswered, type BatchState } from '../../state/batch'
import { isReleased } from '../batch/disposition'
import { waitingIn } from '../evidence/waiting'
import type { Finding } from '../finding'
import { countingFor, standingForGood } from './standing'

/**
 * Whether nothing of a batch waits for the lead: it stands, or was released as it stands, or is gone; nothing came too late,
 * and nothing happened to it since.
 */
export function isSettled(batch: BatchState, findings: readonly Finding[]): boolean {
  if (waitingIn(batch).length > 0 || unanswered(batch).length > 0 || isHeld(batch)) return false
  if (isClosed(batch)) return true
  const standing = standingForGood(batch, findings)
  return standing === 'proven' || standing === 'open' || isReleased(batch, countingFor(batch, findings))
}
