import type { Instant } from '../../ground/instant'
import type { Decision, Disposition } from '../../ledger/entry'
import { isClosed, unanswered, type BatchState } from '../../state/batch'
import type { Finding } from '../finding'
import { isGate } from './judgeBatch'
import { timelineOf } from '../timeline/timeline'
import { isWorse } from '../../ledger/standing'

/** Why a decision cannot be made. Wording makes the sentence. */
export type Shut =
  | { code: 'closed' }
  /** A lot that is in it is called back: nothing is released before that ends. */
  | { code: 'recalled' }
  /** A law is missed: no reason releases it. */
  | { code: 'law missed'; check: string }
  /** A gate may still be proven or missed. */
  | { code: 'still open'; check: string }
  /** Not proven by law, guidance missed or a house line not met: only with more than a word. */
  | { code: 'needs assessment'; check: string }
  | { code: 'no rework here' }
  | { code: 'reworked already' }
  | { code: 'too late to rework' }
  | { code: 'nothing to rework' }

/** A written assessment is at least this long. */
export const ASSESSMENT_LENGTH = 20

/**
 * Why the lead cannot decide so, as things stand; null when it can be done. What a standing allows follows the force of
 * its limit: a missed law is never released; law not proven, guidance or a house line not met only with a written
 * assessment; quality is a note.
 */
export function decisionShut(
  decision: Decision,
  reason: string,
  batch: BatchState,
  findings: readonly Finding[],
  at: Instant,
): Shut | null {
  if (decision === 'hold' || decision === 'discard') return null
  if (isClosed(batch)) return { code: 'closed' }
  if (batch.recalls.length > 0) return { code: 'recalled' }
  return decision === 'release'
    ? (releaseShut(findings) ?? assessmentShut(reason, findings))
    : reworkShut(batch, findings, at)
}

/** Checks whose standing the lead has to answer for in writing when releasing. */
export function toAssess(findings: readonly Finding[]): Finding[] {
  return findings.filter(
    ({ check, standing }) =>
      (standing === 'unproven' && check.limit.force !== 'quality') ||
      (standing === 'missed' && ['guidance', 'house'].includes(check.limit.force)),
  )
}

/** The standings as a decision records them. */
export function standingsOf(findings: readonly Finding[]): Disposition['findings'] {
  return findings.map(({ check, standing }) => ({ check: check.key, force: check.limit.force, standing }))
}

/**
 * Whether the lead's release still holds: it is of the standings of its moment. What has got worse since, or has come to
 * light, takes it back, and so does a recall.
 */
export function isReleased(batch: BatchState, findings: readonly Finding[]): boolean {
  const { disposition, recalls } = batch
  if (disposition?.value.decision !== 'release' || disposition.void || recalls.length > 0) return false
  if (unanswered(batch).length > 0) return false
  const seen = new Map(disposition.value.findings.map(({ check, standing }) => [check, standing]))
  return findings.every(({ check, standing }) => !isWorse(standing, seen.get(check.key) ?? 'open'))
}

/** What no reason releases: a law or a date that is missed, and what may still be proven or missed. */
export function releaseShut(findings: readonly Finding[]): Shut | null {
  const missed = findings.find(({ check, standing }) => standing === 'missed' && check.limit.force === 'law')
  if (missed) return { code: 'law missed', check: missed.check.key }
  const date = findings.find(
    ({ check, standing }) => standing === 'missed' && ['days', 'hours'].includes(check.limit.rule.kind),
  )
  if (date) return { code: 'law missed', check: date.check.key }
  const open = findings.find(
    (finding) => finding.standing === 'open' && isGate(finding) && finding.check.limit.force !== 'quality',
  )
  return open ? { code: 'still open', check: open.check.key } : null
}

function assessmentShut(reason: string, findings: readonly Finding[]): Shut | null {
  const [assess] = toAssess(findings)
  return assess && reason.trim().length < ASSESSMENT_LENGTH
    ? { code: 'needs assessment', check: assess.check.key }
    : null
}

/** Once, while the first gate's time is not up, and only where the rule set in force knows it. */
function reworkShut(batch: BatchState, findings: readonly Finding[], at: Instant): Shut | null {
  if (!batch.checks.some(({ limit }) => limit.key === 'rework')) return { code: 'no rework here' }
  if (timelineOf(batch).leg.number > 1) return { code: 'reworked already' }
  const gates = findings.filter(({ check }) => check.limit.rule.kind === 'reach')
  if (!gates.some(({ standing }) => standing !== 'proven')) return { code: 'nothing to rework' }
  const [first] = gates
  const late =
    !first ||
    first.standing === 'missed' ||
    first.standing === 'unproven' ||
    (first.deadline !== null && at > first.deadline)
  return late ? { code: 'too late to rework' } : null
}
