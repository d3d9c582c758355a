import type { Id } from '../../ledger/subject'
import type { ReadingBody } from '../../ledger/entry'
import { allFacts, eachKind, type BatchState } from '../../state/batch'
import { isWaiting, valid, withoutAccepted, type Fact } from '../../state/fact'
import { backingDoubt, failureOf } from '../../state/backing'
import { timelineOf } from '../timeline/timeline'
import { unlikelyReadings } from './plausible'

/**
 * A batch as it may have been: beyond doubt, or with one more thing that is told and can only deny. Nothing in it is
 * void, late or doubtful any more: it is judged as it stands.
 */
export interface View {
  batch: BatchState
  /** Readings that count here although physics forbids them. */
  trusted: ReadonlySet<Id>
}

export interface Views {
  /** Only what is beyond doubt: alone it can prove. */
  sure: View
  /** With one or more doubtful things: each can make it worse, none better. */
  doubtful: View[]
  /** With every doubtful reading: what would be proven if nothing were in doubt. The same as `sure` where nothing is. */
  all: View
  /** Without what only the lead's acceptance lets count: what was missed then stays at least not proven. null: nothing is. */
  unaccepted: View | null
}

/**
 * Every way to look at a batch that its entries leave open. The worst of them counts. A thing that can only deny is added
 * to what is beyond doubt, alone and after those known before it: one more of them never betters what was found.
 */
export function viewsOf(batch: BatchState): Views {
  const base = beyondDoubt(batch)
  const unlikely = unlikelyReadings(base)
  const sure: View = { batch: base, trusted: NONE }
  const doubted = doubtedReadings(batch)
  const told = byEntry([...doubted, ...base.facts['reading-taken'].filter(({ entry }) => unlikely.has(entry))]).sort(
    ([a], [b]) => a!.knownAt - b!.knownAt || a!.at - b!.at || (a!.entry < b!.entry ? -1 : 1),
  )
  const isDoubtful = new Set(doubted)
  const withReadings = (some: readonly Fact<ReadingBody>[][]): View => {
    const extra = some.flat().filter((fact) => isDoubtful.has(fact))
    return {
      batch: extra.length
        ? { ...base, facts: { ...base.facts, 'reading-taken': [...base.facts['reading-taken'], ...extra] } }
        : base,
      trusted: new Set(some.flat().map(({ entry }) => entry)),
    }
  }
  const alone = told.map((each) => withReadings([each]))
  const grown = told.slice(1).map((_, i) => withReadings(told.slice(0, i + 2)))
  const found = asFound(base, doubted, batch.failedProbes)
  const all = grown.at(-1) ?? alone[0] ?? sure
  // What was in doubt together with a change stays so when an instrument takes the rest of its readings away.
  const changed = changesOf(batch).flatMap((change) =>
    [...new Set([sure, all])].map((view): View => ({ ...view, batch: change(view.batch) })),
  )
  return {
    sure,
    doubtful: [...alone, ...grown, ...changed, ...(found ? [found] : [])],
    all,
    unaccepted: hasAccepted(batch)
      ? { batch: beyondDoubt({ ...batch, facts: eachKind(batch, unacceptedOf) }), trusted: NONE }
      : null,
  }
}

const NONE: ReadonlySet<Id> = new Set()

/** What one entry tells is one thing: readings that came out of one file are believed together, or not at all. */
function byEntry(facts: readonly Fact<ReadingBody>[]): Fact<ReadingBody>[][] {
  const found = new Map<Id, Fact<ReadingBody>[]>()
  for (const fact of facts) found.set(fact.entry, [...(found.get(fact.entry) ?? []), fact])
  return [...found.values()]
}

