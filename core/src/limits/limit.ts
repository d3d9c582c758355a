import type { CodeUnit } from '../quantity/temperature'
import type { Rule } from './rule'

/** What stands behind a limit; it decides what a missed or unproven check allows. */
export type Force = 'law' | 'guidance' | 'house' | 'quality'

/** Where a number is from, and how sure we are of having it right. A starting point: check it where you are. */
export interface Source {
  document: string
  section: string
  edition: string
  confidence: 'high' | 'medium'
}

export interface Limit {
  key: LimitKey
  rule: Rule
  force: Force
  source: Source
}

/** Names that mean the same in every rule set. */
export type LimitKey =
  | 'egg-immediate'
  | 'egg'
  | 'ceiling'
  | 'cool-first'
  | 'cool-total'
  | 'cool-ambient'
  | 'cold-holding'
  | 'date-marking'
  | 'house-days'

/** A published rule set, as its document prints it. */
export interface RuleSet {
  key: string
  name: string
  /** The unit whose printed figures are the code, unless the kitchen says otherwise. */
  unit: 'C' | 'F'
  limits: Limit[]
}

/** The limits in force in a kitchen, whole, so that a record needs no other file. */
export interface LimitSet {
  id: string
  version: number
  ruleSet: { key: string; name: string }
  /** Which printed figure is compared. */
  unit: CodeUnit
  limits: Limit[]
}
