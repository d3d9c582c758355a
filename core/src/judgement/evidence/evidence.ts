import type { Id } from '../../ledger/subject'
import type { ReadingBody } from '../../ledger/entry'
import type { Check } from '../../recipe/checks/checksFor'
import type { Of } from '../../recipe/method/method'
import { timelineOf } from '../timeline/timeline'
import type { BatchState } from '../../state/batch'
import { backingDoubt } from '../../state/backing'
import { celsiusRead } from '../../state/reading'
import { isWaiting } from '../../state/fact'
import type { Reading, Where } from '../../physics/trace/reading'
import { Trace } from '../../physics/trace/trace'
import type { Doubt } from '../doubt'
import { unlikelyReadings, type Unlikely } from './plausible'
import type { View } from './views'

export { LATE_MS } from '../../ledger/late'

/** Readings of a device that stays in the pot, in time order. */
export interface Stream {
  instrument: Id
  where: Where
  of: Of
  at: Float64Array
  celsius: Float64Array
}

/** A trace and where it is from: a device, null for readings by hand; of which pan, undefined before a split. */
export interface Testimony {
  instrument: Id | null
  pan: string | undefined
  trace: Trace
}

/**
 * The one place that decides which readings of a batch count for which check. Readings by hand, with whatever probe, are
 * one trace: a cook who takes another probe goes on with it. Each device that stays in the pot has a trace of its own,
 * with the readings by hand among its own; and so has each pan of a split batch that was read, with what was read before
 * the split. Traces are judged apart and the worst counts. What physics forbids counts for nothing that it would better.
 */
export function evidence(check: Check, { batch, trusted }: View, streams: readonly Stream[] = []): Testimony[] {
  const { of, where } = check.evidence
  const placed = streams.filter((stream) => sameOf(stream.of, of) && where.includes(stream.where))
  const { read: pans, slowest } = timelineOf(batch).pans
  const unlikely = sameOf(of, 'mixture') ? unlikelyReadings(batch) : NONE
  const byHand = (pan: string | undefined) =>
    handTrace(check, batch, pan, (entry) => passesOver(check, unlikely.get(entry), trusted.has(entry)))
  if (placed.length === 0)
    return (pans.length ? pans : [undefined]).map((pan) => ({ instrument: null, pan, trace: byHand(pan) }))
  return placed.map(({ instrument, at, celsius }) => {
    const trace = byHand(slowest)
    trace.putAll(at, celsius)
    return { instrument, pan: slowest, trace }
  })
}

const NONE = new Map<Id, Unlikely[]>()

/** Whether it asks for heat: hot readings prove it. */
export function isFloor({ limit: { rule } }: Check): boolean {
  return rule.kind === 'hold' || rule.kind === 'equivalent' || (rule.kind === 'reach' && rule.direction === 'rising')
}

/** A cold one proves no cooling, a hot one no floor; what is meant in another unit proves nothing. */
function passesOver(check: Check, why: readonly Unlikely[] | undefined, trusted: boolean): boolean {
  if (!why || trusted) return false
  return why.includes('unit') || (isFloor(check) ? why.includes('spot') || why.includes('rise') : why.includes('fall'))
}

function handTrace(
  { evidence: { of, where } }: Check,
  batch: BatchState,
  pan: string | undefined,
  isPassedOver: (entry: Id) => boolean,
): Trace {
  const trace = new Trace(Math.max(16, batch.facts['reading-taken'].length))
  for (const { entry, at, void: gone, value } of batch.facts['reading-taken']) {
    if (gone || !sameOf(value.of, of) || !where.includes(value.where)) continue
    if (value.portion !== undefined && value.portion !== pan) continue
    if (!isPassedOver(entry)) trace.put(at, celsiusRead(value))
  }
  return trace
}

/** A reading of the mixture's core, with the entry it is from and what makes it doubtful. */
export interface Witness extends Reading {
  entry: Id
  doubts: Doubt[]
}

/** Readings of the mixture's core by hand, in time order, of one pan where it was split: the trace that is drawn. */
export function mixtureTrace(batch: BatchState, pan?: string): Witness[] {
  const own = new Set(
    timelineOf(batch)
      .coreOf(pan)
      .map(({ entry }) => entry),
  )
  const core = batch.facts['reading-taken'].filter(({ entry }) => own.has(entry))
  const doubts = doubtsIn(batch)
  return core
    .map(({ entry, at, value }) => ({
      entry,
      at,
      celsius: celsiusRead(value),
      where: value.where,
      doubts: doubts.get(entry) ?? [],
      ...(value.portion === undefined ? {} : { portion: value.portion }),
      ...(value.instrument === null ? {} : { instrument: value.instrument }),
    }))
    .sort((a, b) => a.at - b.at)
}

const DOUBT_OF: Record<Unlikely, Doubt> = { fall: 'too fast', rise: 'too fast', spot: 'hot spot', unit: 'other unit' }
const known = new WeakMap<BatchState, Map<Id, Doubt[]>>()

/** What makes each reading of a batch doubtful; those beyond doubt are not in it. */
export function doubtsIn(batch: BatchState): Map<Id, Doubt[]> {
  const kept = known.get(batch)
  if (kept) return kept
  const { splitAt } = timelineOf(batch).pans
  const found = new Map<Id, Doubt[]>()
  const sure = batch.facts['reading-taken'].filter((fact) => {
    if (fact.void) return false
    const doubts: Doubt[] = []
    if (fact.value.instrument === null) doubts.push('no instrument')
    if (isWaiting(fact)) doubts.push('late')
    if (fact.value.portion === undefined && fact.at >= splitAt) doubts.push('which pan')
    const backing = backingDoubt(fact, batch.failedProbes)
    if (backing) doubts.push(backing)
    if (doubts.length) found.set(fact.entry, doubts)
    return doubts.length === 0
  })
  for (const [entry, why] of unlikelyReadings({ ...batch, facts: { ...batch.facts, 'reading-taken': sure } }))
    found.set(entry, [...new Set(why.map((each) => DOUBT_OF[each]))])
  known.set(batch, found)
  return found
}

/** Which checks a reading can count for; none for a surface, for milk before it is the mixture. */
export function countsFor({ of, where }: Pick<ReadingBody, 'of' | 'where'>, checks: readonly Check[]): Check[] {
  return checks.filter(({ evidence: asked }) => sameOf(asked.of, of) && asked.where.includes(where))
}

export function sameOf(a: Of, b: Of): boolean {
  return a === 'mixture' || b === 'mixture' ? a === b : a.part === b.part
}
