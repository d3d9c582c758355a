import type { Id } from '../ledger/subject'
import type { Claim } from '../ledger/entry'
import type { Known } from '../ledger/late'
import { acceptedIn, factOf, type Fact } from './fact'
import { isInShell, openedAt, type Hold, type ItemState } from './item'

/** Taken from while it was closed, a package is opened by that; eggs in their shells are not. */
export function openedBy(state: ItemState, entry: Known): ItemState {
  const closed = state.what === 'package' && openedAt(state) === null && !isInShell(state)
  return closed ? { ...state, opened: [...state.opened, factOf(entry, entry.claim.at, {})] } : state
}

/** Held, or let go on. */
export function withHold(state: ItemState, entry: Known, value: Hold): ItemState {
  return { ...state, holds: [...state.holds, factOf(entry, entry.claim.at, value)] }
}

/** The lead let these of its facts count although they came late. */
export function acceptedInItem(
  state: ItemState,
  targets: readonly Id[],
  { claim }: Known & { claim: Claim<'entries-accepted'> },
): ItemState {
  const { id, by, at, body } = claim
  const acceptance = { entry: id, by, at, reason: body.reason }
  const letCount = <T>(facts: Fact<T>[]) =>
    facts.map((fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact))
  return { ...state, moves: letCount(state.moves), opened: letCount(state.opened), readings: letCount(state.readings) }
}

/** A mistaken tap, or eggs that go back into their package. */
export function struckInItem(state: ItemState, target: Id): ItemState {
  const strike = <T>(facts: Fact<T>[]) => facts.map((fact) => (fact.entry === target ? { ...fact, void: true } : fact))
  return {
    ...state,
    undone: state.undone || target === state.born,
    moves: strike(state.moves),
    opened: strike(state.opened),
    splits: strike(state.splits),
    parts: strike(state.parts),
    uses: strike(state.uses),
    readings: strike(state.readings),
    holds: strike(state.holds),
    discarded: state.discarded?.entry === target ? { ...state.discarded, void: true } : state.discarded,
  }
}
