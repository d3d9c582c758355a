import type { Instant } from '../ground/instant'
import type { Id, SubjectType } from '../ledger/subject'
import type { LimitSet } from '../rules/limit'
import type { MethodState } from './method'
import type { BatchState } from './batch'
import type { ItemState } from './item'
import type { LotState } from './lot'
import type { InstrumentState } from './instrument'
import type { UnitState } from './unit'
import type { VesselState } from './vessel'
import type { KitchenState } from './kitchen'
import type { MatterState } from './matter'

/** Every version of a kitchen's limits, oldest first: a batch keeps the one it was judged under. */
export interface LimitsState {
  id: Id
  versions: LimitSet[]
  /** Who signed each version and when, in the same order. */
  signed: { by: Id; at: Instant }[]
}

/** What each type of subject folds to. */
export interface States {
  kitchen: KitchenState
  limits: LimitsState
  method: MethodState
  batch: BatchState
  instrument: InstrumentState
  lot: LotState
  item: ItemState
  vessel: VesselState
  unit: UnitState
  matter: MatterState
}

/** The state of a subject, null where nothing was entered about it. */
export type Read = <T extends SubjectType>(type: T, id: Id) => States[T] | null
