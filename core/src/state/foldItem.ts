import type { Id } from '../ledger/subject'
import type { Entry } from '../ledger/entry'
import type { EggsOut } from '../ledger/storeEntries'
import { outOfPackage } from './gramsTaken'
import { acceptedIn, factOf, type Fact } from './fact'
import { newItem } from './newItem'
import { type ItemState, type Hold, openedAt, isInShell } from './item'

export function applyToItem(id: Id, state: ItemState | null, entry: Entry): ItemState | null {
  return state ? changed(state, entry) : newItem(id, entry)
}

function changed(state: ItemState, entry: Entry): ItemState {
  const { claim } = entry
  switch (claim.kind) {
    case 'item-moved':
      return { ...state, moves: [...state.moves, factOf(entry, claim.at, claim.body)] }
    case 'item-opened':
      return { ...state, opened: [...state.opened, factOf(entry, claim.at, claim.body)] }
    case 'item-split':
      return { ...state, splits: [...state.splits, factOf(entry, claim.at, claim.body)] }
    case 'part-used':
      return begun({ ...state, parts: [...state.parts, factOf(entry, claim.at, claim.body)] }, entry)
    case 'item-used':
      return begun({ ...state, uses: [...state.uses, factOf(entry, claim.at, claim.body)] }, entry)
    case 'eggs-taken': {
      const measure = outOfPackage(claim.body, state.measure.unit)
      const happened = claim.body.happened ? { happened: claim.body.happened } : {}
      const out = measure && factOf<EggsOut>(entry, claim.at, { measure, then: 'into a batch', ...happened })
      return out ? begun({ ...state, uses: [...state.uses, out] }, entry) : state
    }
    case 'item-read':
      return { ...state, readings: [...state.readings, factOf(entry, claim.at, claim.body)] }
    case 'item-held':
      return held(state, entry, { held: true, reason: claim.body.reason, recall: null })
    case 'item-released':
      return held(state, entry, {
        held: false,
        reason: claim.body.reason,
        recall: null,
        ...(entry.seal?.resolved?.answers ? { answers: entry.seal.resolved.answers } : {}),
      })
    case 'went-out-answered':
      return { ...state, answers: [...state.answers, factOf(entry, claim.at, claim.body)] }
    case 'lot-decided':
      return held(state, entry, { held: claim.body.verdict === 'refuse', reason: claim.body.reason, recall: null })
    case 'recalled':
      // A drill marks nothing real.
      if (claim.body.drill) return state
      return held(state, entry, { held: true, reason: claim.body.reason, recall: claim.about.id })
    case 'recall-ended':
      return held(state, entry, { held: false, reason: claim.body.reason, recall: claim.about.id })
    case 'item-discarded':
      return { ...state, discarded: factOf(entry, claim.at, claim.body) }
    case 'label-printed':
      return { ...state, labels: state.labels + claim.body.copies }
    case 'entries-accepted':
      return accepted(
        state,
        claim.body.entries.filter(({ id: of }) => of === state.id).map((each) => each.entry),
        entry,
        claim.body.reason,
      )
    case 'corrected':
    case 'taken-back':
      return takenBack(state, claim.body.target)
    default:
      return state
  }
}

/** Taken from while it was closed, a package is opened by that; eggs in their shells are not. */
function begun(state: ItemState, entry: Entry): ItemState {
  const closed = state.what === 'package' && openedAt(state) === null && !isInShell(state)
  return closed ? { ...state, opened: [...state.opened, factOf(entry, entry.claim.at, {})] } : state
}

function accepted(state: ItemState, targets: readonly Id[], { claim }: Entry, reason: string): ItemState {
  const acceptance = { entry: claim.id, by: claim.by, at: claim.at, reason }
  const letCount = <T>(facts: Fact<T>[]) =>
    facts.map((fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact))
  return { ...state, moves: letCount(state.moves), opened: letCount(state.opened), readings: letCount(state.readings) }
}

function held(state: ItemState, entry: Entry, value: Hold): ItemState {
  return { ...state, holds: [...state.holds, factOf(entry, entry.claim.at, value)] }
}

function takenBack(state: ItemState, target: Id): ItemState {
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
