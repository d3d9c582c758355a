import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Entry } from '../ledger/entry'
import type { Method } from '../recipe/method/method'
import { NOTHING_SIGNED, type Signed } from '../recipe/checks/signed'

/** Every version of a method, oldest first, and which of them the lead approved. */
export interface MethodState {
  id: Id
  versions: Method[]
  saved: { by: Id; at: Instant }[]
  approved: { version: number; by: Id; at: Instant }[]
  /** What the lead signed for it beside its versions, the last of each. */
  signed: Signed
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
    const { versions, saved, approved, signed } = state ?? NEW
    return { id, versions: [...versions, claim.body.method], saved: [...saved, { by, at }], approved, signed }
  }
  if (!state) return null
  switch (claim.kind) {
    case 'method-approved':
      return { ...state, approved: [...state.approved, { version: claim.body.version, by, at }] }
    case 'guidance-replaced': {
      const { limit, line } = claim.body
      const others = state.signed.lines.filter((each) => each.limit !== limit)
      const lines = line ? [...others, { limit, ...line }] : others
      return { ...state, signed: { ...state.signed, lines } }
    }
    case 'bake-validated': {
      const { step, bake } = claim.body
      return { ...state, signed: { ...state.signed, bake: bake && { step, ...bake } } }
    }
    default:
      return state
  }
}

const NEW = { versions: [], saved: [], approved: [], signed: NOTHING_SIGNED }
