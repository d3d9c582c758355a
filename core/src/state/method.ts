import type { Instant } from '../calendar/instant'
import type { Entry, Id } from '../ledger/entry'
import type { Method } from '../method/method'

/** Every version of a method, oldest first, and which of them the lead approved. */
export interface MethodState {
  id: Id
  versions: Method[]
  saved: { by: Id; at: Instant }[]
  approved: { version: number; by: Id; at: Instant }[]
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

export function applyToMethod(id: Id, state: MethodState | null, { claim }: Entry): MethodState | null {
  const { by, at } = claim
  if (claim.kind === 'method-saved') {
    const { versions, saved, approved } = state ?? { versions: [], saved: [], approved: [] }
    return { id, versions: [...versions, claim.body.method], saved: [...saved, { by, at }], approved }
  }
  if (claim.kind === 'method-approved' && state) {
    return { ...state, approved: [...state.approved, { version: claim.body.version, by, at }] }
  }
  return state
}
