import { MINUTE, type Instant } from '../calendar/instant'
import type { Id, ReadingBody } from '../ledger/entry'
import type { Check } from '../limits/checksFor'
import type { Of } from '../method/method'
import { pansRead, slowestPan, splitOf } from './pans'
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
 * trace of its own, with the readings by hand among its own; and so has each pan of a split batch that was read, with
 * what was read before the split. Traces are judged apart and the worst counts.
 */
export function evidence(check: Check, batch: BatchState, streams: readonly Stream[] = []): Testimony[] {
  const { of, where } = check.evidence
  const placed = streams.filter((stream) => sameOf(stream.of, of) && where.includes(stream.where))
  const pans = pansRead(batch)
  if (placed.length === 0)
    return (pans.length ? pans : [undefined]).map((pan) => ({ instrument: null, trace: byHand(check, batch, pan) }))
  return placed.map(({ instrument, at, celsius }) => {
    const trace = byHand(check, batch, slowestPan(batch))
    trace.putAll(at, celsius)
    return { instrument, trace }
  })
}

/** A trace and the device that it is from; null: read by hand. */
export interface Testimony {
  instrument: Id | null
  trace: Trace
}

function byHand({ evidence: { of, where } }: Check, batch: BatchState, pan: string | undefined): Trace {
  const splitAt = splitOf(batch)
  const trace = new Trace(Math.max(16, batch.readings.length))
  for (const fact of batch.readings) {
    const { portion } = fact.value
    if (fact.void || !sameOf(fact.value.of, of) || !where.includes(fact.value.where)) continue
    if (portion !== undefined && portion !== pan) continue
    trace.put(fact.at, celsiusOf(fact.value.typed), doubtBits(doubtsAbout(fact, splitAt)))
  }
  return trace
}

/** A reading of the mixture's core, with the entry it is from and what makes it doubtful. */
export interface Witness extends Reading {
  entry: Id
  doubts: Doubt[]
}

/** Readings of the mixture's core by hand, in time order, of one pan where it was split: the trace that is drawn. */
export function mixtureTrace(batch: BatchState, pan: string | undefined = slowestPan(batch)): Witness[] {
  const splitAt = splitOf(batch)
  return batch.readings
    .filter(({ void: gone, value }) => !gone && value.of === 'mixture' && value.where === 'core')
    .filter(({ value: { portion } }) => portion === undefined || portion === pan)
    .map((fact) => {
      const { entry, at, value } = fact
      const instrument = value.instrument === null ? {} : { instrument: value.instrument }
      return {
        entry,
        at,
        celsius: celsiusOf(value.typed),
        where: value.where,
        doubts: doubtsAbout(fact, splitAt),
        ...(value.portion === undefined ? {} : { portion: value.portion }),
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

function doubtsAbout(fact: Fact<ReadingBody>, splitAt: Instant): Doubt[] {
  const doubts: Doubt[] = []
  if (fact.value.instrument === null) doubts.push('no instrument')
  if (isLate(fact) && fact.accepted === null) doubts.push('late')
  if (fact.value.portion === undefined && fact.at >= splitAt) doubts.push('which pan')
  return doubts
}

function sameOf(a: Of, b: Of): boolean {
  return a === 'mixture' || b === 'mixture' ? a === b : a.part === b.part
}
