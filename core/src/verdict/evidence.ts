import { MINUTE } from '../calendar/instant'
import type { Id, ReadingBody } from '../ledger/entry'
import type { Check } from '../limits/checksFor'
import type { Of } from '../method/method'
import { celsiusOf } from '../quantity/temperature'
import type { BatchState } from '../state/batch'
import type { Fact } from '../state/fact'
import type { Reading, Where } from '../trace/reading'
import { Trace } from '../trace/trace'
import { doubtBits, type Doubt } from './doubt'

/** Readings of a device that stays in the pot, in time order. */
export interface Stream {
  instrument: Id
  where: Where
  of: Of
  at: Float64Array
  celsius: Float64Array
}

/** Entered longer than this after it was taken, a reading proves nothing until the lead accepts it, ms. House rule. */
export const LATE_MS = 15 * MINUTE

/**
 * The one place that decides which readings of a batch count for which check, and for how much. Readings by hand, with
 * whatever probe, are one trace: a cook who takes another probe goes on with it. Each device that stays in the pot has a
 * trace of its own, with the readings by hand among its own; traces are judged apart and the worst counts.
 */
export function evidence(check: Check, batch: BatchState, streams: readonly Stream[] = []): Testimony[] {
  const { of, where } = check.evidence
  const placed = streams.filter((stream) => sameOf(stream.of, of) && where.includes(stream.where))
  if (placed.length === 0) return [{ instrument: null, trace: byHand(check, batch) }]
  return placed.map(({ instrument, at, celsius }) => {
    const trace = byHand(check, batch)
    trace.putAll(at, celsius)
    return { instrument, trace }
  })
}

/** A trace and the device that it is from; null: read by hand. */
export interface Testimony {
  instrument: Id | null
  trace: Trace
}

function byHand({ evidence: { of, where } }: Check, batch: BatchState): Trace {
  const trace = new Trace(Math.max(16, batch.readings.length))
  for (const fact of batch.readings) {
    if (fact.void || !sameOf(fact.value.of, of) || !where.includes(fact.value.where)) continue
    trace.put(fact.at, celsiusOf(fact.value.typed), doubtBits(doubtsAbout(fact)))
  }
  return trace
}

/** A reading of the mixture's core, with the entry it is from and what makes it doubtful. */
export interface Witness extends Reading {
  entry: Id
  doubts: Doubt[]
}

/** Readings of the mixture's core by hand, in time order: the trace that is drawn. */
export function mixtureTrace(batch: BatchState): Witness[] {
  return batch.readings
    .filter(({ void: gone, value }) => !gone && value.of === 'mixture' && value.where === 'core')
    .map((fact) => {
      const { entry, at, value } = fact
      const instrument = value.instrument === null ? {} : { instrument: value.instrument }
      return {
        entry,
        at,
        celsius: celsiusOf(value.typed),
        where: value.where,
        doubts: doubtsAbout(fact),
        ...instrument,
      }
    })
    .sort((a, b) => a.at - b.at)
}

/** Which checks a reading can count for; none for a surface, for milk before it is the mixture. */
export function countsFor({ of, where }: Pick<ReadingBody, 'of' | 'where'>, checks: readonly Check[]): Check[] {
  return checks.filter(({ evidence: asked }) => sameOf(asked.of, of) && asked.where.includes(where))
}

/** Entered so long after it was taken that it waits for the lead. */
export function isLate({ at, madeAt }: Pick<Fact<unknown>, 'at' | 'madeAt'>): boolean {
  return madeAt - at > LATE_MS
}

function doubtsAbout(fact: Fact<ReadingBody>): Doubt[] {
  const doubts: Doubt[] = []
  if (fact.value.instrument === null) doubts.push('no instrument')
  if (isLate(fact) && fact.accepted === null) doubts.push('late')
  return doubts
}

function sameOf(a: Of, b: Of): boolean {
  return a === 'mixture' || b === 'mixture' ? a === b : a.part === b.part
}
