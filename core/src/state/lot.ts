import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Bodies, Entry } from '../ledger/entry'
import type { LotReceived } from '../ledger/storeEntries'
import { factOf, type Fact } from './fact'

/** An ingredient as it was received, and what the lead decided of it since. */
export interface LotState extends LotReceived {
  id: Id
  receivedAt: Instant
  receivedBy: Id
  decided: Fact<Bodies['lot-decided']> | null
  /** Called back: nothing of it may be used until that ends. */
  recall: Fact<{ reason: string; drill: boolean }> | null
}

/** Whether it may go into anything: accepted at the door or since, and not called back; a drill stops nothing. */
export function mayGoIn({ verdict, decided, recall }: Pick<LotState, 'verdict' | 'decided' | 'recall'>): boolean {
  return (
    (recall === null || recall.value.drill) && (decided ? decided.value.verdict === 'accept' : verdict === 'accept')
  )
}

export function applyToLot(id: Id, state: LotState | null, entry: Entry): LotState | null {
  const { claim } = entry
  if (claim.kind === 'lot-received')
    return state ?? { id, receivedAt: claim.at, receivedBy: claim.by, ...claim.body, decided: null, recall: null }
  if (!state) return null
  switch (claim.kind) {
    case 'lot-decided':
      return { ...state, decided: factOf(entry, claim.at, claim.body) }
    case 'recalled':
      // Called back again for what was missed, it is the same recall; a drill that turns serious is another.
      return state.recall?.value.drill === claim.body.drill
        ? state
        : { ...state, recall: factOf(entry, claim.at, { reason: claim.body.reason, drill: claim.body.drill }) }
    case 'recall-ended':
      return { ...state, recall: null }
    default:
      return state
  }
}
