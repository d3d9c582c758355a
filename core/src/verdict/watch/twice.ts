import type { Trace } from '../../trace/trace'
import type { Watch } from './watch'

/**
 * A watch and, once a doubtful reading has come, its twin that sees only those beyond doubt: what both prove is proven,
 * what either denies is denied.
 */
export class Twice<W extends Watch> implements Watch {
  readonly all: W
  trusted: W | null = null

  constructor(private readonly make: (trusted: boolean) => W) {
    this.all = make(false)
  }

  take(trace: Trace, from: number, to: number): void {
    if (trace.doubtful === 0) return this.all.take(trace, from, to)
    if (!this.trusted) {
      this.trusted = this.make(true)
      this.trusted.take(trace, 0, from)
    }
    this.all.take(trace, from, to)
    this.trusted?.take(trace, from, to)
  }
}
