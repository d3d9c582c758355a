import type { Source, Variance } from './source'
import type { CodeUnit } from '../ground/temperature'
import type { MeasureSystem, Practice } from './practice'
import type { Rule } from './rule'

/** What stands behind a limit; it decides what a missed or unproven check allows. */
export type Force = 'law' | 'guidance' | 'house' | 'quality'

export interface Limit<R extends Rule = Rule> {
  key: LimitKey
  /** The rule set or schedule it is printed in; 'house' for the kitchen's own, 'method' for a method's. */
  origin: string
  rule: R
  force: Force
  source: Source
  /** Only where the house chooses it in place of the printed rows. */
  alternative?: true
  /** The printed guidance that a line signed for the method stands in place of: the record prints both. */
  inPlaceOf?: { rule: Rule; force: Force; source: Source }
}

/** Names that mean the same in every rule set. */
export type LimitKey =
  | 'egg'
  | 'egg-immediate'
  | 'egg-guidance'
  | 'no-egg'
  | 'dairy-hot'
  | 'microwave'
  | 'reheat'
  | 'reheat-time'
  | 'rework'
  | 'boil-out'
  | 'fruit-boil'
  | 'fruit-days'
  | 'bake-core'
  | 'ceiling'
  | 'cool-first'
  | 'cool-second'
  | 'cool-total'
  | 'cool-ambient'
  | 'rewarmed'
  | 'chill-begin'
  | 'chill-total'
  | 'chill-holding'
  | 'chill-warm'
  | 'chill-days'
  | 'cold-holding'
  | 'hot-holding'
  | 'exposure'
  | 'shell-egg-air'
  | 'received-cold'
  | 'received-milk'
  | 'thaw-water'
  | 'date-marking'
  | 'house-days'
  | 'serve-by'
  | 'raw-class'
  | 'opened-package'
  | 'combined-parts'
  | 'freezing'
  | 'over-limit'
  | 'time-control'
  | 'time-control-cold'
  | 'pasteurized-egg'
  | 'raw-egg'
  | 'advisory'
  | 'susceptible'
  | 'acidity-packaged'
  | 'acidity'
  | 'thermometer'
  | 'air-thermometer'
  | 'records'
  | 'egg-product'

/** A published rule set, as its document prints it. */
export interface RuleSet {
  key: string
  name: string
  edition: string
  /** Whether the document prints both figures, or °C alone: then °F is the exact conversion. */
  prints: 'both' | 'C'
  /** The unit whose printed figures are the code, unless the kitchen says otherwise. */
  unit: 'C' | 'F'
  /** Whose cups and pints recipes are written in where it is in force; left out: metric. */
  measures?: MeasureSystem
  limits: Limit[]
  /** The limit by which raw shell egg may be served with an advisory; null where it says nothing of the kind. */
  rawShellEgg: LimitKey | null
  /** What a house may take where the set prints no number, or to be stricter. */
  offers: { key: LimitKey; rule: Rule; why: string }[]
}

/** How a kind of product is heated: a method may choose it in place of the rule set's egg rows. */
export interface Schedule {
  key: string
  name: string
  /** Whether it may close a check on a mix with egg. */
  egg: boolean
  limits: Limit[]
  notes: string[]
}

/** A stricter line of the house's, or a looser one that a variance allows. */
export interface HouseLine {
  rule: Rule
  reason: string
}

/** One limit of the kitchen: what is published, what the house adds, what a variance allows. */
export interface Line {
  key: LimitKey
  published: Limit[]
  house: HouseLine | null
  variance: Variance | null
}

/** A version of the limits in force in a kitchen, whole, so that a record needs no other file. */
export interface LimitSet {
  id: string
  version: number
  ruleSet: { key: string; name: string; edition: string }
  /** In force from this instant on, until a later version is. */
  from: number
  /** Which printed figure is compared. */
  unit: CodeUnit
  /** 'tolerance': the thermometer's tolerance is taken off in the unfavourable direction. */
  guard: 'none' | 'tolerance'
  lines: Line[]
  practice: Practice
}
