import type { Entry, Id, LotReceived } from '../ledger/entry'
import type { Instant } from '../calendar/instant'

/** An ingredient as it was received. */
export interface LotState extends LotReceived {
  id: Id
  receivedAt: Instant
}

export function applyToLot(id: Id, state: LotState | null, { claim }: Entry): LotState | null {
  return claim.kind === 'lot-received' ? { id, receivedAt: claim.at, ...claim.body } : state
}
