import type { Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'
import { addInterval } from '../../physics/trace/timeInBand'
import type { Bounded } from '../../physics/trace/reading'
import type { Trace } from '../../physics/trace/trace'
import { Follower, type Heat, type Window } from '../watch/watch'

/** What is known of the time in a band, ms, counted from the first reading at or under it. */
export interface Exposed {
  counted: boolean
  time: Bounded
  /** Of the most, since it was last read in the band; 0 where it was read cold. */
  sinceMs: number
  /** It adds up from now on: also at the very instant of the reading that found it warm. */
  goesOn: boolean
  last: { at: Instant; celsius: number } | null
}

/** Adds up the time in a band: what a lawful cooling spends in it before it is first cold does not count here. */
export class ExposureWatch extends Follower {
  private counted = false
  private countedAt = NaN
  private sum: Bounded = { least: 0, likely: 0, most: 0 }
  private lastAt = -Infinity
  private last = NaN

  constructor(
    private readonly low: number,
    private readonly high: number,
    window: Window,
    heat: Heat | null = null,
  ) {
    super(window, heat)
  }

  protected readBlock({ at, warmer }: Trace, from: number, to: number): void {
    const low = this.low + SAME_DEGREE
    for (let i = from; i < to; i++) {
      const celsius = warmer[i]!
      // Cold before and after, nothing adds up.
      if (this.counted && celsius <= low && this.last <= low && celsius < this.hot) {
        this.lastAt = at[i]!
        this.last = celsius
      } else this.read(at[i]!, celsius)
    }
  }

  private heatAt(instant: Instant, celsius: number): boolean {
    if (!this.isHot(instant, celsius) || (this.counted && !this.wasDip(this.countedAt))) return false
    this.counted = false
    this.sum = { least: 0, likely: 0, most: 0 }
    return true
  }

  private read(instant: Instant, celsius: number): void {
    if (this.heatAt(instant, celsius)) {
      // On the heat nothing counts.
    } else if (this.counted) {
      // At the edge itself it is still cold: the band begins above it.
      if (this.last > this.low + SAME_DEGREE || celsius > this.low + SAME_DEGREE)
        addInterval(this.sum, this.last, celsius, instant - this.lastAt, this.low, this.high)
    } else if (celsius <= this.low + SAME_DEGREE) {
      this.counted = true
      this.countedAt = instant
    }
    this.lastAt = instant
    this.last = celsius
  }

  /** As it is at an instant: since the last reading it may have been as warm as that was. */
  exposed(now: Instant): Exposed {
    const { counted, sum, lastAt, last } = this
    const read = lastAt === -Infinity ? null : { at: lastAt, celsius: last }
    const goesOn = counted && read !== null && last > this.low + SAME_DEGREE
    const sinceMs = goesOn ? Math.max(0, now - lastAt) : 0
    return { counted, time: { ...sum, most: sum.most + sinceMs }, sinceMs, goesOn, last: read }
  }
}
