import type { Degrees } from '../ground/temperature'

/** A step's edge in the life of a batch; the instant at which it happened bounds what counts for a check. */
export interface StepMark {
  step: string
  edge: Edge
}

export type Mark = StepMark | 'batch started'

export type Edge = 'started' | 'combined' | 'done' | 'skipped'

/** What a limit asks, with temperatures as printed. */
export type Rule = JudgedRule | StatedRule

/** Rules that readings and the calendar decide. */
export type JudgedRule =
  HoldRule | EquivalentRule | ReachRule | StayRule | ExposureRule | DaysRule | HoursRule | NoNumberRule | EggLotRule

/** Rules about lots, instruments and papers: stated in the limits, looked at where those are handled. */
export type StatedRule = ConditionRule | ToleranceRule | AcidityRule

/** Any one row, unbroken; 0 seconds is instant. */
export interface HoldRule {
  kind: 'hold'
  rows: { at: Degrees; seconds: number }[]
}

/** Minutes equivalent to the reference temperature, integrated: only where a rule set publishes it. */
export interface EquivalentRule {
  kind: 'equivalent'
  reference: Reference
  minutes: number
}

/** Rate 10^((T - atCelsius)/z); none under `from`, constant above `to`. All °C. */
export interface Reference {
  atCelsius: number
  z: number
  from?: number
  to?: number
}

/** Get to `to` within a time of the clock's start. */
export interface ReachRule {
  kind: 'reach'
  clock: Clock
  to: Degrees
  direction: 'falling' | 'rising'
  withinMinutes: number
}

/** When a clock starts: as a temperature is passed, as another limit of the same origin ends, or as its step begins. */
export type Clock = { crossing: Degrees } | { after: string } | 'event'

/** Once on the right side of the level, stay there. */
export interface StayRule {
  kind: 'stay'
  side: 'under' | 'over'
  level: Degrees
  /** How long it may be on the other side: in one single period, or in all. */
  grace: { minutes: number; count: 'once' | 'total' } | null
}

/** Time in a band, added up; what it asks for grows with it. */
export interface ExposureRule {
  kind: 'exposure'
  low: Degrees
  high: Degrees
  bands: { fromMinutes: number; then: 'use or chill' | 'use now' | 'discard' }[]
}

/** Calendar days that it may be kept, the day of preparation being day 1. */
export interface DaysRule {
  kind: 'days'
  days: number
}

/** Hours that it may be kept or stand without temperature control. */
export interface HoursRule {
  kind: 'hours'
  hours: number
  /** Never warmer than this meanwhile. */
  under: Degrees | null
}

/** The rule set prints no number: never proves, and asks for a house line. */
export interface NoNumberRule {
  kind: 'no number'
}

/** Egg that no step heats is from a pasteurized lot, and the lot is named. */
export interface EggLotRule {
  kind: 'egg lot'
}

export interface ConditionRule {
  kind: 'condition'
  needs:
    | 'pasteurized egg'
    | 'advisory'
    | 'no raw egg'
    | 'assured eggs'
    | 'treated fruit'
    | 'earliest date of the parts'
    | 'frozen days stop the count'
    | 'discard'
    | 'written procedure'
    | 'records kept'
  /** For how long records are kept. */
  months?: number
}

/** How far an instrument may be out, each way: a difference of temperature, as printed. */
export interface ToleranceRule {
  kind: 'tolerance'
  within: Degrees
}

/** pH and water activity below which food needs no temperature control; any one row. */
export interface AcidityRule {
  kind: 'acidity'
  rows: { ph: Bound | null; waterActivity: Bound | null }[]
}

/** An upper bound, reached or not. */
export interface Bound {
  most: number
  inclusive: boolean
}

export function isJudged(rule: Rule): rule is JudgedRule {
  return rule.kind !== 'condition' && rule.kind !== 'tolerance' && rule.kind !== 'acidity'
}
