import type { Instant } from '../calendar/instant'
import type { Churning, Claim, Deviation, Disposition, Entry, Id, MethodRef, Note, ReadingBody } from '../ledger/entry'
import type { Check } from '../limits/checksFor'
import type { StepMark } from '../limits/rule'
import type { Vessel } from '../method/method'
import { amended, factOf, type Fact } from './fact'

/** One making of one method: everything that was entered about it, and nothing that depends on the time. */
export interface BatchState {
  id: Id
  code: string
  startedAt: Instant
  startedBy: Id
  method: MethodRef
  limits: { id: Id; version: number }
  checks: Check[]
  vessel: Vessel
  /** How many times over the method is made. */
  factor: number
  marks: Fact<StepMark>[]
  readings: Fact<ReadingBody>[]
  deviations: Fact<Deviation>[]
  churnings: Fact<Churning>[]
  notes: Fact<Note>[]
  /** What the lead decided last. */
  disposition: Fact<Disposition> | null
  /** Each sends it through the heat once more, and begins a new leg. */
  reworks: Fact<Disposition>[]
}

/** Thrown away: nothing more is entered about it. */
export function isClosed(batch: BatchState): boolean {
  return batch.disposition?.value.decision === 'discard' && !batch.disposition.void
}

/** The batch after one more entry; null while it was never started. */
export function applyToBatch(id: Id, state: BatchState | null, entry: Entry): BatchState | null {
  const { claim } = entry
  if (claim.kind === 'batch-started') return state ?? started(claim)
  if (!state) return null
  switch (claim.kind) {
    case 'reading-taken':
      return { ...state, readings: [...state.readings, factOf(entry, claim.at, claim.body)] }
    case 'step-marked':
      return { ...state, marks: [...state.marks, factOf(entry, claim.at, claim.body)] }
    case 'step-deviated':
      return { ...state, deviations: [...state.deviations, factOf(entry, claim.at, claim.body)] }
    case 'churned':
      return { ...state, churnings: [...state.churnings, factOf(entry, claim.at, claim.body)] }
    case 'noted':
      return { ...state, notes: [...state.notes, factOf(entry, claim.at, claim.body)] }
    case 'disposed': {
      const disposition = factOf(entry, claim.at, claim.body)
      const reworks = claim.body.decision === 'rework' ? [...state.reworks, disposition] : state.reworks
      return { ...state, disposition, reworks }
    }
    case 'reading-accepted': {
      const { target, reason } = claim.body
      const accepted = { entry: claim.id, by: claim.by, at: claim.at, reason }
      return {
        ...state,
        readings: state.readings.map((fact) => (fact.entry === target ? { ...fact, accepted } : fact)),
      }
    }
    case 'corrected':
      return corrected(id, state, entry, claim)
    default:
      return state
  }
}

function started({ about, at, by, body }: Claim<'batch-started'>): BatchState {
  const { code, method, limits, checks, vessel, factor } = body
  const none = { marks: [], readings: [], deviations: [], churnings: [], notes: [], disposition: null, reworks: [] }
  return { id: about.id, code, startedAt: at, startedBy: by, method, limits, checks, vessel, factor, ...none }
}

function corrected(id: Id, state: BatchState, entry: Entry, { about, body }: Claim<'corrected'>): BatchState {
  const { target, reason, now } = body
  const movedTo = now === 'void' ? null : now.batch
  if (now !== 'void' && movedTo === id && about.id !== id) {
    return { ...state, readings: [...state.readings, factOf(entry, now.at, now.reading)] }
  }
  const voided = now === 'void' || movedTo !== null
  const take = <T>(facts: Fact<T>[], value?: { at: Instant; value: T }): Fact<T>[] =>
    facts.map((fact) =>
      fact.entry === target ? amended(fact, entry, reason, voided ? 'void' : (value ?? 'void')) : fact,
    )
  return {
    ...state,
    readings: take(state.readings, now === 'void' ? undefined : { at: now.at, value: now.reading }),
    marks: take(state.marks),
    deviations: take(state.deviations),
    churnings: take(state.churnings),
    notes: take(state.notes),
  }
}
