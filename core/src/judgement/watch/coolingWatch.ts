import { HOUR, MINUTE, type Instant } from '../../ground/instant'
import type { CoolingStage } from '../../rules/compared'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Bracket } from '../../physics/trace/reading'
import type { Trace } from '../../physics/trace/trace'
import type { Standing } from '../../ledger/standing'
import { Follower, type Heat, type Window } from './watch'

export interface CoolingStanding {
  key: string
  standing: Standing
  start: Bracket | null
  end: Bracket | null
  /** The last instant at which the limit is certainly still met; provisional while the stage before is open. */
  deadline: Instant | null
  /** Past the deadline, unsettled, and nothing read since: a reading is asked for. */
  overdue: boolean
  /** When silence alone settles what has no deadline yet; null where it does not. */
  silentAt: Instant | null
}

/** What starts the clock of a stage. */
export type Start =
  /** The crossing of `from`: after an instant, or after the heat; `since` it has been on its way there. */
  | { kind: 'from'; after: Instant }
  | { kind: 'heat'; heat: Heat; since: Instant }
  /** The end of the stage before. */
  | { kind: 'previous'; stage: CoolingWatch | null }
  | { kind: 'event'; at: Instant | null; since: Instant | null }

/** What a reading back above the level means. */
export interface Rebound {
  /** Above the level by more than this it was not under it, °C: the tolerance of a thermometer. */
  tolerance: number
  /** Whether what was cold can have warmed so far in that time by itself: then it was, and keeping it cold is another limit. */
  mayWarm(from: number, to: number, ms: number): boolean
}

/** As of readings alone, of which nobody says where it stood: whatever comes back up was never under. */
export const NEVER_BACK: Rebound = { tolerance: SAME_DEGREE, mayWarm: () => false }

/** Nobody stands at a stove longer than this without a reading: then the heat is taken to have ended. */
const ON_THE_HEAT = 2 * HOUR
/** Nor is anything put together for longer without a word. */
const UNTOLD = 24 * HOUR

/**
 * Follows one stage of a cooling. The fall to `from` starts the clock, and it latches: no later rise restarts it. The end
 * is the passage of `to` after which the product stayed under: a reading back above it shows that the colder one was not
 * the core. A rising stage is the same with the scale turned over.
 */
export class CoolingWatch extends Follower {
  start: Bracket | null = null
  end: Bracket | null = null
  /** Indices, -1 where there is none: the reading that ended it and the one before. */
  private endIndex = -1
  private endBefore = -1
  /** Goes up whenever its end, or everything, is forgotten. */
  private restarts = 0
  private restartsSeen = 0
  /** The present run at or under `from`, and the reading before it. */
  private runFirst = -1
  private runBefore = -1
  private previous = -1
  private lastAt = -Infinity
  private lastValue = NaN
  private armed = false
  private warmTooLate = false
  private warmAt = NaN
  private warmCelsius = NaN
  private closingValue = NaN
  /** The latest reading at or under `to` since it ended. */
  private coldAt = NaN
  private coldValue = NaN
  private readonly rebound: Rebound
  /** -1 turns the scale over: what rises falls. */
  private readonly sign: 1 | -1
  private readonly from: number
  private readonly to: number
  private readonly within: number

  constructor(
    readonly stage: CoolingStage,
    private readonly starts: Start,
    window: Window,
    rebound: Rebound,
    direction: 'falling' | 'rising' = 'falling',
  ) {
    super(window, starts.kind === 'heat' ? starts.heat : null)
    this.sign = direction === 'falling' ? 1 : -1
    // What was hot enough once was: that it cools after says nothing against it.
    this.rebound = direction === 'falling' ? rebound : { ...rebound, tolerance: Infinity }
    this.from = this.sign * stage.from
    this.to = this.sign * stage.to
    this.within = stage.withinMinutes * MINUTE
    if (starts.kind === 'event' && starts.at !== null)
      this.start = { earliest: starts.at, likely: starts.at, latest: starts.at }
  }

  override take(trace: Trace, from: number, to: number): void {
    const { starts } = this
    if (starts.kind === 'previous' && starts.stage && starts.stage.restarts !== this.restartsSeen) {
      this.restartsSeen = starts.stage.restarts
      this.forget()
    }
    super.take(trace, from, to)
  }

