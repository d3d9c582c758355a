import type { World } from '../world'
import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import { contestedOf, type BatchState } from '../../state/batch'
import { checksNow } from './checksNow'
import type { Stream } from '../evidence/evidence'
import type { Finding } from '../finding'
import { mergedFinding } from '../evidence/merged'
import { ViewJudge } from './viewJudge'
import { viewsOf } from '../evidence/views'

/** Judges a batch as readings of its devices come in: each costs the same however many there were. */
export interface Judge {
  /** One more reading of a device that stays in the pot, °C. One that comes late is put in its place and all judged anew. */
  add(instrument: Id, at: Instant, celsius: number): void
  findings(now: Instant): Finding[]
  /** When time alone will next change a finding, as of the last call of `findings`; null when only an entry can. */
  nextAt(): Instant | null
}

/**
 * A judge of a batch as it was entered so far, with the readings of its devices. What is beyond doubt is judged by itself,
 * and again with each thing that can only deny: the worst counts.
 */
export function judgeOf(batch: BatchState, streams: readonly Stream[], world: World): Judge {
  const views = viewsOf(batch)
  const judges = new Map([views.sure, ...views.doubtful].map((view) => [view, new ViewJudge(view, streams, world)]))
  const own = [...judges.values()]
  const all = judges.get(views.all)!
  const sure = judges.get(views.sure)!
  const unaccepted = views.unaccepted && new ViewJudge(views.unaccepted, streams, world)
  let found: Finding[] = []
  return {
    add(instrument, at, celsius) {
      for (const judge of own) judge.add(instrument, at, celsius)
      unaccepted?.add(instrument, at, celsius)
    },
    findings(now) {
      const checks = new Map(own.flatMap(({ checks: each }) => each.map((check) => [check.key, check])))
      // In the order of the work, as the batch itself has them.
      const keys = [...new Set([...checksNow(views.all.batch).map(({ key }) => key), ...checks.keys()])]
      found = keys.flatMap((key) => {
        const every = own.flatMap((judge) => judge.find(key, now) ?? [])
        return mergedFinding({
          every,
          all: all.find(key, now),
          sure: sure.find(key, now),
          unaccepted: unaccepted?.find(key, now) ?? null,
          batch,
        })
      })
      // Nothing is proven of a batch while what was entered about it contradicts itself.
      if (contestedOf(batch).length > 0) found = found.map(inDispute)
      return found
    },
    nextAt: () => nextChange(found),
  }
}

function inDispute(finding: Finding): Finding {
  if (finding.standing !== 'proven') return finding
  const doubts = [...finding.doubts, 'contested' as const]
  return { ...finding, standing: 'unproven', because: { code: 'doubtful', doubts: ['contested'] }, doubts }
}

/** When time alone will next change a finding; null when only an entry can. */
export function nextChange(findings: readonly Finding[]): Instant | null {
  const instants = findings.flatMap(({ nextAt }) => (nextAt === null ? [] : [nextAt]))
  return instants.length ? Math.min(...instants) : null
}
