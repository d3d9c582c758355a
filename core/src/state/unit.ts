import type { Instant } from '../calendar/instant'
import type { ColdUnit, Entry, Id } from '../ledger/entry'
import { celsiusOf } from '../quantity/temperature'

/** A cold unit, and what its air was last. */
export interface UnitState extends ColdUnit {
  id: Id
  air: { at: Instant; celsius: number } | null
}

export function applyToUnit(id: Id, state: UnitState | null, { claim }: Entry): UnitState | null {
  if (claim.kind === 'unit-registered') return { id, air: state?.air ?? null, ...claim.body }
  if (claim.kind !== 'placed' || !state || claim.body.air === null) return state
  if (state.air && state.air.at > claim.at) return state
  return { ...state, air: { at: claim.at, celsius: celsiusOf(claim.body.air) } }
}
