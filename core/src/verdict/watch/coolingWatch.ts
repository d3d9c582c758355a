import { MINUTE, type Instant } from '../../calendar/instant'
import type { CoolingStage } from '../../limits/compared'
import { SAME_DEGREE } from '../../quantity/temperature'
import type { Bracket } from '../../trace/reading'
import type { Trace } from '../../trace/trace'
import type { Standing } from '../standing'
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
}

/** What starts the clock of a stage. */
export type Start =
  /** The crossing of `from`: after an instant, or after the heat. */
  | { kind: 'from'; after: Instant }
  | { kind: 'heat'; heat: Heat }
  /** The end of the stage before. */
  | { kind: 'previous'; stage: CoolingWatch | null }
  | { kind: 'event'; at: Instant | null }

/**
 * Follows one stage of a cooling. The fall to `from` starts the clock, a later rise does not restart it: only heat that
 * has not ended does. A rising stage is the same with the scale turned over.
 */
export class CoolingWatch extends Follower {
  start: Bracket | null = null
  end: Bracket | null = null
  /** Indices, -1 where there is none: the reading that ended it and the one before. */
  private endIndex = -1
  private endBefore = -1
  /** Goes up whenever everything is forgotten. */
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
  /** -1 turns the scale over: what rises falls. */
  private readonly sign: 1 | -1
  private readonly from: number
  private readonly to: number
  private readonly within: number

  constructor(
    readonly stage: CoolingStage,
    private readonly starts: Start,
    window: Window,
    direction: 'falling' | 'rising' = 'falling',
  ) {
    super(window, starts.kind === 'heat' ? starts.heat : null)
    this.sign = direction === 'falling' ? 1 : -1
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
    const { at, doubt, warmer, colder } = trace
    const { sign } = this
    const values = sign === 1 ? warmer : colder
    for (let i = from; i < to; i++) {
      if (doubt[i] !== 0 && this.passesOver(doubt[i]!)) this.heatAt(at[i]!, sign * values[i]!)
      else this.read(trace, i, at[i]!, sign * values[i]!)
    }
  }

  private heatAt(instant: Instant, value: number): boolean {
    const hot = value >= this.hot && instant <= this.coolsAt
    if (hot) {
      if (this.start || this.runFirst >= 0) this.forget()
      this.armed = true
    }
    return hot
  }

  private read(trace: Trace, index: number, instant: Instant, value: number): void {
    if (this.heatAt(instant, value)) this.followRun(index, value)
    else if (this.start) {
      if (!this.end) this.advance(trace, index, value)
    } else if (this.starts.kind === 'previous') this.startAfter(trace, index)
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

  /** How the stage stands at an instant. */
  judge(now: Instant, before: CoolingStanding | null): CoolingStanding {
    const { key } = this.stage
    const { within, end } = this
    const start = this.start ?? this.forgottenPot()
    const unsettled = (standing: Standing, deadline: Instant | null, overdue = false): CoolingStanding => ({
      key,
      standing,
      start,
      end,
      deadline,
      overdue,
    })
    if (!start) {
      const waits = this.starts.kind === 'previous' && before?.deadline != null
      const deadline = waits ? before.deadline! + within : null
      const late = deadline !== null && now > deadline
      return unsettled(late ? 'unproven' : 'open', deadline, late && this.lastAt <= deadline)
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

  /** Still hot when last read after the heat: the clock may have started right then. */
  private forgottenPot(): Bracket | null {
    const { starts } = this
    if (this.lastAt === -Infinity || this.lastValue < this.from) return null
    if (starts.kind === 'from') return { earliest: Math.max(this.lastAt, starts.after), likely: null, latest: null }
    if (starts.kind !== 'heat' || starts.heat.mark === Infinity) return null
    return { earliest: Math.max(this.lastAt, starts.heat.mark), likely: null, latest: null }
  }

  protected override isSettled(): boolean {
    return this.end !== null
  }

  protected override settle({ at, doubt, warmer, colder }: Trace, to: number): void {
    let last = to - 1
    while (last > this.previous && this.window.trusted && doubt[last] !== 0) last--
    if (last <= this.previous) return
    this.previous = last
    this.lastAt = at[last]!
    this.lastValue = this.sign * (this.sign === 1 ? warmer : colder)[last]!
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
    for (let i = from; i <= to && !this.end; i++) {
      if (this.window.trusted && trace.doubt[i] !== 0) continue
      this.advance(trace, i, this.sign * values[i]!)
      this.previous = i
    }
    this.previous = restored
  }

  private advance(trace: Trace, index: number, value: number): void {
    const { earliest, latest } = this.start!
    const instant = trace.at[index]!
    if (instant < (earliest ?? latest ?? -Infinity)) return
    if (value <= this.to + SAME_DEGREE) {
      this.endIndex = index
      this.endBefore = this.previous
      this.end = this.bracket(trace, index, this.previous, this.to)
      this.closingValue = value
    } else if (latest !== null && instant > latest + this.within && !this.warmTooLate) {
      this.warmTooLate = true
      this.warmAt = instant
      this.warmCelsius = value
    }
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
    this.restarts++
    this.start = null
    this.end = null
    this.endIndex = -1
    this.endBefore = -1
    this.runFirst = -1
    this.warmTooLate = false
  }
}
