import type { Entry, Id, SubjectType } from '../ledger/entry'
import type { LimitSet } from '../limits/limit'
import type { Method } from '../method/method'
import { applyToBatch, type BatchState } from './batch'
import { applyToInstrument, type InstrumentState } from './instrument'
import { applyToKitchen, type KitchenState } from './kitchen'

/** What each type of subject folds to. */
export interface States {
  kitchen: KitchenState
  limits: LimitSet
  method: Method
  batch: BatchState
  instrument: InstrumentState
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
  limits: (_id, state, { claim }) => (claim.kind === 'limits-set' ? claim.body.set : state),
  method: (_id, state, { claim }) => (claim.kind === 'method-saved' ? claim.body.method : state),
  batch: applyToBatch,
  instrument: applyToInstrument,
}
