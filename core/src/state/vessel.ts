import type { Entry, Id } from '../ledger/entry'
import type { RegisteredVessel } from '../vessel/vessel'

export interface VesselState extends RegisteredVessel {
  id: Id
}

export function applyToVessel(id: Id, state: VesselState | null, { claim }: Entry): VesselState | null {
  return claim.kind === 'vessel-registered' ? { id, ...claim.body } : state
}
