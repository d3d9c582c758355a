import { MINUTE, SECOND, type Instant } from '../../ground/instant'
import type { HoldRow } from '../../rules/compared'
import type { Bounded } from '../../physics/trace/reading'
import { advance, longest, runAt, type Run } from '../../physics/trace/run'
import type { Trace } from '../../physics/trace/trace'
import { Follower, type Heat, type Window } from './watch'

/** Longer than this between two readings, and the pot may have been anywhere meanwhile, ms. */
export const BLIND_MS = 2 * MINUTE

/**
 * The longest interval between readings that still proves a hold of this length, ms. Of a quality hold the whole
 * length and as much grace again: two readings by hand do.
 */
export function provingGap(holdSeconds: number, quality = false): number {
  const hold = holdSeconds * SECOND
  return Math.max(30 * SECOND, quality ? 2 * hold : Math.min(hold / 2, 5 * MINUTE))
}

/** What is known of one row. Times ms, temperatures °C. */
export interface RowRun {
  row: HoldRow
  held: Bounded
  /** The unbroken run that the last reading belongs to; since is null while it is under the row. */
  since: Instant | null
  /** The longest that nobody read while it was held, too long to prove anything; 0: none was, ms. */
  unread: number
}

/** A run of readings that closed a row. */
export interface Proof {
  row: HoldRow
  from: Instant
  to: Instant
  lowest: number
  highest: number
}

/** What is known of a hold at some reading. */
export interface Held {
  rows: RowRun[]
  proof: Proof | null
  last: { at: Instant; celsius: number } | null
  highest: { at: Instant; celsius: number } | null
  /** The longest stretch between two readings, ms. */
  longestGap: number
  /** At most, if the pot was at each row until `closedAt`. */
  mostAt(closedAt: Instant): number[]
}

interface Row extends Run {
  row: HoldRow
  needed: number
}

/** Follows the unbroken time at or above each row of a floor. */
export class HoldWatch extends Follower {
  private readonly rows: Row[]
  private readonly lowestLevel: number
  private count = 0
  private lastAt = 0
  private last = 0
  private highest = -Infinity
  private highestAt = 0
  private longestGap = 0
  private proof: Proof | null = null
  private seenHot = false
  /** What was known when it was last hot, while it is not. */
  private offHeat: Held | null = null

  constructor(rows: readonly HoldRow[], window: Window, heat: Heat | null = null, quality = false) {
    super(window, heat)
    this.rows = rows.map((row) => ({
      row,
      needed: row.seconds * SECOND,
      ...runAt(row.celsius, provingGap(row.seconds, quality), BLIND_MS),
    }))
    this.lowestLevel = Math.min(...this.rows.map(({ level }) => level))
  }

  /** What is known up to the end of the heat, and when that was: null while it runs. */
  closed(): { held: Held; closedAt: Instant | null } {
    if (this.offHeat) return { held: this.offHeat, closedAt: this.offHeat.last!.at }
    const mark = this.heat?.mark ?? Infinity
    return { held: this.now(), closedAt: mark === Infinity ? null : mark }
  }

  protected readBlock({ at, colder }: Trace, from: number, to: number): void {
    for (let i = from; i < to; i++) this.read(at[i]!, colder[i]!)
  }

  private heatAt(instant: Instant, celsius: number): void {
    if (celsius >= this.hot && instant <= this.coolsAt) {
      this.seenHot = true
      this.offHeat = null
    } else if (this.seenHot && this.offHeat === null) this.offHeat = this.now()
  }

  private read(instant: Instant, celsius: number): void {
    this.heatAt(instant, celsius)
    const gap = this.count === 0 ? 0 : instant - this.lastAt
    const before = this.count === 0 ? -Infinity : this.last
    if (gap > this.longestGap) this.longestGap = gap
    if (celsius > this.highest) {
      this.highest = celsius
      this.highestAt = instant
    }
    // Under every row before and after, and not blind between: nothing changes.
    if (celsius >= this.lowestLevel || before >= this.lowestLevel || gap > BLIND_MS) {
      for (const row of this.rows) advance(row, before, celsius, instant, gap)
      this.proof ??= this.proofNow(instant)
    }
    this.count++
    this.lastAt = instant
    this.last = celsius
  }

  private proofNow(instant: Instant): Proof | null {
    let best: Row | null = null
    for (const row of this.rows) {
      const met = row.needed === 0 ? !Number.isNaN(row.since) : row.least >= row.needed
      if (met && (!best || row.level > best.level)) best = row
    }
    if (!best) return null
    return { row: best.row, from: best.since, to: instant, lowest: best.lowest, highest: best.highest }
  }

  private now(): Held {
    const rows = this.rows.map((run) => ({
      row: run.row,
      held: longest(run),
      since: Number.isNaN(run.since) ? null : run.since,
      unread: run.unread,
    }))
    const { count, last, lastAt, highest, highestAt, longestGap, proof } = this
    const runs = this.rows.map((run) => ({ most: longest(run).most, run: run.mostRun }))
    return {
      rows,
      proof,
      last: count ? { at: lastAt, celsius: last } : null,
      highest: count ? { at: highestAt, celsius: highest } : null,
      longestGap,
      // Taken to be at the row at the close, the last stretch counts whole whichever side it began on.
      mostAt: (closedAt) =>
        runs.map(({ most, run }) => (count ? Math.max(most, run + Math.max(0, closedAt - lastAt)) : 0)),
    }
  }
}
