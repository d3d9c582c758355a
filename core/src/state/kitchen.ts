import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Bodies, Entry } from '../ledger/entry'

/** What belongs to the kitchen as a whole. */
export interface KitchenState {
  /** Of its latest batches, so that no two share one. */
  codes: string[]
  /** Who is asked for readings, from when until when; null until somebody handed over. */
  handover: Bodies['handed-over'] | null
  /** Who decides for the lead. */
  delegate: Bodies['delegated'] | null
}

/** Codes are said aloud, so they are short and come round again; this many are kept apart. */
const KEPT_APART = 300

const NOTHING: KitchenState = { codes: [], handover: null, delegate: null }

export function applyToKitchen(state: KitchenState | null, { claim }: Entry): KitchenState | null {
  const before = state ?? NOTHING
  switch (claim.kind) {
    case 'batch-started':
      return { ...before, codes: [...before.codes, claim.body.code].slice(-KEPT_APART) }
    case 'handed-over':
      return { ...before, handover: claim.body }
    case 'delegated':
      return { ...before, delegate: claim.body }
    default:
      return state
  }
}

/** Whether a person may decide for the lead at an instant. */
export function decidesForLead({ delegate }: Pick<KitchenState, 'delegate'>, person: Id, at: Instant): boolean {
  return delegate !== null && delegate.to === person && at < delegate.until
}
