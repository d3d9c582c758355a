import { HOUR, type Instant } from '../../ground/instant'
import type { Span } from './checkWatch'

/** Nobody stands at a stove longer than this without a reading; nor is anything put together for longer unsaid. */
const AT_THE_STOVE = 2 * HOUR
const UNTOLD = 24 * HOUR

/**
 * When a floor that nobody reads or ends is no longer open: its whole time and a margin have passed. Nothing runs for
 * ever.
 * @param lastRead when it was last read; null: never
 * @param wholeMs the longest that its rows take
 */
export function silentFrom({ begun, since }: Span, lastRead: Instant | null, wholeMs: number): Instant {
  const margin = begun || lastRead !== null ? AT_THE_STOVE : UNTOLD
  return Math.max(since, lastRead ?? -Infinity) + wholeMs + margin
}
