import type { Instant } from '../../ground/instant'
import type { Standing } from '../../ledger/standing'
import { isClosed, isPutAway, type BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { batchStanding } from '../batch/judgeBatch'
import type { Finding } from '../finding'

/**
 * How a batch stands for good. Once all of it is put away, or gone, its dates are those of what was made of it: that it is
 * past its day by now says nothing of how it was made.
 */
export function standingForGood(batch: BatchState, findings: readonly Finding[]): Standing {
  return batchStanding(countingFor(batch, findings))
}

/** The findings that still say something of the batch itself. */
export function countingFor(batch: BatchState, findings: readonly Finding[]): readonly Finding[] {
  if (!isPutAway(batch) && !isClosed(batch)) return findings
  const left = leftAt(batch)
  // It was past its day before it went: that stays with it.
  return findings.filter(
    ({ check, deadline }) => !DATES.includes(check.limit.rule.kind) || (deadline !== null && deadline < left),
  )
}

/** When the last of it was put away or gone. */
function leftAt({ facts, served, disposition }: BatchState): Instant {
  const ends = [...valid(facts.portioned), served, disposition].filter((fact) => fact !== null && !fact.void)
  return ends.reduce((last, fact) => Math.max(last, fact!.at), -Infinity)
}

const DATES: readonly string[] = ['days', 'hours']
