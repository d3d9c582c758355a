import type { Instant } from '../ground/instant'
import type { Cover } from '../physics/cooling/faces'
import type { Id } from '../ledger/subject'
import type {
  Addition,
  Bodies,
  Churning,
  CoolingPlan,
  Claim,
  Deviation,
  Disposition,
  EggsTaken,
  Entry,
  LeftOver,
  MethodRef,
  Note,
  Placement,
  Pouring,
  ReadingBody,
  Served,
} from '../ledger/entry'
import type { PartUsed, Portioned } from '../ledger/storeEntries'
import type { AcidityMeasure } from '../recipe/checks/acidity'
import { isFrozenFruit } from '../recipe/ingredient/produce'
import type { Check } from '../recipe/checks/checksFor'
import type { Vessel } from '../recipe/method/method'
import type { Terms } from '../recipe/checks/terms'
import { CORRECTED_WITHIN, knownAt, MARK_UNDONE_WITHIN, SAME_TIME } from '../ledger/late'
import { acceptedIn, amended, factOf, type Acceptance, type Amended, type Fact } from './fact'

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
  terms: Terms
  /** What was entered about it, by kind, in the order of the entries. */
  facts: { [K in keyof BatchFacts]: Fact<BatchFacts[K]>[] }
  /** Called back with lots that are in it: held until the last of that ends. */
  recalls: Fact<{ reason: string; lot: Id }>[]
  /** Set once what is served at once was served. */
  served: Fact<Served> | null
  /** What the lead decided last. */
  disposition: Fact<Disposition> | null
  /** Each sends it through the heat once more; a new leg begins once its own row is proven. */
  reworks: Fact<Disposition>[]
}

/** What a kind of entry leaves on a batch as a fact. */
export interface BatchFacts {
  'step-marked': Bodies['step-marked']
  'reading-taken': ReadingBody
  'step-deviated': Deviation
  churned: Churning
  noted: Note
  'eggs-taken': EggsTaken
  'left-over': LeftOver
  added: Addition
  cleaned: { step: string }
  washed: { step: string }
  covered: { cover: Cover }
  placed: Placement
  stirred: Record<string, never>
  poured: Pouring
  'cooling-planned': CoolingPlan
  rewarmed: Bodies['rewarmed']
  'acidity-measured': AcidityMeasure
  /** Items that went in, each as it was then. */
  'part-used': PartUsed
  /** What of it was put away as an item. */
  portioned: Portioned & { item: Id }
  /** What the lead said of raw egg or fruit: it was in from the first, only entered later. */
  'already-in': Bodies['already-in']
}

type BatchFact = keyof BatchFacts

/**
 * What a correction may do to the facts of a kind: put other values in their place, take them back, or nothing; and until
 * how long after the entry it counts by itself when its author makes it, ms.
 */
type Correctable = { by: 'other values' | 'void'; within: number } | null

const VOID = { by: 'void', within: CORRECTED_WITHIN } as const

/** Every kind of fact a batch has. A part is taken back where it was taken; what is put away or left over, by its item. */
const FACTS: { [K in BatchFact]: Correctable } = {
  'step-marked': { by: 'void', within: MARK_UNDONE_WITHIN },
  'reading-taken': { by: 'other values', within: CORRECTED_WITHIN },
  'step-deviated': VOID,
  churned: VOID,
  noted: VOID,
  'eggs-taken': VOID,
  'left-over': null,
  added: VOID,
  cleaned: VOID,
  washed: VOID,
  covered: VOID,
  placed: VOID,
  stirred: VOID,
  poured: VOID,
  'cooling-planned': VOID,
  rewarmed: VOID,
  'acidity-measured': VOID,
  'part-used': null,
  portioned: null,
  'already-in': null,
}

const KINDS = Object.keys(FACTS) as BatchFact[]

/** A batch about which nothing was entered since it began. */
export const NOTHING_YET = {
  facts: noFacts(),
  recalls: [],
  served: null,
  disposition: null,
  reworks: [],
} satisfies Partial<BatchState>

function noFacts(): BatchState['facts'] {
  return Object.fromEntries(KINDS.map((kind) => [kind, []])) as unknown as BatchState['facts']
}

/** The facts of every kind, each list gone through. A list that comes back the very same leaves its kind as it is. */
export function eachKind(
  { facts }: Pick<BatchState, 'facts'>,
  change: <T>(facts: Fact<T>[], kind: BatchFact) => Fact<T>[],
): BatchState['facts'] {
  return Object.fromEntries(
    KINDS.map((kind) => [kind, change<unknown>(facts[kind], kind)]),
  ) as unknown as BatchState['facts']
}

/** The same with one more fact of a kind. */
function withFact<K extends BatchFact>(state: BatchState, kind: K, fact: Fact<BatchFacts[K]>): BatchState {
  return { ...state, facts: { ...state.facts, [kind]: [...state.facts[kind], fact] } }
}

/** Thrown away, or served at once: nothing more is entered about it. */
export function isClosed({ disposition, served }: Pick<BatchState, 'disposition' | 'served'>): boolean {
  if (disposition?.value.decision === 'discard' && !disposition.void) return true
  // Gone out against its standing, it is open until the lead has decided.
  return served !== null && !served.void && !wentOut({ disposition, served })
}

/** It was served although its standing forbade that, and the lead has not decided since. */
export function wentOut({ disposition, served }: Pick<BatchState, 'disposition' | 'served'>): boolean {
  return served?.value.happened === true && !served.void && !(disposition && disposition.knownAt > served.knownAt)
}

