/**
 * State: what was entered, folded into one value a subject, with every amendment kept.
 *
 * `fact` one entry as it stands now · `batch`, `item`, `lot`, `unit`, `method`, `kitchen`, `vessel`, `instrument` the subjects ·
 * `state` the fold of any subject, and `Read`, by which the floors above look at them.
 * Facts only: nothing here depends on the time or says what is proven.
 *
 * Imports: ground to ledger.
 */
export { gramsTaken } from './gramsTaken'
export { unanswered } from './batch'
export { contestedAbout, dispatchesOf, isLabelOutdated, isToAnswer, lackedOf, wentOutOf } from './item'
export { lastAir, type AirReading, type Look, type UnitState } from './unit'
export type { VesselState } from './vessel'
export type { MatterState } from './matter'
export { isWaiting, type Acceptance, type Amendment, type Fact } from './fact'
export { allFacts, contestedOf, eachKind, isClosed, isHeld, isPutAway, type BatchFacts, type BatchState } from './batch'
export { batchFacts } from './batchChanges'
export {
  canProve,
  CHECKED_EVERY,
  instrumentStanding,
  measures,
  offAt,
  passBefore,
  readByOf,
  TOLERANCE,
  type InstrumentCheck,
  type InstrumentStanding,
  type InstrumentState,
} from './instrument'
export { mayBeReference, REFERENCE_WITHIN } from './comparison'
export { CHECK_READINGS, checkFound, checkReference, spread, STEADY } from './instrumentCheck'
export { backingDoubt, failureOf, type BackingDoubt, type FailedProbe } from './backing'
export { administers, ADMINISTERS_BESIDE, signsIn, type Member } from './members'
export { celsiusRead } from './reading'
export {
  eggOf,
  frozenOf,
  holdOf,
  isGone,
  itemLeft,
  openedAt,
  placeOf,
  releasedAt,
  tapsOf,
  type ItemState,
} from './item'
export { inheritedOf } from './newItem'
export { isMoreThanLeft, packagesOf } from './eggPackage'
export { isEggLot, mayGoIn, waitsFor, type LotState } from './lot'
export type { KeptSample } from './samples'
export type { TraceTry } from './traceTries'
export { askedOn, type DoneList, type ListVersion } from './dailyLists'
export type { KitchenState } from './kitchen'
export type { ToolState, ToolUse } from './tool'
export { decidesForLead, DEPUTIES, isInside, openingsOf, whoSigns, type Signing, type Turns } from './signing'
export { approvedOf, latestOf, type MethodState, type SignedPlan } from './method'
export type { LimitsState, Read, States } from './state'
