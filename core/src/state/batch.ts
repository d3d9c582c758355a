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
  marks: Fact<Bodies['step-marked']>[]
  readings: Fact<ReadingBody>[]
  deviations: Fact<Deviation>[]
  churnings: Fact<Churning>[]
  notes: Fact<Note>[]
  eggs: Fact<EggsTaken>[]
  leftOvers: Fact<LeftOver>[]
  additions: Fact<Addition>[]
  cleanings: Fact<{ step: string }>[]
  washings: Fact<{ step: string }>[]
  covers: Fact<{ cover: Cover }>[]
  placements: Fact<Placement>[]
  stirrings: Fact<Record<string, never>>[]
  pourings: Fact<Pouring>[]
  plans: Fact<CoolingPlan>[]
  rewarmed: Fact<Bodies['rewarmed']>[]
  acidities: Fact<AcidityMeasure>[]
  /** Items that went in, each as it was then. */
  parts: Fact<PartUsed>[]
  /** What of it was put away as an item. */
  portions: Fact<Portioned & { item: Id }>[]
  /** Called back with lots that are in it: held until the last of that ends. */
  recalls: Fact<{ reason: string; lot: Id }>[]
  /** Set once what is served at once was served. */
  served: Fact<Served> | null
  /** What the lead decided last. */
  disposition: Fact<Disposition> | null
  /** Each sends it through the heat once more; a new leg begins once its own row is proven. */
  reworks: Fact<Disposition>[]
  /** What the lead said of raw egg or fruit: it was in from the first, only entered later. */
  alreadyIn: Fact<{ target: Id; reason: string }>[]
}

/** A batch about which nothing was entered since it began. */
export const NOTHING_YET = {
  marks: [],
  readings: [],
  deviations: [],
  churnings: [],
  notes: [],
  eggs: [],
  leftOvers: [],
  additions: [],
  cleanings: [],
  washings: [],
  covers: [],
  placements: [],
  stirrings: [],
  pourings: [],
  plans: [],
  rewarmed: [],
  acidities: [],
  parts: [],
  portions: [],
  recalls: [],
  served: null,
  disposition: null,
  reworks: [],
  alreadyIn: [],
} satisfies Partial<BatchState>

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
export function unanswered({ disposition, served, eggs, additions, parts }: BatchState): Fact<unknown>[] {
  const told: Fact<{ happened?: true }>[] = [...eggs, ...additions, ...parts, ...(served ? [served] : [])]
  const decided = disposition && !disposition.void ? disposition.knownAt : -Infinity
  return told.filter(({ void: gone, value, knownAt: known }) => !gone && value.happened && known >= decided)
}

/** All of it is put away: it goes on as items, and no longer stands on the Line. */
export function isPutAway({ portions }: Pick<BatchState, 'portions'>): boolean {
  return portions.some(({ void: gone, value }) => !gone && value.last)
}

/** Every fact of a batch that may be corrected or accepted; none where there is no batch. */
export function batchFacts(batch: BatchState | null): Fact<unknown>[] {
  if (!batch) return []
  const { readings, marks, deviations, churnings, notes, eggs, additions, cleanings, washings } = batch
  const { covers, acidities, parts, placements, stirrings, pourings, plans, rewarmed } = batch
  const done = [marks, deviations, churnings, notes, eggs, additions, cleanings, washings, acidities, parts]
  return [readings, ...done, covers, placements, stirrings, pourings, plans, rewarmed].flat()
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
    case 'eggs-taken':
      return { ...state, eggs: [...state.eggs, factOf(entry, claim.at, claim.body)] }
    case 'left-over':
      return { ...state, leftOvers: [...state.leftOvers, factOf(entry, claim.at, claim.body)] }
    case 'added':
      return { ...state, additions: [...state.additions, factOf(entry, claim.at, asResolved(claim.body, entry))] }
    case 'cleaned':
      return { ...state, cleanings: [...state.cleanings, factOf(entry, claim.at, claim.body)] }
    case 'washed':
      return { ...state, washings: [...state.washings, factOf(entry, claim.at, claim.body)] }
    case 'covered':
      return { ...state, covers: [...state.covers, factOf(entry, claim.at, claim.body)] }
    case 'placed':
      return { ...state, placements: [...state.placements, factOf(entry, claim.at, claim.body)] }
    case 'stirred':
      return { ...state, stirrings: [...state.stirrings, factOf(entry, claim.at, claim.body)] }
    case 'poured':
      return { ...state, pourings: [...state.pourings, factOf(entry, claim.at, claim.body)] }
    case 'rewarmed':
      return { ...state, rewarmed: [...state.rewarmed, factOf(entry, claim.at, claim.body)] }
    case 'cooling-planned':
      return { ...state, plans: [...state.plans, factOf(entry, claim.at, claim.body)] }
    case 'acidity-measured':
      return { ...state, acidities: [...state.acidities, factOf(entry, claim.at, claim.body)] }
    case 'part-used':
      return { ...state, parts: [...state.parts, factOf(entry, claim.at, claim.body)] }
    case 'portioned':
      return {
        ...state,
        portions: [...state.portions, factOf(entry, claim.at, { ...claim.body, item: claim.about.id })],
      }
    case 'taken-back':
      return {
        ...state,
        parts: struck(state.parts, claim.body.target),
        portions: struck(state.portions, claim.body.target),
      }
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
    case 'already-in':
      return { ...state, alreadyIn: [...state.alreadyIn, factOf(entry, claim.at, claim.body)] }
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
      return state
  }
}

