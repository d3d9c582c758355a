import { alreadyIn } from './making/alreadyIn'
import { entriesAccepted } from './reading/entriesAccepted'
import type { Subject } from '../ledger/subject'
import type { AnyClaim, Claim, Kind } from '../ledger/entry'
import type { Read } from '../state/state'
import type { World } from '../judgement/world'
import { acidityMeasured } from './reading/acidityMeasured'
import { added } from './making/added'
import { bakeValidated } from './house/bakeValidated'
import { batchStarted } from './making/batchStarted'
import { cleaned } from './making/cleaned'
import { corrected } from './reading/corrected'
import { covered } from './cooling/covered'
import { delegated } from './house/delegated'
import { guidanceReplaced } from './house/guidanceReplaced'
import { handedOver } from './house/handedOver'
import { disposed } from './making/disposed'
import { eggsTaken } from './making/eggsTaken'
import { instrumentRegistered } from './equipment/instrumentRegistered'
import { itemDiscarded } from './item/itemDiscarded'
import type { KindOf } from './guard/kindOf'
import { leftOver } from './making/leftOver'
import { limitsSet } from './house/limitsSet'
import { lotReceived } from './lot/lotReceived'
import { churned } from './making/churned'
import { methodApproved } from './house/methodApproved'
import { methodSaved } from './house/methodSaved'
import { noted } from './making/noted'
import { readingAccepted } from './reading/readingAccepted'
import { readingTaken } from './reading/readingTaken'
import { placed } from './cooling/placed'
import { poured } from './cooling/poured'
import { served } from './making/served'
import { rewarmed } from './cooling/rewarmed'
import { stirred } from './cooling/stirred'
import { stepDeviated } from './making/stepDeviated'
import { stepMarked } from './making/stepMarked'
import { coolingPlanned } from './cooling/coolingPlanned'
import { unitRegistered } from './equipment/unitRegistered'
import { airTakenBack } from './equipment/airTakenBack'
import { itemFound } from './item/itemFound'
import { itemHeld } from './item/itemHeld'
import { itemMoved } from './item/itemMoved'
import { itemOpened } from './item/itemOpened'
import { itemRead } from './item/itemRead'
import { itemReleased } from './item/itemReleased'
import { itemSplit } from './item/itemSplit'
import { itemUsed } from './item/itemUsed'
import { labelPrinted } from './item/labelPrinted'
import { lotDecided } from './lot/lotDecided'
import { partUsed } from './making/partUsed'
import { portioned } from './making/portioned'
import { recallEnded } from './lot/recallEnded'
import { recalled } from './lot/recalled'
import { takenBack } from './item/takenBack'
import { unitRead } from './equipment/unitRead'
import { unitSkipped } from './equipment/unitSkipped'
import { vesselRegistered } from './equipment/vesselRegistered'
import { washed } from './making/washed'
import { wentOutAnswered } from './item/wentOutAnswered'

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
