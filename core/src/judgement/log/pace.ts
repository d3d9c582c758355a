import type { Instant } from '../../ground/instant'
import { COOLING_KEYS } from '../../rules/sets/ruleSets'
import type { BatchState } from '../../state/batch'
import { timelineOf } from '../timeline/timeline'

/** How a batch was read while it cooled, ms. null: it was not, or never cooled. */
export interface Pace {
  /** When it came off the heat. */
  off: Instant | null
  /** From off the heat to the first reading after. */
  firstMs: number | null
  /** The longest time that nobody read it, from off the heat to the last reading. */
  longestMs: number | null
  /** How often it was read from off the heat on. */
  readings: number
}

/** How soon after the heat, and how often after that, the mixture was read. */
export function paceOf(batch: BatchState): Pace {
  const timeline = timelineOf(batch)
  const cooling = batch.checks.find(({ limit }) => COOLING_KEYS.includes(limit.key))
  const off = cooling ? timeline.cooledSince(cooling) : null
  if (off === null) return { off, firstMs: null, longestMs: null, readings: 0 }
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
  }
}
