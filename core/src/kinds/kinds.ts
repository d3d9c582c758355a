import { alreadyIn } from './alreadyIn'
import { entriesAccepted } from './entriesAccepted'
import type { AnyClaim, Claim, Kind, Subject } from '../ledger/entry'
import type { Read } from '../state/state'
import type { World } from '../verdict/judge'
import { acidityMeasured } from './acidityMeasured'
import { added } from './added'
import { bakeValidated } from './bakeValidated'
import { batchStarted } from './batchStarted'
import { cleaned } from './cleaned'
import { corrected } from './corrected'
import { covered } from './covered'
import { delegated } from './delegated'
import { guidanceReplaced } from './guidanceReplaced'
import { handedOver } from './handedOver'
import { disposed } from './disposed'
import { eggsTaken } from './eggsTaken'
import { instrumentRegistered } from './instrumentRegistered'
import { itemDiscarded } from './itemDiscarded'
import type { KindOf } from './kindOf'
import { leftOver } from './leftOver'
import { limitsSet } from './limitsSet'
import { lotReceived } from './lotReceived'
import { churned } from './churned'
import { methodApproved } from './methodApproved'
import { methodSaved } from './methodSaved'
import { noted } from './noted'
import { readingAccepted } from './readingAccepted'
import { readingTaken } from './readingTaken'
import { placed } from './placed'
import { poured } from './poured'
import { served } from './served'
import { rewarmed } from './rewarmed'
import { stirred } from './stirred'
import { stepDeviated } from './stepDeviated'
import { stepMarked } from './stepMarked'
import { coolingPlanned } from './coolingPlanned'
import { unitRegistered } from './unitRegistered'
import { airTakenBack } from './airTakenBack'
import { itemFound } from './itemFound'
import { itemHeld } from './itemHeld'
import { itemMoved } from './itemMoved'
import { itemOpened } from './itemOpened'
import { itemRead } from './itemRead'
import { itemReleased } from './itemReleased'
import { itemSplit } from './itemSplit'
import { itemUsed } from './itemUsed'
import { labelPrinted } from './labelPrinted'
import { lotDecided } from './lotDecided'
import { partUsed } from './partUsed'
import { portioned } from './portioned'
import { recallEnded } from './recallEnded'
import { recalled } from './recalled'
import { takenBack } from './takenBack'
import { unitRead } from './unitRead'
import { unitSkipped } from './unitSkipped'
import { vesselRegistered } from './vesselRegistered'
import { washed } from './washed'
import { wentOutAnswered } from './wentOutAnswered'

/** Every kind of entry there is. */
export const kinds: { [K in Kind]: KindOf<K> } = {
  'limits-set': limitsSet,
  'method-saved': methodSaved,
  'method-approved': methodApproved,
  'guidance-replaced': guidanceReplaced,
  'bake-validated': bakeValidated,
  'instrument-registered': instrumentRegistered,
  'batch-started': batchStarted,
  'step-marked': stepMarked,
  'step-deviated': stepDeviated,
  churned,
  'reading-taken': readingTaken,
  'reading-accepted': readingAccepted,
  'entries-accepted': entriesAccepted,
  'already-in': alreadyIn,
  corrected,
  noted,
  disposed,
  'lot-received': lotReceived,
  'eggs-taken': eggsTaken,
  'left-over': leftOver,
  'item-discarded': itemDiscarded,
  added,
  cleaned,
  covered,
  'handed-over': handedOver,
  delegated,
  placed,
  stirred,
  poured,
  rewarmed,
  'cooling-planned': coolingPlanned,
  'vessel-registered': vesselRegistered,
  'unit-registered': unitRegistered,
  'air-taken-back': airTakenBack,
  'item-found': itemFound,
  'item-held': itemHeld,
  'item-moved': itemMoved,
  'item-opened': itemOpened,
  'item-read': itemRead,
  'item-released': itemReleased,
  'item-split': itemSplit,
  'item-used': itemUsed,
  'label-printed': labelPrinted,
  'lot-decided': lotDecided,
  'part-used': partUsed,
  portioned,
  'recall-ended': recallEnded,
  recalled,
  'taken-back': takenBack,
  'unit-read': unitRead,
  'unit-skipped': unitSkipped,
  'acidity-measured': acidityMeasured,
  served,
  washed,
  'went-out-answered': wentOutAnswered,
}

/** The kind of a claim, with the types tied together. */
export function kindOf<K extends Kind>(claim: Claim<K>): KindOf<K> {
  return kinds[claim.kind]
}

/** A claim as it would be made today: the body of an older version brought up, all else as it was sealed. */
export function raised(claim: AnyClaim): AnyClaim {
  const kind = kindOf<Kind>(claim)
  if (claim.v === kind.v || !kind.raise) return claim
  const body = kind.raise(claim.body as unknown as Record<string, unknown>, claim.v)
  return { ...claim, v: kind.v, body } as unknown as AnyClaim
}

/** The subjects whose state a claim changes. */
export function touches(claim: AnyClaim): Subject[] {
  return kindOf<Kind>(claim).touches(claim)
}

/** What else has to be read to admit a claim, once what it names is. */
export function follows(claim: AnyClaim, read: Read, world: World): Subject[] {
  return kindOf<Kind>(claim).follows?.(claim, read, world) ?? []
}

/** Every subject that a claim itself names as needed to admit it. */
export function needs(claim: AnyClaim): Subject[] {
  return [...touches(claim), ...kindOf<Kind>(claim).reads(claim)]
}
