import { MINUTE, type Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Bounded } from '../../physics/trace/reading'
import type { Trace } from '../../physics/trace/trace'
import { Follower, type Heat, type Window } from './watch'

/** A level that must not be passed again once it was reached. */
export interface StayLevel {
  side: 'under' | 'over'
  /** °C */
  level: number
  grace: { minutes: number; count: 'once' | 'total' } | null
}

/** What is known of the time on the wrong side. */
export interface Stayed {
  /** Whether it ever was on the right side: it counts from then. */
  counted: boolean
  /** The reading furthest to the wrong side. */
  worst: { at: Instant; celsius: number } | null
  /** Whether any reading is on the wrong side. */
  passed: boolean
  /** Certainly longer, or more often, than any grace. */
  exceeds: boolean
  /** Perhaps longer than the grace. */
  mayExceed: boolean
  /** When time alone would make it so, if nobody reads: null while it is on the right side. */
  exceedsAt: Instant | null
  last: { at: Instant; celsius: number } | null
}

/** Follows the time on the wrong side of a level. */
export class StayWatch extends Follower {
  private counted = false
  private countedAt = NaN
  private worst = -Infinity
  private worstAt = 0
  private passed = false
  private lastAt = -Infinity
  private last = NaN
  /** -1 turns the scale over: to stay over is to stay under, read the other way. */
  private readonly sign: 1 | -1
  private readonly level: number
  /** The present period on the wrong side: when it may have begun and when it certainly had. */
  private period: { maybe: Instant; surely: Instant; until: Instant } | null = null
  private periods = 0
  private longest: Bounded = none()
  private total: Bounded = none()

  constructor(
    private readonly rule: StayLevel,
    window: Window,
    heat: Heat | null = null,
  ) {
    super(window, heat)
    this.sign = rule.side === 'under' ? 1 : -1
    this.level = this.sign * rule.level + SAME_DEGREE
  }

  protected readBlock({ at, warmer, colder }: Trace, from: number, to: number): void {
    const { sign } = this
    const values = sign === 1 ? warmer : colder
    let i = from
    while (i < to) {
      if (this.counted && this.period === null) i = this.stays(at, values, i, to)
      if (i < to) {
        this.read(at[i]!, sign * values[i]!)
        i++
      }
    }
  }

  /** Goes through the readings that are on the right side, and not hot, from an index on. Returns the first that is not. */
  private stays(at: Float64Array, values: Float64Array, from: number, to: number): number {
    const { sign, level, hot } = this
    let { worst } = this
    let worstIndex = -1
    let i = from
    for (; i < to; i++) {
      const value = sign * values[i]!
      if (value > level || value >= hot) break
      if (value > worst) {
        worst = value
        worstIndex = i
      }
    }
    if (worstIndex >= 0) {
      this.worst = worst
      this.worstAt = at[worstIndex]!
    }
    if (i > from) {
      this.lastAt = at[i - 1]!
      this.last = sign * values[i - 1]!
    }
    return i
  }

  private heatAt(instant: Instant, value: number): boolean {
    if (!this.isHot(instant, value) || (this.counted && !this.wasDip(this.countedAt))) return false
    this.forget()
    return true
  }

  private read(instant: Instant, value: number): void {
    const hot = this.heatAt(instant, value)
    if (!hot && (this.counted || value <= this.level)) this.step(instant, value)
    this.lastAt = instant
    this.last = value
  }

  stayed(now: Instant): Stayed {
    const { sign, counted, worst, worstAt, passed, lastAt, last } = this
    const { least, most, exceedsAt } = this.wrongSide(now)
    const { grace } = this.rule
    const allowed = grace ? grace.minutes * MINUTE : 0
    const tooOften = grace?.count === 'once' && this.periods > 1
    return {
      counted,
      worst: counted ? { at: worstAt, celsius: sign * worst } : null,
      passed,
      exceeds: passed && (!grace || tooOften || least > allowed),
      mayExceed: grace !== null && most > allowed,
      exceedsAt: exceedsAt === null ? null : exceedsAt + allowed,
      last: lastAt === -Infinity ? null : { at: lastAt, celsius: sign * last },
    }
  }

  /** The longest period or the sum of them, whichever the grace counts, with the present one up to now. */
  private wrongSide(now: Instant): { least: number; most: number; exceedsAt: Instant | null } {
    const { period } = this
    const once = this.rule.grace?.count !== 'total'
    const before = once ? this.longest : this.total
    if (!period) return { least: before.least, most: before.most, exceedsAt: null }
    const least = period.until - period.surely
    const most = Math.max(now, period.until) - period.maybe
    if (once)
      return { least: Math.max(before.least, least), most: Math.max(before.most, most), exceedsAt: period.maybe }
    return { least: before.least + least, most: before.most + most, exceedsAt: period.maybe - before.most }
  }

  private step(instant: Instant, value: number): void {
    if (value > this.worst) {
      this.worst = value
      this.worstAt = instant
    }
    const wrong = value > this.level
    if (wrong) {
      if (!this.period) {
        this.passed = true
        this.periods++
        this.period = { maybe: this.lastAt, surely: instant, until: instant }
      } else this.period.until = instant
    } else if (this.period) {
      const least = this.period.until - this.period.surely
      const most = instant - this.period.maybe
      this.longest = { least: Math.max(this.longest.least, least), likely: 0, most: Math.max(this.longest.most, most) }
      this.total = { least: this.total.least + least, likely: 0, most: this.total.most + most }
      this.period = null
    }
    if (!this.counted) this.countedAt = instant
    this.counted = true
  }

  private forget(): void {
    this.counted = false
    this.worst = -Infinity
    this.passed = false
    this.period = null
    this.periods = 0
    this.longest = none()
    this.total = none()
  }
}

function none(): Bounded {
  return { least: 0, likely: 0, most: 0 }
}