/** What went in or out of it although something stood against that, of which the lead has not decided since. */
export function unanswered({ disposition, served, facts }: BatchState): Fact<unknown>[] {
  const went: Fact<{ happened?: true }>[] = [...facts['eggs-taken'], ...facts.added, ...facts['part-used']]
  const decided = disposition && !disposition.void ? disposition.knownAt : -Infinity
  return [...went, ...(served ? [served] : [])].filter(
    ({ void: gone, value, knownAt: known }) => !gone && value.happened && known >= decided,
  )
}

/** All of it is put away: it goes on as items, and no longer stands on the Line. */
export function isPutAway({ facts }: Pick<BatchState, 'facts'>): boolean {
  return facts.portioned.some(({ void: gone, value }) => !gone && value.last)
}

/** Every fact of a batch, kind by kind. */
export function allFacts({ facts }: Pick<BatchState, 'facts'>): Fact<unknown>[] {
  return KINDS.flatMap((kind): Fact<unknown>[] => facts[kind])
}

/** Every fact of a batch that may be corrected; none where there is no batch. */
export function correctable(batch: BatchState | null): Fact<unknown>[] {
  return batch ? KINDS.flatMap((kind): Fact<unknown>[] => (FACTS[kind] ? batch.facts[kind] : [])) : []
}

/** Every fact of a batch that may be accepted although it came late; none where there is no batch. */
export function batchFacts(batch: BatchState | null): Fact<unknown>[] {
  return batch ? [...correctable(batch), ...batch.facts['part-used']] : []
}

/** The batch after one more entry; null while it was never started. */
export function applyToBatch(id: Id, state: BatchState | null, entry: Entry): BatchState | null {
  const { claim } = entry
  if (claim.kind === 'batch-started') return state ?? started(claim)
  if (!state) return null
  switch (claim.kind) {
    case 'added':
      return withFact(state, 'added', factOf(entry, claim.at, asResolved(claim.body, entry)))
    case 'portioned':
      return withFact(state, 'portioned', factOf(entry, claim.at, { ...claim.body, item: claim.about.id }))
    case 'taken-back':
      return { ...state, facts: eachKind(state, (facts, kind) => struck(facts, kind, claim.body.target)) }
    case 'recalled':
      // A drill marks nothing real.
      if (claim.body.drill) return state
      return {
        ...state,
        recalls: [...state.recalls, factOf(entry, claim.at, { reason: claim.body.reason, lot: claim.about.id })],
      }
    case 'recall-ended':
      return { ...state, recalls: state.recalls.filter(({ value }) => value.lot !== claim.about.id) }
    case 'served':
      return { ...state, served: factOf(entry, claim.at, claim.body) }
    case 'disposed': {
      const disposition = factOf(entry, claim.at, claim.body)
      const reworks = claim.body.decision === 'rework' ? [...state.reworks, disposition] : state.reworks
      return { ...state, disposition, reworks }
    }
    case 'reading-accepted':
      return accepted(state, [claim.body.target], entry, claim.body.reason)
    case 'entries-accepted': {
      const own = claim.body.entries.filter(({ type, id: of }) => type === 'batch' && of === id)
      return accepted(
        state,
        own.map((each) => each.entry),
        entry,
        claim.body.reason,
      )
    }
    case 'corrected':
      return corrected(id, state, entry, claim)
    default:
      return isFact(claim.kind) ? withFact(state, claim.kind, factOf(entry, claim.at, claim.body as never)) : state
  }
}

function isFact(kind: string): kind is BatchFact {
  return kind in FACTS
}

/** Egg is of a pasteurized lot, and frozen fruit treated, where the server found that lot; a word typed in a box is raw. */
function asResolved(body: Addition, { seal }: Entry): Addition {
  if (seal === null || seal.rules === undefined) return body
  if (body.state === 'pasteurized lot' && seal.resolved?.egg !== 'pasteurized') return { ...body, state: 'as it is' }
  if (body.state === 'treated' && isFrozenFruit(body.ingredient) && !seal.resolved?.treated)
    return { ...body, state: 'frozen' }
  return body
}

function struck<T>(facts: Fact<T>[], kind: BatchFact, target: Id): Fact<T>[] {
  if (kind !== 'part-used' && kind !== 'portioned') return facts
  return facts.map((fact) => (fact.entry === target ? { ...fact, void: true } : fact))
}

function started({ about, at, by, body }: Claim<'batch-started'>): BatchState {
  return {
    id: about.id,
    startedAt: at,
    startedBy: by,
    ...body,
    ...NOTHING_YET,
  }
}

function accepted(state: BatchState, targets: readonly Id[], { claim }: Entry, reason: string): BatchState {
  const acceptance: Acceptance = { entry: claim.id, by: claim.by, at: claim.at, reason }
  const facts = eachKind(state, (list) =>
    list.map((fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact)),
  )
  return { ...state, facts }
}

function corrected(id: Id, state: BatchState, entry: Entry, { about, body }: Claim<'corrected'>): BatchState {
  const { target, reason, now } = body
  const movedTo = now === 'void' ? null : now.batch
  if (now !== 'void' && movedTo === id && about.id !== id) {
    // Told to be of this pot long after it was read: as a reading that was entered late.
    const late = entry.seal?.rules !== undefined && knownAt(entry) - now.at > CORRECTED_WITHIN
    return withFact(state, 'reading-taken', factOf(entry, now.at, now.reading, late || undefined))
  }
  const facts = eachKind(state, <T>(list: Fact<T>[], kind: BatchFact) => {
    const may = FACTS[kind]
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
  if (entry.claim.by !== fact.by || knownAt(entry) - fact.knownAt > within) return false
  return now === 'void' || Math.abs(now.at - fact.at) <= SAME_TIME
}
