import type { Id } from '../ledger/subject'
import type { RegisteredVessel } from '../physics/cooling/vessel'

export interface VesselState extends RegisteredVessel {
  id: Id
}