  protected readBlock(trace: Trace, from: number, to: number): void {
    const { at, warmer, colder } = trace
    const { sign } = this
    const values = sign === 1 ? warmer : colder
    let i = from
    while (i < to) {
      // Long since cold, and still: nearly every reading of a device.
      if (this.end) i = this.stays(at, values, i, to)
      if (i < to) {
        this.read(trace, i, at[i]!, sign * values[i]!)
        i++
      }
    }
  }

  /** Goes through the readings that leave it ended, from an index on. Returns the first that does not. */
  private stays(at: Float64Array, values: Float64Array, from: number, to: number): number {
    const { sign } = this
    const cold = this.to + SAME_DEGREE
    const back = this.to + this.rebound.tolerance
    const { hot } = this
    let lastCold = -1
    let i = from
    for (; i < to; i++) {
      const value = sign * values[i]!
      if (value > back || value >= hot) break
      if (value <= cold) lastCold = i
    }
    if (lastCold >= 0) {
      this.coldAt = at[lastCold]!
      this.coldValue = sign * values[lastCold]!
    }
    if (i > from) {
      this.previous = i - 1
      this.lastAt = at[i - 1]!
      this.lastValue = sign * values[i - 1]!
    }
    return i
  }

  private read(trace: Trace, index: number, instant: Instant, value: number): void {
    if (this.onTheHeat(instant, value)) this.followRun(index, value)
    else if (this.start) this.advance(trace, index, value)
    else if (this.starts.kind === 'previous') this.startAfter(trace, index)
    else {
      this.followRun(index, value)
      if (this.runFirst >= 0 && this.mayStart(instant)) {
        this.start = this.bracket(trace, this.runFirst, this.runBefore, this.from)
        this.scan(trace, this.runFirst, this.runBefore, index)
      }
    }
    this.previous = index
    this.lastAt = instant
    this.lastValue = value
  }

  /** A hot reading before the mark: it heats on. After a fall that was no dip it is only a warm one. */
  private onTheHeat(instant: Instant, value: number): boolean {
    if (!this.isHot(instant, value)) return false
    this.armed = true
    const { start } = this
    if (!start) return true
    const began = start.latest ?? start.earliest ?? -Infinity
    if (!this.wasDip(began) || instant > began + this.within) return false
    this.forget()
    return true
  }

  /** How the stage stands at an instant. */
  judge(now: Instant, before: CoolingStanding | null): CoolingStanding {
    const { key } = this.stage
    const { within, end } = this
    const start = this.start ?? this.forgottenPot()
    const unsettled = (
      standing: Standing,
      deadline: Instant | null,
      overdue = false,
      silentAt: Instant | null = null,
    ): CoolingStanding => ({ key, standing, start, end, deadline, overdue, silentAt })
    if (!start) {
      const waits = this.starts.kind === 'previous' && before?.deadline != null
      const deadline = waits ? before.deadline! + within : null
      const late = deadline !== null && now > deadline
      if (late) return unsettled('unproven', deadline, this.lastAt <= deadline)
      const silentAt = this.silentAt()
      const silent = silentAt !== null && now > silentAt
      return unsettled(silent ? 'unproven' : 'open', deadline, silent, silentAt)
    }
    const deadline = start.earliest === null ? null : start.earliest + within
    const limit = start.latest === null ? Infinity : start.latest + within
    if (this.warmTooLate || (end?.earliest != null && end.earliest > limit)) return unsettled('missed', deadline)
    if (deadline === null) return unsettled('unproven', deadline)
    if (end?.latest != null && end.latest <= deadline) return unsettled('proven', deadline)
    if (now <= deadline) return unsettled('open', deadline)
    return unsettled('unproven', deadline, end === null && this.lastAt <= deadline)
  }

  /** The latest reading, °C; null before the first. */
  get last(): { at: Instant; celsius: number } | null {
    return this.lastAt === -Infinity ? null : { at: this.lastAt, celsius: this.sign * this.lastValue }
  }

  /** The reading that ended it. */
  get closing(): { celsius: number } | null {
    return this.end ? { celsius: this.sign * this.closingValue } : null
  }

  /** The first reading that was still too warm when the time was certainly up. */
  get tooLate(): { at: Instant; celsius: number } | null {
    return this.warmTooLate ? { at: this.warmAt, celsius: this.sign * this.warmCelsius } : null
  }

