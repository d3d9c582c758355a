import type { Claim, Entry } from '../ledger/entry'
import { CORRECTED_WITHIN, enteredAt, MARK_UNDONE_WITHIN, SAME_TIME, type Known } from '../ledger/late'
import type { Id } from '../ledger/subject'
import { eachKind, withFact, type BatchFact, type BatchState } from './batch'
import { acceptanceOf, acceptedIn, amended, factOf, refusedIn, type Accepting, type Amended, type Fact } from './fact'

/**
 * What a correction may do to the facts of a kind: put other values in their place, take them back, or nothing; and until
 * how long after the entry it counts by itself when its author makes it, ms.
 */
export interface Correction {
  by: 'other values' | 'void'
  within: number
}

/** A part is taken back where it was taken; what is put away or left over, by its item; what the lead said stands. */
const NEVER: readonly BatchFact[] = ['left-over', 'part-used', 'portioned', 'already-in']

/** What a correction may do to the facts of a kind; null: nothing. */
export function correctionOf(kind: BatchFact): Correction | null {
  if (NEVER.includes(kind)) return null
  if (kind === 'reading-taken') return { by: 'other values', within: CORRECTED_WITHIN }
  return { by: 'void', within: kind === 'step-marked' ? MARK_UNDONE_WITHIN : CORRECTED_WITHIN }
}

/** Every fact of a batch that may be corrected; none where there is no batch. */
export function correctable(batch: BatchState | null): Fact<unknown>[] {
  if (!batch) return []
  const kinds = Object.keys(batch.facts) as BatchFact[]
  return kinds.flatMap((kind): Fact<unknown>[] => (correctionOf(kind) ? batch.facts[kind] : []))
}

/** Every fact of a batch that may be accepted although it came late; none where there is no batch. */
export function batchFacts(batch: BatchState | null): Fact<unknown>[] {
  return batch ? [...correctable(batch), ...batch.facts['part-used']] : []
}

/** The lead let these of its facts count, or corrections of them that wait. */
export function acceptedInBatch(state: BatchState, targets: readonly Id[], entry: Accepting): BatchState {
  const acceptance = acceptanceOf(entry)
  const facts = eachKind(state, (list) =>
    list.map((fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact)),
  )
  return { ...state, facts }
}

/** The lead did not let these count. */
export function refusedInBatch(state: BatchState, targets: readonly Id[], entry: Accepting): BatchState {
  const refusal = acceptanceOf(entry)
  const facts = eachKind(state, (list) =>
    list.map((fact) => targets.reduce((one, target) => refusedIn(one, target, refusal), fact)),
  )
  return { ...state, facts }
}

/** One of its facts is taken back or stands otherwise, or a reading of another batch is this one's. */
export function correctedInBatch(state: BatchState, entry: Known & { claim: Claim<'corrected'> }, id: Id): BatchState {
  const { about, body } = entry.claim
  const { target, reason, now } = body
  const movedTo = now === 'void' ? null : now.batch
  if (now !== 'void' && movedTo === id && about.id !== id) {
    // Told to be of this pot long after it was read: as a reading that was entered late. Copied from paper it waits there too.
    const late = entry.seal?.rules !== undefined && enteredAt(entry) - now.at > CORRECTED_WITHIN
    const waits = late || now.reading.paper !== undefined
    return withFact(state, 'reading-taken', factOf(entry, now.at, now.reading, waits || undefined))
  }
  const facts = eachKind(state, <T>(list: Fact<T>[], kind: BatchFact) => {
    const may = correctionOf(kind)
    if (!may) return list
    const other = now !== 'void' && movedTo === null && may.by === 'other values'
    const stands: Amended<T> = other ? { at: now.at, value: now.reading as T } : 'void'
    return list.map((fact) =>
      fact.entry === target ? amended(fact, entry, reason, stands, counts(fact, entry, stands, may.within)) : fact,
    )
  })
  return { ...state, facts }
}

/** Whether a correction counts by itself: its author's, at once, and not of the time. Before there were rules, any did. */
function counts<T>(fact: Fact<T>, entry: Entry, now: Amended<T>, within: number): boolean {
  if (entry.seal && entry.seal.rules === undefined) return true
  // By both clocks: what came in together after an outage was not put right at once for that.
  const after = Math.max(enteredAt(entry) - Math.max(fact.knownAt, fact.madeAt), entry.claim.madeAt - fact.madeAt)
  if (entry.claim.by !== fact.by || after > within) return false
  return now === 'void' || Math.abs(now.at - fact.at) <= SAME_TIME
}

/** A mistaken tap that put a part in, or portions away. */
export function struckInBatch(state: BatchState, target: Id): BatchState {
  const strike = <T>(facts: Fact<T>[]) => facts.map((fact) => (fact.entry === target ? { ...fact, void: true } : fact))
  const { 'part-used': parts, portioned } = state.facts
  return { ...state, facts: { ...state.facts, 'part-used': strike(parts), portioned: strike(portioned) } }
}
