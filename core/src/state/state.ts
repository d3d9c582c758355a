import type { Instant } from '../ground/instant'
import type { Id, SubjectType } from '../ledger/subject'
import type { Claim, Entry } from '../ledger/entry'
import type { LimitSet } from '../rules/limit'
import { applyToMethod, type MethodState } from './method'
import { applyToBatch, type BatchState } from './batch'
import { applyToItem } from './foldItem'
import type { ItemState } from './item'
import { applyToLot, type LotState } from './lot'
import { applyToInstrument, type InstrumentState } from './instrument'
import { applyToUnit, type UnitState } from './unit'
import { applyToVessel, type VesselState } from './vessel'
import { applyToKitchen, type KitchenState } from './kitchen'

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
}

/** The state of a subject, null where nothing was entered about it. */
export type Read = <T extends SubjectType>(type: T, id: Id) => States[T] | null

type Apply<T extends SubjectType> = (id: Id, state: States[T] | null, entry: Entry) => States[T] | null

/**
 * The fold: the state of a subject after one more entry that touches it. Entries are folded in chain order, then those
 * still on the tablet; the order matters only between amendments of one entry.
 */
export const apply: { [T in SubjectType]: Apply<T> } = {
  kitchen: (_id, state, entry) => applyToKitchen(state, entry),
  limits: (id, state, { claim }) => (claim.kind === 'limits-set' ? limitsAfter(id, state, claim) : state),
  method: applyToMethod,
  batch: applyToBatch,
  instrument: applyToInstrument,
  lot: applyToLot,
  item: applyToItem,
  vessel: applyToVessel,
  unit: applyToUnit,
}

function limitsAfter(id: Id, state: LimitsState | null, { by, at, body }: Claim<'limits-set'>): LimitsState {
  const { versions, signed } = state ?? { versions: [], signed: [] }
  return { id, versions: [...versions, body.set], signed: [...signed, { by, at }] }
}