  /** Off the heat, and not read under `from` since: the clock may have started right then. */
  private forgottenPot(): Bracket | null {
    const { starts } = this
    if (starts.kind === 'from') {
      if (this.lastAt === -Infinity || this.lastValue < this.from) return null
      return { earliest: Math.max(this.lastAt, starts.after), likely: null, latest: null }
    }
    if (starts.kind !== 'heat' || starts.heat.mark === Infinity) return null
    return { earliest: Math.max(this.lastAt, starts.heat.mark), likely: null, latest: null }
  }

  /** Nobody said that the heat ended, or that it is together: when its whole time has certainly passed unread. */
  private silentAt(): Instant | null {
    const { starts, within } = this
    if (starts.kind === 'heat') return Math.max(this.lastAt, starts.since) + ON_THE_HEAT + within
    if (starts.kind === 'event' && starts.since !== null) return Math.max(this.lastAt, starts.since) + UNTOLD + within
    return null
  }

  private followRun(index: number, value: number): void {
    if (value > this.from + SAME_DEGREE) this.runFirst = -1
    else if (this.runFirst < 0) {
      this.runFirst = index
      this.runBefore = this.previous
    }
  }

  private mayStart(instant: Instant): boolean {
    const { starts } = this
    if (starts.kind === 'heat') return this.armed || instant >= starts.heat.mark
    return starts.kind === 'from' && instant >= starts.after
  }

  private startAfter(trace: Trace, index: number): void {
    const stage = this.starts.kind === 'previous' ? this.starts.stage : null
    if (!stage?.end || index < stage.endIndex) return
    this.start = stage.end
    this.scan(trace, stage.endBefore >= 0 ? stage.endBefore : stage.endIndex, -1, index)
  }

  /** The clock has just started: what was read since it may have, in order. */
  private scan(trace: Trace, from: number, before: number, to: number): void {
    const values = trace[this.sign === 1 ? 'warmer' : 'colder']
    const restored = this.previous
    this.previous = before
    for (let i = from; i <= to; i++) {
      this.advance(trace, i, this.sign * values[i]!)
      this.previous = i
    }
    this.previous = restored
  }

  private advance(trace: Trace, index: number, value: number): void {
    const { earliest, latest } = this.start!
    const instant = trace.at[index]!
    if (instant < (earliest ?? latest ?? -Infinity)) return
    if (this.end) {
      if (value <= this.to + this.rebound.tolerance || this.warmedSince(instant, value)) {
        if (value <= this.to + SAME_DEGREE) {
          this.coldAt = instant
          this.coldValue = value
        }
        return
      }
      this.endAgain()
    }
    if (value <= this.to + SAME_DEGREE) {
      this.endIndex = index
      this.endBefore = this.previous
      this.end = this.bracket(trace, index, this.previous, this.to)
      this.closingValue = value
      this.coldAt = instant
      this.coldValue = value
    } else if (latest !== null && instant > latest + this.within && !this.warmTooLate) {
      this.warmTooLate = true
      this.warmAt = instant
      this.warmCelsius = value
    }
  }

  /** Its time is up, and it may have warmed since: that is for the limit of keeping it cold. */
  private warmedSince(instant: Instant, value: number): boolean {
    const { earliest } = this.start!
    if (earliest === null || instant <= earliest + this.within) return false
    return this.rebound.mayWarm(this.sign * this.coldValue, this.sign * value, instant - this.coldAt)
  }

  /** It came back up: the reading that ended it was not the core. */
  private endAgain(): void {
    this.restarts++
    this.end = null
    this.endIndex = -1
    this.endBefore = -1
  }

  /** Where a level was passed, between a reading at or beyond it and the one before. */
  private bracket(trace: Trace, index: number, before: number, level: number): Bracket {
    const values = trace[this.sign === 1 ? 'warmer' : 'colder']
    const latest = trace.at[index]!
    const beyond = this.sign * values[index]! - level
    if (Math.abs(beyond) <= SAME_DEGREE) return { earliest: latest, likely: latest, latest }
    if (before < 0) return { earliest: null, likely: null, latest }
    const earliest = trace.at[before]!
    const high = this.sign * values[before]! - level
    const share = high <= 0 ? 0 : high / (high - beyond)
    return { earliest, likely: earliest + share * (latest - earliest), latest }
  }

  private forget(): void {
    this.endAgain()
    this.start = null
    this.runFirst = -1
    this.warmTooLate = false
  }
}
