import type { Instant } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import type { Heat, Watch, Window } from '../watch/watch'
import type { Finding } from '../finding'

/** A check that is fed readings and can say at any time how it stands. */
export interface CheckWatch extends Watch {
  find(now: Instant): Finding
  /** Of a floor: when it was proven; Infinity while it is not. */
  provenAt?(): Instant
}

/** Which readings a check looks at, and what begins and ends it. */
export interface Span {
  leg: number
  window: Window
  /** The heat whose end begins or closes the check; null where no heat does. */
  heat: Heat | null
  /** What has to come first has happened. */
  begun: boolean
  /** Since when it has been on its way: from the first combining, whatever went in after; else since the batch began. */
  since: Instant
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
    readBy: null,
    pans: null,
  }
  return { check, leg, ...empty, ...found }
}
