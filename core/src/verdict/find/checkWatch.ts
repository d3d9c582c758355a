import type { Instant } from '../../calendar/instant'
import type { Check } from '../../limits/checksFor'
import type { Heat, Watch, Window } from '../watch/watch'
import type { Finding } from '../finding'
import type { Standing } from '../standing'

/** A check that is fed readings and can say at any time how it stands. */
export interface CheckWatch extends Watch {
  find(now: Instant): Finding
}

/** Which readings a check looks at, and what begins and ends it. */
export interface Span {
  leg: number
  window: Omit<Window, 'trusted'>
  /** The heat whose end begins or closes the check; null where no heat does. */
  heat: Heat | null
  /** What has to come first has happened. */
  begun: boolean
}

/** A finding with what most findings leave empty. */
export function findingOf(
  check: Check,
  { leg }: Span,
  found: Pick<Finding, 'standing' | 'because'> & Partial<Finding>,
): Finding {
  const empty = {
    overdue: false,
    need: null,
    ladder: [],
    deciding: [],
    start: null,
    end: null,
    deadline: null,
    doubts: [],
    nextAt: null,
  }
  return { check, leg, ...empty, ...found }
}

/** Doubtful readings stood in the way: all of them together would have proven it. */
export function proofDenied(all: Standing, standing: Standing): boolean {
  return all === 'proven' && standing !== 'proven'
}
