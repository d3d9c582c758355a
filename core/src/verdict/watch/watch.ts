import type { Instant } from '../../calendar/instant'
import { SAME_DEGREE } from '../../quantity/temperature'
import type { Trace } from '../../trace/trace'

/**
 * What one limit remembers of a trace: fed readings in order, it answers at any time in the same steps however long
 * the trace is.
 */
export interface Watch {
  /** Takes the readings of indices `from` to `to` (not included); `from` is where the last call ended. */
  take(trace: Trace, from: number, to: number): void
}

/** Which readings a watch looks at. */
export interface Window {
  /** No reading before this counts. */
  from: Instant
  /** None after this. */
  to: Instant
  /** Only readings without a doubt. */
  trusted: boolean
}

export const EVERYTHING: Window = { from: -Infinity, to: Infinity, trusted: false }

/**
 * The heat that comes before a cooling or ends a cook step. A pot that was hot and is then read cold has left the heat,
 * marked or not; and a mark set after it had cooled is taken back to the last hot reading, so that a late tap never
 * shortens a cooling. Every reading tells it, also one that can prove nothing.
 */
export interface Heat {
  /** At or above this it is on the heat, °C. */
  hot: number
  /** When it was marked as off the heat; Infinity while it is not. */
  mark: Instant
}

/** After so many readings it looks whether it is settled. */
const BLOCK = 64

/**
 * Goes through the readings that a watch looks at, in order. Each kind of watch has the loop over a block of its own:
 * a shared one would have to call it for every reading through a table, with every number boxed.
 */
export abstract class Follower implements Watch {
  /** Bits of every doubt among the readings that it took while it was not settled. */
  doubt = 0
  /** At or above this, until `coolsAt`, a reading says that the heat has not ended, °C. */
  protected readonly hot: number
  protected readonly coolsAt: Instant

  constructor(
    protected readonly window: Window,
    protected readonly heat: Heat | null,
  ) {
    this.hot = heat ? heat.hot - SAME_DEGREE : Infinity
    this.coolsAt = heat ? heat.mark : -Infinity
  }

  take(trace: Trace, from: number, to: number): void {
    const { at } = trace
    const { from: opensAt, to: closesAt } = this.window
    let i = from
    while (i < to && at[i]! < opensAt) i++
    let end = to
    while (end > i && at[end - 1]! > closesAt) end--
    while (i < end) {
      if (at[i]! > this.coolsAt && this.isSettled()) return this.settle(trace, end)
      const stop = Math.min(end, i + BLOCK)
      this.readBlock(trace, i, stop)
      i = stop
    }
  }

  /** Nothing that can still be read changes what it found. */
  protected isSettled(): boolean {
    return false
  }

  /** Takes note of the last reading before `to`, and of no other. */
  protected settle(_trace: Trace, _to: number): void {}

  /** Reads the readings of indices `from` to `to` (not included). */
  protected abstract readBlock(trace: Trace, from: number, to: number): void

  /** Whether a doubtful reading is not looked at; otherwise its doubt is taken note of. */
  protected passesOver(doubt: number): boolean {
    if (this.window.trusted) return true
    if (!this.isSettled()) this.doubt |= doubt
    return false
  }
}
