import type { Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Trace } from '../../physics/trace/trace'

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
}

export const EVERYTHING: Window = { from: -Infinity, to: Infinity }

/**
 * The heat that comes before a cooling or ends a cook step. A pot that was hot and is then read cold has left the heat,
 * marked or not; and a mark set after it had cooled is taken back to the last hot reading, so that a late tap never
 * shortens a cooling.
 */
export interface Heat {
  /** At or above this it is on the heat, °C. */
  hot: number
  /** When it was marked as off the heat; Infinity while it is not. */
  mark: Instant
  /**
   * When every floor of this heat was proven by the readings so far; Infinity while one is not. null: it has no floor,
   * and the first hot reading stands for it. From then on, or from the mark, a pot that falls has left the heat for good:
   * its clock latches, and no later hot reading takes that back.
   */
  floored: (() => Instant) | null
}

/** So many readings are gone through at a time. */
const BLOCK = 64

/**
 * Goes through the readings that a watch looks at, in order. Each kind of watch has the loop over a block of its own:
 * a shared one would have to call it for every reading through a table, with every number boxed.
 */
export abstract class Follower implements Watch {
  /** At or above this, until `coolsAt`, a reading says that the heat has not ended, °C. */
  protected readonly hot: number
  protected readonly coolsAt: Instant
  private firstHot = Infinity

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
      const stop = Math.min(end, i + BLOCK)
      this.readBlock(trace, i, stop)
      i = stop
    }
  }

  /** Reads the readings of indices `from` to `to` (not included). */
  protected abstract readBlock(trace: Trace, from: number, to: number): void

  /** Whether a reading says that it is on the heat. */
  protected isHot(instant: Instant, value: number): boolean {
    if (value < this.hot || instant > this.coolsAt) return false
    if (instant < this.firstHot) this.firstHot = instant
    return true
  }

  /** Whether what began at an instant was only a dip on the heat, as a hot reading after it shows; else it has latched. */
  protected wasDip(began: Instant): boolean {
    const floored = this.heat?.floored
    return began < Math.min(this.coolsAt, floored ? floored() : this.firstHot)
  }
}