/** What counts by itself: no reading in doubt; all else from when the kitchen knew of it, where that was too late. */
function beyondDoubt(batch: BatchState): BatchState {
  if (isPlain(batch)) return batch
  const facts = eachKind(batch, (list) =>
    list.flatMap((fact) => (fact.void ? [] : [isWaiting(fact) ? { ...fact, at: fact.knownAt } : fact])),
  )
  const readings = batch.facts['reading-taken'].filter((fact) => !fact.void && !isDoubted(fact, batch))
  return { ...batch, facts: { ...facts, 'reading-taken': readings } }
}

/** As nearly always: nothing late, taken back or in doubt. */
function isPlain(batch: BatchState): boolean {
  return (
    batch.facts['reading-taken'].every((fact) => !isDoubted(fact, batch)) &&
    allFacts(batch).every((fact) => !fact.void && !isWaiting(fact))
  )
}

function isDoubted(fact: Fact<ReadingBody>, batch: BatchState): boolean {
  const { instrument, portion } = fact.value
  if (instrument === null || isWaiting(fact)) return true
  if (portion === undefined && fact.at >= timelineOf(batch).pans.splitAt) return true
  return backingDoubt(fact, batch.failedProbes) !== null
}

/** Readings that can only deny. */
function doubtedReadings(batch: BatchState): Fact<ReadingBody>[] {
  return batch.facts['reading-taken'].filter((fact) => !fact.void && isDoubted(fact, batch))
}

/** Every doubted reading as its failed instrument was found to be out: null where none of them failed. */
function asFound(
  base: BatchState,
  doubted: readonly Fact<ReadingBody>[],
  fails: BatchState['failedProbes'],
): View | null {
  const found = fails.filter(({ value }) => value.due === undefined)
  const failures = doubted.map((fact) => failureOf(fact, found))
  if (failures.every((failure) => failure === null)) return null
  const corrected = doubted.map((fact, i): Fact<ReadingBody> => {
    const failure = failures[i]
    return failure ? { ...fact, value: { ...fact.value, readBy: { backing: 'failed', off: failure.error } } } : fact
  })
  return {
    batch: { ...base, facts: { ...base.facts, 'reading-taken': [...base.facts['reading-taken'], ...corrected] } },
    trusted: NONE,
  }
}

/** What else was told too late, each as it says: a mark at its time, something taken back. */
function changesOf(batch: BatchState): ((base: BatchState) => BatchState)[] {
  const changes: ((base: BatchState) => BatchState)[] = []
  const isReading = new Set(batch.facts['reading-taken'].map(({ entry }) => entry))
  for (const fact of valid(batch.facts['reading-taken'])) {
    for (const { now } of fact.waiting) {
      if (now === 'void') continue
      changes.push((base) => ({
        ...base,
        facts: {
          ...base.facts,
          'reading-taken': [
            ...base.facts['reading-taken'].filter(({ entry }) => entry !== fact.entry),
            { ...fact, ...now },
          ],
        },
      }))
    }
  }
  const without = (entry: Id) => (base: BatchState) => ({
    ...base,
    facts: eachKind(base, (list) => list.filter((each) => each.entry !== entry)),
  })
  const asTold =
    ({ entry, at }: Fact<unknown>) =>
    (base: BatchState) => ({
      ...base,
      facts: eachKind(base, (list) => list.map((each) => (each.entry === entry ? { ...each, at } : each))),
    })
  const takenBack = new Set<Id>()
  for (const fact of valid(allFacts(batch))) {
    if (isWaiting(fact) && !isReading.has(fact.entry)) changes.push(asTold(fact))
    if (fact.waiting.some(({ now }) => now === 'void')) takenBack.add(fact.entry)
  }
  // Once for each entry, however many readings it told.
  for (const entry of takenBack) changes.push(without(entry))
  return changes
}

function hasAccepted(batch: BatchState): boolean {
  return allFacts(batch).some(
    ({ accepted, amends }) => accepted !== null || amends.some((each) => each.accepted !== null),
  )
}

function unacceptedOf<T>(facts: Fact<T>[]): Fact<T>[] {
  return facts.map((fact) => ({ ...withoutAccepted(fact), accepted: null }))
}
