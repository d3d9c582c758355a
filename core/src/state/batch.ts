import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Contested } from '../ledger/contested'
import type { Lacking } from '../ledger/tool'
import type { Disposition, ReadingBody, Served } from '../ledger/entry'
import type { MethodRef } from '../recipe/method/methodRef'
import type { Check } from '../recipe/checks/checksFor'
import type { FilledVessel } from '../recipe/method/method'
import type { Terms } from '../recipe/checks/terms'
import type { FailedProbe } from './backing'
import { valid, type Fact } from './fact'

/** One making of one method: everything that was entered about it, and nothing that depends on the time. */
export interface BatchState {
  id: Id
  code: string
  startedAt: Instant
  startedBy: Id
  method: MethodRef
  limits: { id: Id; version: number }
  checks: Check[]
  vessel: FilledVessel
  /** How many times over the method is made. */
  factor: number
  terms: Terms
  /** What was entered about it, by kind, in the order of the entries. */
  facts: { [K in keyof BatchFacts]: Fact<BatchFacts[K]>[] }
  /** Called back with lots that are in it: held until the last of that ends. */
  recalls: Fact<{ reason: string; lot: Id }>[]
  /** Instruments that it was read with and that failed a check after. */
  failedProbes: Fact<FailedProbe>[]
  /** Told only after some of it was put away: what the labels of that lack. */
  reached: Fact<Lacking>[]
  /** Entries that contradict each other, each made without knowing of the other. */
  contested: Fact<Contested>[]
  /** Set once what is served at once was served. */
  served: Fact<Served> | null
  /** What the lead decided last. */
  disposition: Fact<Disposition> | null
  /** Each sends it through the heat once more; a new leg begins once its own row is proven. */
  reworks: Fact<Disposition>[]
}

/** What a kind of entry leaves on a batch as a fact. Each kind declares its own in its file, as its body. */
export interface BatchFacts {
  'reading-taken': ReadingBody
}

export type BatchFact = keyof BatchFacts

/** The facts of every kind, each list gone through. */
export function eachKind(
  { facts }: Pick<BatchState, 'facts'>,
  change: <T>(facts: Fact<T>[], kind: BatchFact) => Fact<T>[],
): BatchState['facts'] {
  const kinds = Object.keys(facts) as BatchFact[]
  return Object.fromEntries(
    kinds.map((kind) => [kind, change<unknown>(facts[kind], kind)]),
  ) as unknown as BatchState['facts']
}

/** Every fact of a batch, kind by kind. */
export function allFacts({ facts }: Pick<BatchState, 'facts'>): Fact<unknown>[] {
  return Object.values(facts).flat()
}

/** The same with one more fact of a kind. */
export function withFact<K extends BatchFact>(state: BatchState, kind: K, fact: Fact<BatchFacts[K]>): BatchState {
  return { ...state, facts: { ...state.facts, [kind]: [...state.facts[kind], fact] } }
}

/** Kept apart: by the lead, or by the recall of a lot that is in it. */
export function isHeld({ disposition, recalls }: Pick<BatchState, 'disposition' | 'recalls'>): boolean {
  return disposition?.value.decision === 'hold' || recalls.length > 0
}

/** Thrown away, or served at once: nothing more is entered about it. */
export function isClosed(batch: Pick<BatchState, 'disposition' | 'served' | 'contested'>): boolean {
  const { disposition, served } = batch
  if (disposition?.value.decision === 'discard' && !disposition.void) return true
  // Gone out against its standing, or in dispute, it is open until the lead has decided.
  return served !== null && !served.void && !wentOut(batch) && contestedOf(batch).length === 0
}

/** It was served although its standing forbade that, and the lead has not decided since. */
export function wentOut({ disposition, served }: Pick<BatchState, 'disposition' | 'served'>): boolean {
  return served?.value.happened === true && !served.void && !(disposition && disposition.knownAt > served.knownAt)
}

/** What contradicts what else was entered, and the lead has not decided since: to hold it decides nothing. */
export function contestedOf(batch: Pick<BatchState, 'disposition' | 'contested'>): BatchState['contested'] {
  if (batch.disposition?.value.decision === 'hold') return batch.contested
  return batch.contested.filter((fact) => !isDecidedSince(batch, fact))
}

/**
 * What went in or out of it although something stood against that, or came to be known only after some of it was put away
 * without it, or contradicts what else was entered, of which the lead has not decided since.
 */
export function unanswered(
  batch: Pick<BatchState, 'disposition' | 'served' | 'facts' | 'reached' | 'contested'>,
): Fact<unknown>[] {
  const { served, facts, reached } = batch
  const went: Fact<{ happened?: true }>[] = [
    ...facts['eggs-taken'],
    ...facts.added,
    ...facts['lots-used'],
    ...facts['part-used'],
    ...(served ? [served] : []),
  ]
  const against = went.filter(({ void: gone, value }) => !gone && value.happened)
  const all = [...against, ...missedByItems(batch), ...reached, ...incidentsOf(batch)]
  const open = [...all.filter((fact) => !isDecidedSince(batch, fact)), ...contestedOf(batch)]
  // One entry is asked about once, whatever it did.
  return [...new Map(open.map((fact) => [fact.entry, fact])).values()]
}

/** What happened to it that no reading tells, and the lead has not decided since. */
export function incidentsOf(batch: Pick<BatchState, 'disposition' | 'facts'>): Fact<BatchFacts['incident-told']>[] {
  return valid(batch.facts['incident-told']).filter((fact) => !isDecidedSince(batch, fact))
}

function isDecidedSince({ disposition }: Pick<BatchState, 'disposition'>, { knownAt }: Fact<unknown>): boolean {
  return disposition !== null && !disposition.void && knownAt < disposition.knownAt
}

/** An item holds the allergens that were known as it was put away: what is told of later and was in it by then is not among them. */
function missedByItems({ facts }: Pick<BatchState, 'facts'>): Fact<unknown>[] {
  const { added, portioned, 'lots-used': lots, 'part-used': parts } = facts
  const toldAfter = (fact: Fact<unknown>) => valid(portioned).filter((put) => fact.knownAt > put.knownAt)
  // Whatever its lot is, milk is milk: only another thing than the method names changes what an item holds.
  const others = valid(lots).filter(({ value }) => value.uses.some(({ instead, untreated }) => instead || untreated))
  return [
    ...[...valid(added), ...valid(parts)].filter((fact) => toldAfter(fact).some((put) => fact.at <= put.at)),
    ...others.filter((fact) => toldAfter(fact).length > 0),
  ]
}

/** All of it is put away: it goes on as items, and no longer stands on the Line. */
export function isPutAway({ facts }: Pick<BatchState, 'facts'>): boolean {
  return facts.portioned.some(({ void: gone, value }) => !gone && value.last)
}
