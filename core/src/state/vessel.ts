import type { Id } from '../ledger/subject'
import type { Entry } from '../ledger/entry'
import type { RegisteredVessel } from '../physics/cooling/vessel'

export interface VesselState extends RegisteredVessel {
  id: Id
}

export function applyToVessel(id: Id, state: VesselState | null, { claim }: Entry): VesselState | null {
  return claim.kind === 'vessel-registered' ? { id, ...claim.body } : state
}
