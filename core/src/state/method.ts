import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Method } from '../recipe/method/method'
import type { Signed } from '../recipe/checks/signed'
import type { PlanBasis } from '../recipe/plan/planBasis'

/** Every version of a method, oldest first, and which of them the lead approved. */
export interface MethodState {
  id: Id
  versions: Method[]
  saved: { by: Id; at: Instant }[]
  approved: { version: number; by: Id; at: Instant }[]
  /** What the lead signed for it beside its versions, the last of each. */
  signed: Signed
  /** Its written plan as the lead signed it last; null: never. */
  plan: SignedPlan | null
}

/** A signature under a written plan: what it was made from, and the lead's note. */
export interface SignedPlan {
  /** Of the plan, not of the method. */
  version: number
  basis: PlanBasis
  note: string
  by: Id
  at: Instant
  /** Its entry; null until it is sealed. */
  seq: number | null
}

/** The version that batches are made by: the latest approved; null while none is. */
export function approvedOf(state: MethodState | null): Method | null {
  const version = state?.approved.at(-1)?.version
  return state?.versions.find((method) => method.version === version) ?? null
}

/** The latest version, approved or not. */
export function latestOf({ versions }: MethodState): Method {
  return versions.at(-1)!
}
