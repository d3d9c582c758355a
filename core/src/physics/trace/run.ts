import type { Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Bounded } from './reading'

/** The unbroken time at or above a level, followed reading by reading. Numbers only: every reading passes here. */
export interface Run {
  /** °C */
  celsius: number
  /** The same, less what two equal readings may differ by. */
  level: number
  /** An interval longer than this proves nothing, ms. */
  proving: number
  /** An interval longer than this may at most have been above all through, ms. */
  blind: number
  leastRun: number
  least: number
  likelyRun: number
  likely: number
  mostRun: number
  most: number
  /** Where the present proven run began; NaN while under the level. */
  since: Instant
  lowest: number
  highest: number
  /** The longest interval with both ends at or above that was too long to prove anything, ms. */
  unread: number
}

export function runAt(celsius: number, proving: number, blind: number): Run {
  const none = { leastRun: 0, least: 0, likelyRun: 0, likely: 0, mostRun: 0, most: 0 }
  return {
    celsius,
    level: celsius - SAME_DEGREE,
    proving,
    blind,
    ...none,
    since: NaN,
    lowest: 0,
    highest: 0,
    unread: 0,
  }
}

/**
 * One more reading. A run joins the one before only through an end that is at or above.
 * @param before the reading before, °C; -Infinity for the first
 * @param gap ms since then; 0 for the first
 */
export function advance(run: Run, before: number, celsius: number, instant: Instant, gap: number): void {
  const { level } = run
  const wasIn = before >= level
  const isIn = celsius >= level
  const most = wasIn || isIn || gap > run.blind ? gap : 0
  run.mostRun = wasIn ? run.mostRun + most : most
  if (run.mostRun > run.most) run.most = run.mostRun
  if (!isIn) run.mostRun = 0
  if (!wasIn && !isIn) {
    run.since = NaN
    return
  }
  const likely = wasIn && isIn ? gap : gap * partAbove(before, celsius, run.celsius)
  run.likelyRun = wasIn ? run.likelyRun + likely : likely
  if (run.likelyRun > run.likely) run.likely = run.likelyRun
  if (!isIn) {
    run.likelyRun = 0
    run.leastRun = 0
    run.since = NaN
    return
  }
  if (wasIn && gap <= run.proving) {
    run.leastRun += gap
    if (run.leastRun > run.least) run.least = run.leastRun
    if (celsius < run.lowest) run.lowest = celsius
    if (celsius > run.highest) run.highest = celsius
    return
  }
  if (wasIn && gap > run.unread) run.unread = gap
  run.leastRun = 0
  run.since = instant
  run.lowest = celsius
  run.highest = celsius
}

/** The longest so far, ms. */
export function longest({ least, likely, most }: Run): Bounded {
  const atLikely = Math.max(least, likely)
  return { least, likely: atLikely, most: Math.max(atLikely, most) }
}

function partAbove(from: number, to: number, level: number): number {
  if (from === -Infinity) return 0
  const [inside, outside] = from > to ? [from, to] : [to, from]
  return inside === outside ? 0 : Math.max(0, Math.min(1, (inside - level) / (inside - outside)))
}
