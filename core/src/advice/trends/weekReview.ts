import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { Finding } from '../../judgement/finding'
import type { LoggedBatch } from '../../judgement/log/loggedBatch'
import { standAt } from '../../judgement/log/standsFrom'
import type { Counts, Settled } from './trend'

/** What would have held the check: for whoever writes the method to weigh, never done by itself. */
export type Remedy =
  | 'cool faster'
  | 'read in time'
  | 'read oftener'
  | 'read off the heat'
  | 'read every pan'
  | 'heat further'
  | 'read at the floor'
  | 'name the lots'
  | 'out for less'
  | 'make less'
  | 'enter at once'
  | 'look'

/** Batches of one method that one check did not hold in, for one reason. */
export interface Failure {
  check: Finding['check']
  because: Finding['because']['code']
  remedy: Remedy
  missed: BatchRef[]
  unproven: BatchRef[]
}

export interface BatchRef {
  id: Id
  code: string
}

/** How a method went over a time. */
export interface MethodReview extends Counts {
  method: Id
  /** As its last batch was called. */
  name: string
  /** What did not hold, what was missed most first. */
  failures: Failure[]
}

/** How each method went, by the batches that are settled by now; the one that failed most stands on top. */
export function weekReview(batches: readonly LoggedBatch[], now: Instant): MethodReview[] {
  const byMethod = new Map<Id, MethodReview>()
  for (const batch of [...batches].sort((a, b) => a.startedAt - b.startedAt)) {
    const { standing, says } = standAt(batch.stands, now)
    if (standing === 'open') continue
    const known = byMethod.get(batch.method)
    const review = known ?? { method: batch.method, name: '', proven: 0, unproven: 0, missed: 0, failures: [] }
    byMethod.set(batch.method, review)
    review.name = batch.name
    review[standing]++
    if (standing !== 'proven' && says) noteFailure(review.failures, says, standing, batch)
  }
  for (const { failures } of byMethod.values()) failures.sort(worstFirst)
  return [...byMethod.values()].sort(worstFirst)
}

function noteFailure(
  failures: Failure[],
  { check, because }: Finding,
  standing: Exclude<Settled, 'proven'>,
  { id, code }: LoggedBatch,
): void {
  const known = failures.find((each) => each.check.key === check.key && each.because === because.code)
  const failure = known ?? { check, because: because.code, remedy: remedyOf(because), missed: [], unproven: [] }
  if (!known) failures.push(failure)
  failure[standing].push({ id, code })
}

interface Weighed {
  missed: number | readonly unknown[]
  unproven: number | readonly unknown[]
}

function worstFirst(a: Weighed, b: Weighed): number {
  const count = (of: Weighed['missed']) => (typeof of === 'number' ? of : of.length)
  return count(b.missed) - count(a.missed) || count(b.unproven) - count(a.unproven)
}

function remedyOf({ code }: Finding['because']): Remedy {
  switch (code) {
    case 'read too warm':
    case 'not cooling yet':
    case 'cooling':
      return 'cool faster'
    case 'not read in time':
      return 'read in time'
    case 'somewhere between':
      return 'read oftener'
    case 'start not read':
      return 'read off the heat'
    case 'pans unread':
      return 'read every pan'
    case 'closed too cold':
    case 'not there yet':
    case 'accrued':
      return 'heat further'
    case 'closed unread':
    case 'never read':
    case 'nothing read':
    case 'holding':
      return 'read at the floor'
    case 'no lot named':
    case 'shell egg used':
      return 'name the lots'
    case 'exposed':
    case 'passed':
    case 'passed within grace':
    case 'passed perhaps too long':
      return 'out for less'
    case 'out of date':
    case 'past its hours':
      return 'make less'
    case 'doubtful':
    case 'missed before it was accepted':
      return 'enter at once'
    default:
      return 'look'
  }
}
