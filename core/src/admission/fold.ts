import type { AnyClaim, Entry, Kind } from '../ledger/entry'
import type { Known } from '../ledger/late'
import type { Id, Subject, SubjectType } from '../ledger/subject'
import { withFact, type BatchFact, type BatchState } from '../state/batch'
import { factOf } from '../state/fact'
import type { ItemState } from '../state/item'
import { NEW_KITCHEN } from '../state/kitchen'
import type { NewItem } from '../state/newItem'
import type { States } from '../state/state'
import { factsWithLacking } from '../judgement/lineage/lacking'
import type { Lacking } from '../ledger/tool'
import type { Begun, KindOf } from './guard/kindOf'
import { kindOf, kinds } from './kinds'

/**
 * The fold: the state of a subject after one more entry that changes it; null while nothing began it. Entries are folded
 * in chain order, then those still on the tablet; the order matters only between amendments of one entry. What an entry
 * does is its kind's to say; a fact of its kind is added here.
 */
export const apply: { [T in SubjectType]: (id: Id, state: States[T] | null, entry: Entry) => States[T] | null } = {
  kitchen: (id, state, entry) => foldOne('kitchen', id, state ?? NEW_KITCHEN, entry),
  limits: (id, state, entry) => foldOne('limits', id, state, entry),
  method: (id, state, entry) => foldOne('method', id, state, entry),
  batch: (id, state, entry) => foldOne('batch', id, state, entry),
  instrument: (id, state, entry) => foldOne('instrument', id, state, entry),
  lot: (id, state, entry) => foldOne('lot', id, state, entry),
  item: (id, state, entry) => foldOne('item', id, state, entry),
  vessel: (id, state, entry) => foldOne('vessel', id, state, entry),
  unit: (id, state, entry) => foldOne('unit', id, state, entry),
  matter: (id, state, entry) => foldOne('matter', id, state, entry),
}

function foldOne<T extends SubjectType>(type: T, id: Id, state: States[T] | null, entry: Entry): States[T] | null {
  const kind: KindOf<Kind> = kindOf<Kind>(entry.claim)
  const known: Known = { ...entry, lateAfter: lateAfterOf(kind, entry.claim) }
  const { contested, contests, reached: all = [] } = entry.seal?.resolved ?? {}
  const isIn = (subjects: readonly Subject[]) => subjects.some((each) => each.type === type && each.id === id)
  if (contested) return state && (isIn(contested.about) ? withContested(type, state, known, contested.code) : state)
  if (state === null) {
    const begun = kind.begins?.[type]?.(known, id) ?? null
    return begun && complete(type, id, begun, entry.claim)
  }
  const reached = all.find((each) => each.type === type && each.id === id)
  const isDisputed = contests !== undefined && isIn(contests.about)
  // It may be told of this very one, and reach it or contradict what was told of it too.
  const isOwn = (!reached && !isDisputed) || isIn(kind.writes(entry.claim))
  const own = isOwn ? withOwn(type, id, state, kind, known) : state
  const disputed = isDisputed ? withContested(type, own, known, null) : own
  return reached ? withLacking(type, disputed, reached.lacks, known) : disputed
}

/** What is told at second hand betters nothing by itself, however soon. */
function lateAfterOf(kind: KindOf<Kind>, claim: AnyClaim): number {
  return kind.secondHand?.(claim) ? -Infinity : (kind.lateAfter ?? Infinity)
}

/** A batch or an item in dispute asks the lead. */
function withContested<T extends SubjectType>(type: T, state: States[T], known: Known, code: string | null): States[T] {
  if (type !== 'batch' && type !== 'item') return state
  const of = state as States['batch'] | States['item']
  const fact = factOf(known, known.claim.at, { claim: known.claim, code })
  return { ...of, contested: [...of.contested, fact] } as States[T]
}

function withOwn<T extends SubjectType>(
  type: T,
  id: Id,
  state: States[T],
  kind: KindOf<Kind>,
  known: Known,
): States[T] {
  const changed = kind.folds?.[type]?.(state, known, id) ?? state
  return type === 'batch' && kind.fact ? (withOwnFact(changed as BatchState, kind, known) as States[T]) : changed
}

/** What was put away before an entry was told of: a batch asks the lead, an item says it from now on. */
function withLacking<T extends SubjectType>(type: T, state: States[T], lacks: Lacking, known: Known): States[T]
function withLacking(type: SubjectType, state: States[SubjectType], lacks: Lacking, known: Known): States[SubjectType] {
  if (type === 'batch') {
    const batch = state as BatchState
    return { ...batch, reached: [...batch.reached, factOf(known, known.claim.at, lacks)] }
  }
  const item = state as ItemState
  const fact = factOf(known, known.claim.at, { ...lacks, labels: item.labels })
  return { ...item, facts: factsWithLacking(item.facts, lacks), reached: [...item.reached, fact] }
}

/** What the fold adds to a subject that has just begun: no facts yet; by which entry it came to be. */
function complete<T extends SubjectType>(type: T, id: Id, begun: Begun[T], claim: AnyClaim): States[T]
function complete(type: SubjectType, id: Id, begun: Begun[SubjectType], claim: AnyClaim): States[SubjectType] {
  if (type === 'batch') return { ...(begun as Begun['batch']), facts: noFacts() }
  if (type === 'item') {
    const item: ItemState = { ...(begun as NewItem), id, born: claim.id, bornAs: claim.kind, undone: false }
    return item
  }
  return begun as States[SubjectType]
}

/** A fact of a kind that is not told of this batch at all, as a reading that was moved here, is its own fold's to add. */
function withOwnFact(batch: BatchState, { kind, fact }: KindOf<Kind>, known: Known): BatchState {
  const { claim, seal } = known
  const value = (fact as (claim: AnyClaim, seal: Entry['seal']) => never)(claim, seal)
  return withFact(batch, kind as BatchFact, factOf(known, claim.at, value))
}

/** The facts of a batch about which nothing was entered since it began: no fact of any kind that leaves one. */
export function noFacts(): BatchState['facts'] {
  const told = Object.values(kinds).filter(({ fact }) => fact !== undefined)
  return Object.fromEntries(told.map(({ kind }) => [kind, []])) as unknown as BatchState['facts']
}

/** A batch about which nothing was entered since it began. */
export const NOTHING_YET = {
  facts: noFacts(),
  recalls: [],
  failedProbes: [],
  reached: [],
  contested: [],
  served: null,
  disposition: null,
  reworks: [],
} satisfies Partial<BatchState>
