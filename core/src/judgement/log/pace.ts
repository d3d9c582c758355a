import type { Instant } from '../../ground/instant'
import { COOLING_KEYS } from '../../rules/sets/ruleSets'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { timelineOf } from '../timeline/timeline'

/** How a batch was read, ms. null: it was not, or never cooled. */
export interface Pace {
  /** When it came off the heat. */
  off: Instant | null
  /** From off the heat to the first reading after. */
  firstMs: number | null
  /** The longest time that nobody read it, from off the heat to the last reading. */
  longestMs: number | null
  /** How often it was read from off the heat on. */
  readings: number
  /** How long after it was asked for each reading came that a tablet had asked for, ms, in order of time. */
  answers: number[]
}

/** How soon after the heat, and how often after that, the mixture was read, and how soon after it was asked for. */
export function paceOf(batch: BatchState): Pace {
  const timeline = timelineOf(batch)
  const cooling = batch.checks.find(({ limit }) => COOLING_KEYS.includes(limit.key))
  const off = cooling ? timeline.cooledSince(cooling) : null
  const answers = answersIn(batch)
  if (off === null) return { off, firstMs: null, longestMs: null, readings: 0, answers }
  const read = timeline
    .coreOf()
    .map(({ at }) => at)
    .filter((at) => at > off)
    .sort((a, b) => a - b)
  const gaps = read.map((at, i): Instant => at - (read[i - 1] ?? off))
  return {
    off,
    firstMs: gaps[0] ?? null,
    longestMs: gaps.length === 0 ? null : Math.max(...gaps),
    readings: read.length,
    answers,
  }
}

/**
 * By what the tablets told: one that was asked for before the batch was begun, or after it was taken, is of something else,
 * and what is copied from paper answered no tablet.
 */
function answersIn({ startedAt, facts }: BatchState): number[] {
  return valid(facts['reading-taken'])
    .flatMap(({ at, value: { asked, paper } }) =>
      asked !== undefined && paper === undefined && asked >= startedAt && asked <= at ? [{ at, ms: at - asked }] : [],
    )
    .sort((a, b) => a.at - b.at)
    .map(({ ms }) => ms)
}
