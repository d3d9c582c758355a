import { MINUTE, type Instant } from '../calendar/instant'
import type { Id, ReadingBody } from '../ledger/entry'
import type { Check } from '../limits/checksFor'
import type { Mark } from '../limits/rule'
import { stageOf } from '../limits/ruleSets'
import type { Of } from '../method/method'
import { celsiusOf, SAME_DEGREE } from '../quantity/temperature'
import type { BatchState } from '../state/batch'
import type { Fact } from '../state/fact'
import type { Reading } from '../trace/reading'
import type { Doubt } from './finding'

/** A reading that counts for a check, with the entry it is from and what makes it doubtful. */
export interface Witness extends Reading {
  entry: Id
  /** Any doubt takes its power to prove, never its power to deny. */
  doubts: Doubt[]
}

/** What counts for one check, and between which instants. */
export interface Evidence {
  /** In time order. For a cooling they begin before `from`: the last hot reading bounds the start of the clock. */
  witnesses: Witness[]
  /** null while what must come first has not happened. */
  from: Instant | null
  /** null while the step runs. */
  to: Instant | null
}

/** Entered longer than this after it was taken, a reading proves nothing by itself, ms. House rule of the record. */
export const LATE_MS = 15 * MINUTE

/** The one place that decides which readings of a batch count for which check. */
export function evidence(check: Check, batch: BatchState): Evidence {
  const { of, where, from, to } = check.evidence
  const all = batch.readings
    .filter((fact) => !fact.void && sameOf(fact.value.of, of) && where.includes(fact.value.where))
    .map(witness)
    .sort((a, b) => a.at - b.at)
  const begins = instantOf(from, batch)
  const ends = to && instantOf(to, batch)
  const keepsNeighbour = check.limit.rule.kind === 'reach'
  const witnesses = all.filter(
    ({ at }) => begins !== null && (keepsNeighbour || at >= begins) && (ends === null || at <= ends),
  )
  return { witnesses, from: begins, to: ends }
}

/** Readings of the mixture's core, in time order: the trace that the batch is judged by. */
export function mixtureTrace(batch: BatchState): Witness[] {
  return batch.readings
    .filter(({ void: gone, value }) => !gone && value.of === 'mixture' && value.where === 'core')
    .map(witness)
    .sort((a, b) => a.at - b.at)
}

/**
 * When an edge of a step happened: its last mark, with two corrections that a busy kitchen needs. A pot that was hot
 * and then read cold has left the heat, marked or not; and a mark set after it had cooled is taken back to the last
 * hot reading, so that a late tap never shortens a cooling.
 */
export function instantOf(mark: Mark, batch: BatchState): Instant | null {
  const marked = lastMark(mark, batch)
  if (mark.edge !== 'done') return marked
  const restarted = lastMark({ step: mark.step, edge: 'started' }, batch)
  const explicit = marked !== null && restarted !== null && restarted > marked ? null : marked
  const clock = batch.checks.find(({ limit }) => limit.rule.kind === 'reach')
  if (!clock || clock.evidence.from.step !== mark.step || clock.limit.rule.kind !== 'reach') return explicit
  const { from } = stageOf(clock.key, clock.limit.rule, clock.unit)
  return lastHotBefore(mixtureTrace(batch), from, explicit) ?? explicit
}

/** The last reading over the level that a colder one follows, no later than the mark if there is one. */
function lastHotBefore(trace: readonly Reading[], level: number, mark: Instant | null): Instant | null {
  const upTo = trace.filter(({ at }) => mark === null || at <= mark)
  const last = upTo.at(-1)
  if (!last || last.celsius >= level - SAME_DEGREE) return null
  return upTo.findLast(({ celsius }) => celsius >= level - SAME_DEGREE)?.at ?? null
}

function lastMark({ step, edge }: Mark, { marks }: BatchState): Instant | null {
  const same = marks.filter(({ void: gone, value }) => !gone && value.step === step && value.edge === edge)
  return same.length ? Math.max(...same.map(({ at }) => at)) : null
}

function witness(fact: Fact<ReadingBody>): Witness {
  const { entry, at, value } = fact
  const doubts: Doubt[] = []
  if (value.instrument === null) doubts.push('no instrument')
  if (fact.madeAt - at > LATE_MS) doubts.push('late')
  const instrument = value.instrument === null ? {} : { instrument: value.instrument }
  return { entry, at, celsius: celsiusOf(value.typed), where: value.where, doubts, ...instrument }
}

function sameOf(a: Of, b: Of): boolean {
  return a === 'mixture' || b === 'mixture' ? a === b : a.part === b.part
}
