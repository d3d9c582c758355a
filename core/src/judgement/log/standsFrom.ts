import type { Instant } from '../../ground/instant'
import type { Standing } from '../../ledger/standing'
import { allFacts, type BatchState } from '../../state/batch'
import { judgeOf } from '../batch/judge'
import type { Finding } from '../finding'
import type { World } from '../world'
import { standingForGood } from './standing'

/** How a batch stands from an instant on, until the next, while nothing more is entered about it. */
export interface Stand {
  from: Instant
  standing: Standing
  findings: Finding[]
}

/** Each check may change at an instant of its own, in each view that doubts leave open. A check that changed for ever would end here. */
const MOST = 1000

/**
 * How a batch stands from the last entry about it on, in order: time alone changes it from one to the next. All of it is
 * fact, so it can be kept: what it says of an instant is what judging it then finds.
 */
export function standsFrom(batch: BatchState, world: World): Stand[] {
  const judge = judgeOf(batch, [], world)
  const stands: Stand[] = []
  for (let from: Instant | null = knownUntil(batch); from !== null && stands.length < MOST;) {
    const findings = judge.findings(from)
    stands.push({ from, standing: standingForGood(batch, findings), findings })
    const next = judge.nextAt()
    from = next === null ? null : Math.max(next, from + 1)
  }
  return stands
}

/** The one of several, in order, that holds at an instant; the first also before it. RangeError for none. */
export function standAt<S extends { from: Instant }>(stands: readonly S[], now: Instant): S {
  const stand = stands.findLast(({ from }) => from <= now) ?? stands[0]
  if (!stand) throw new RangeError('stands: there is none')
  return stand
}

/** When the kitchen knew of the last thing that was entered about it. */
function knownUntil(batch: BatchState): Instant {
  const { startedAt, disposition, served, recalls, failedProbes, reached, reworks } = batch
  const others = [disposition, served, ...recalls, ...failedProbes, ...reached, ...reworks].filter(
    (fact) => fact !== null,
  )
  return [...allFacts(batch), ...others].reduce((last, { knownAt, at }) => Math.max(last, knownAt, at), startedAt)
}
