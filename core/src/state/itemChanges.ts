import type { Id } from '../ledger/subject'
import type { Known } from '../ledger/late'
import { acceptanceOf, acceptedIn, factOf, refusedIn, type Accepting } from './fact'
import { eachFact, isInShell, openedAt, type ItemFact, type ItemState } from './item'

/** Taken from while it was closed, a package is opened by that; eggs in their shells are not. */
export function openedBy(state: ItemState, entry: Known): ItemState {
  const closed = state.what === 'package' && openedAt(state) === null && !isInShell(state)
  return closed ? withItemFact(state, 'opened', entry, {}) : state
}

/** The same with one more fact in a list, told by an entry. */
export function withItemFact<L extends keyof ItemFact>(
  state: ItemState,
  list: L,
  entry: Known,
  value: ItemFact[L],
): ItemState {
  return { ...state, [list]: [...state[list], factOf(entry, entry.claim.at, value)] }
}

/** The lead let these of its facts count although they came late. */
export function acceptedInItem(state: ItemState, targets: readonly Id[], entry: Accepting): ItemState {
  const acceptance = acceptanceOf(entry)
  return eachFact(state, (fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact))
}

/** The lead did not let these count. */
export function refusedInItem(state: ItemState, targets: readonly Id[], entry: Accepting): ItemState {
  const refusal = acceptanceOf(entry)
  return eachFact(state, (fact) => targets.reduce((one, target) => refusedIn(one, target, refusal), fact))
}

/** A mistaken tap, or eggs that go back into their package. */
export function struckInItem(state: ItemState, target: Id): ItemState {
  const struck = eachFact(state, (fact) => (fact.entry === target ? { ...fact, void: true } : fact))
  return { ...struck, undone: state.undone || target === state.born }
}