/** Egg is of a pasteurized lot, and frozen fruit treated, where the server found that lot; a word typed in a box is raw. */
function asResolved(body: Addition, { seal }: Entry): Addition {
  if (seal === null || seal.rules === undefined) return body
  if (body.state === 'pasteurized lot' && seal.resolved?.egg !== 'pasteurized') return { ...body, state: 'as it is' }
  if (body.state === 'treated' && isFrozenFruit(body.ingredient) && !seal.resolved?.treated)
    return { ...body, state: 'frozen' }
  return body
}

function struck<T>(facts: Fact<T>[], target: Id): Fact<T>[] {
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

/** The same batch with every list of facts gone through; what a correction or an acceptance may be about. */
function eachList(state: BatchState, change: <T>(facts: Fact<T>[]) => Fact<T>[]): BatchState {
  return {
    ...state,
    readings: change(state.readings),
    marks: change(state.marks),
    deviations: change(state.deviations),
    churnings: change(state.churnings),
    notes: change(state.notes),
    eggs: change(state.eggs),
    additions: change(state.additions),
    cleanings: change(state.cleanings),
    washings: change(state.washings),
    covers: change(state.covers),
    placements: change(state.placements),
    stirrings: change(state.stirrings),
    pourings: change(state.pourings),
    plans: change(state.plans),
    rewarmed: change(state.rewarmed),
    acidities: change(state.acidities),
    parts: change(state.parts),
  }
}

function accepted(state: BatchState, targets: readonly Id[], { claim }: Entry, reason: string): BatchState {
  const acceptance: Acceptance = { entry: claim.id, by: claim.by, at: claim.at, reason }
  return eachList(state, (facts) =>
    facts.map((fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact)),
  )
}

function corrected(id: Id, state: BatchState, entry: Entry, { about, body }: Claim<'corrected'>): BatchState {
  const { target, reason, now } = body
  const movedTo = now === 'void' ? null : now.batch
  if (now !== 'void' && movedTo === id && about.id !== id) {
    // Told to be of this pot long after it was read: as a reading that was entered late.
    const late = entry.seal?.rules !== undefined && knownAt(entry) - now.at > CORRECTED_WITHIN
    return { ...state, readings: [...state.readings, factOf(entry, now.at, now.reading, late || undefined)] }
  }
  const voided = now === 'void' || movedTo !== null
  const take = <T>(facts: Fact<T>[], value: Amended<T> = 'void', within = CORRECTED_WITHIN): Fact<T>[] =>
    facts.map((fact) =>
      fact.entry === target
        ? amended(fact, entry, reason, voided ? 'void' : value, counts(fact, entry, voided ? 'void' : value, within))
        : fact,
    )
  const marks = take(state.marks, 'void', MARK_UNDONE_WITHIN)
  const readings = take(state.readings, now === 'void' ? 'void' : { at: now.at, value: now.reading })
  return { ...eachList({ ...state, marks: [], readings: [], parts: [] }, take), marks, readings, parts: state.parts }
}

/** Whether a correction counts by itself: its author's, at once, and not of the time. Before there were rules, any did. */
function counts<T>(fact: Fact<T>, entry: Entry, now: Amended<T>, within: number): boolean {
  if (entry.seal && entry.seal.rules === undefined) return true
  if (entry.claim.by !== fact.by || knownAt(entry) - fact.knownAt > within) return false
  return now === 'void' || Math.abs(now.at - fact.at) <= SAME_TIME
}
