import type { AnyClaim, Claim, Kind, Subject } from '../ledger/entry'
import { batchStarted } from './batchStarted'
import { corrected } from './corrected'
import { disposed } from './disposed'
import { instrumentRegistered } from './instrumentRegistered'
import type { KindOf } from './kindOf'
import { limitsSet } from './limitsSet'
import { churned } from './churned'
import { methodApproved } from './methodApproved'
import { methodSaved } from './methodSaved'
import { noted } from './noted'
import { readingAccepted } from './readingAccepted'
import { readingTaken } from './readingTaken'
import { stepDeviated } from './stepDeviated'
import { stepMarked } from './stepMarked'

/** Every kind of entry there is. */
export const kinds: { [K in Kind]: KindOf<K> } = {
  'limits-set': limitsSet,
  'method-saved': methodSaved,
  'method-approved': methodApproved,
  'instrument-registered': instrumentRegistered,
  'batch-started': batchStarted,
  'step-marked': stepMarked,
  'step-deviated': stepDeviated,
  churned,
  'reading-taken': readingTaken,
  'reading-accepted': readingAccepted,
  corrected,
  noted,
  disposed,
}

/** The kind of a claim, with the types tied together. */
export function kindOf<K extends Kind>(claim: Claim<K>): KindOf<K> {
  return kinds[claim.kind]
}

/** The subjects whose state a claim changes. */
export function touches(claim: AnyClaim): Subject[] {
  return kindOf<Kind>(claim).touches(claim)
}

/** Every subject whose state is needed to admit a claim. */
export function needs(claim: AnyClaim): Subject[] {
  return [...touches(claim), ...kindOf<Kind>(claim).reads(claim)]
}
