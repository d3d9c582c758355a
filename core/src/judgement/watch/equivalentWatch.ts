import { MINUTE, type Instant } from '../../ground/instant'
import { addReferenceMinutes, rateOf, type Rate } from '../../physics/lethality/rate'
import type { Reference } from '../../rules/rule'
import type { Bounded } from '../../physics/trace/reading'
import type { Trace } from '../../physics/trace/trace'
import { BLIND_MS, provingGap } from './holdWatch'
import { Follower, type Heat, type Window } from './watch'

/** What a trace is worth so far, in minutes at the reference temperature. */
export interface Accrued {
  minutes: Bounded
  last: { at: Instant; celsius: number } | null
  highest: { at: Instant; celsius: number } | null
}

/** Adds up equivalent minutes as readings come. Blind intervals count nothing at least, and at most the highest rate. */
export class EquivalentWatch extends Follower {
  private readonly rate: Rate
  private readonly gap: number
  private readonly highestRate: number
  private sum: Bounded = { least: 0, likely: 0, most: 0 }
  private lastAt = -Infinity
  private last = NaN
  private highest = -Infinity
  private highestAt = 0
  private seenHot = false
  /** When the target was reached at least; Infinity while it is not. */
  reachedAt = Infinity
  private offHeat: Accrued | null = null

  constructor(
    private readonly reference: Reference,
    private readonly targetMinutes: number,
    window: Window,
    heat: Heat | null = null,
  ) {
    super(window, heat)
    this.rate = rateOf(reference)
    this.gap = provingGap(targetMinutes * 60)
    this.highestRate = reference.to === undefined ? Infinity : this.rate.at(reference.to)
  }

  closed(): { accrued: Accrued; closedAt: Instant | null } {
    if (this.offHeat) return { accrued: this.offHeat, closedAt: this.offHeat.last!.at }
    const mark = this.heat?.mark ?? Infinity
    if (mark === Infinity) return { accrued: this.now(), closedAt: null }
    const accrued = this.now()
    const unread = accrued.last ? mark - accrued.last.at : 0
    if (unread > BLIND_MS) accrued.minutes.most += (unread / MINUTE) * this.highestRate
    return { accrued, closedAt: mark }
  }

  /** Minutes more that a temperature needs to be held for so many reference minutes; Infinity where it earns nothing. */
  minutesMore(referenceMinutes: number, celsius: number): number {
    return Math.max(0, referenceMinutes) / this.rate.at(celsius)
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
    if (this.lastAt !== -Infinity) {
      const ms = instant - this.lastAt
      // Under where the rate begins before and after, and not blind between: nothing is earned.
      const floor = this.reference.from ?? -Infinity
      const blind = ms > BLIND_MS
      if (blind || celsius >= floor || this.last >= floor) {
        const most = this.sum.most
        addReferenceMinutes(this.sum, this.rate, this.last, celsius, ms, this.gap)
        if (blind && this.highestRate !== Infinity) this.sum.most = most + (ms / MINUTE) * this.highestRate
      }
    }
    if (celsius > this.highest) {
      this.highest = celsius
      this.highestAt = instant
    }
    this.lastAt = instant
    this.last = celsius
    if (this.reachedAt === Infinity && this.sum.least >= this.targetMinutes) this.reachedAt = instant
  }

  private now(): Accrued {
    const { lastAt, last, highest, highestAt } = this
    const none = lastAt === -Infinity
    return {
      minutes: { ...this.sum },
      last: none ? null : { at: lastAt, celsius: last },
      highest: none ? null : { at: highestAt, celsius: highest },
    }
  }
}
