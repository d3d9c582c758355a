import type { Instant } from '../../ground/instant'
import type { Trace } from '../../physics/trace/trace'
import { Follower, type Heat, type Window } from './watch'

/** Follows when the heat ended: the last hot reading before a colder one, or the mark. */
export class HeatWatch extends Follower {
  private lastHot: Instant | null = null
  private cold = false

  constructor(
    private readonly ends: Heat,
    window: Window,
  ) {
    super(window, ends)
  }

  /** null while it is on the heat. */
  endedAt(): Instant | null {
    if (this.cold && this.lastHot !== null) return this.lastHot
    return this.ends.mark === Infinity ? null : this.ends.mark
  }

  protected readBlock({ at, colder }: Trace, from: number, to: number): void {
    for (let i = from; i < to; i++) this.heatAt(at[i]!, colder[i]!)
  }

  private heatAt(instant: Instant, celsius: number): void {
    if (celsius >= this.hot && instant <= this.coolsAt) {
      this.lastHot = instant
      this.cold = false
    } else if (instant <= this.ends.mark) this.cold = true
  }
}
