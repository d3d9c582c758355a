import type { CodeUnit } from '../../ground/temperature'
import { rowsOf, stageOf, type CoolingStage, type HoldRow } from '../compared'
import type { Limit, LimitKey, RuleSet } from '../limit'
import type { ReachRule } from '../rule'
import { anz322 } from './anz322'
import { caRetail } from './caRetail'
import { fr2009 } from './fr2009'
import { nz2014 } from './nz2014'
import { strictest } from './strictest'
import { uk2013 } from './uk2013'
import { ukNorthernIreland2006, ukWales2006 } from './ukNations'
import { usFoodCode2022 } from './usFoodCode2022'

/** The rule sets that ship, by key. Every limit in them names its source. */
export const ruleSets: Record<string, RuleSet> = Object.fromEntries(
  [usFoodCode2022, uk2013, ukWales2006, ukNorthernIreland2006, anz322, nz2014, caRetail, fr2009, strictest].map(
    (set) => [set.key, set],
  ),
)

/** The stages of a cooling after heat, in the order in which one may follow another. */
export const COOLING_KEYS: readonly LimitKey[] = ['cool-first', 'cool-second', 'cool-total']

/**
 * The cooling stages of a rule set, °C as compared; empty where it has no number.
 * @param unit which printed figure is the code; by default the rule set's own
 * RangeError for an unknown rule set.
 */
export function coolingStages(ruleSetKey: string, unit?: CodeUnit): CoolingStage[] {
  const set = ruleSet(ruleSetKey)
  return set.limits
    .filter((limit): limit is Limit<ReachRule> => COOLING_KEYS.includes(limit.key) && limit.rule.kind === 'reach')
    .map((limit) => stageOf(nameIn(set.key, limit), limit.rule, { unit: unit ?? set.unit, guard: 0 }))
}

/**
 * The rows of a heat limit, °C as compared; empty where the set has no number for that use.
 * RangeError for an unknown rule set or use.
 */
export function heatRows(ruleSetKey: string, use: 'egg-immediate' | 'egg' | 'reheat', unit?: CodeUnit): HoldRow[] {
  const set = ruleSet(ruleSetKey)
  if (!['egg-immediate', 'egg', 'reheat'].includes(use))
    throw new RangeError(`use: ${String(use)} is not a use of heat`)
  const rule = set.limits.find((limit) => limit.key === use && !limit.alternative)?.rule
  return rule?.kind === 'hold' ? rowsOf(rule, { unit: unit ?? set.unit, guard: 0 }) : []
}

/** A limit's name where limits of several documents stand together: its key, with its origin where that is another. */
export function nameIn(ruleSetKey: string, { key, origin }: Pick<Limit, 'key' | 'origin'>): string {
  return origin === ruleSetKey || origin === 'method' ? key : `${origin}:${key}`
}

/** RangeError for an unknown key. */
export function ruleSet(key: string): RuleSet {
  const set = Object.hasOwn(ruleSets, key) ? ruleSets[key] : undefined
  if (!set) throw new RangeError(`ruleSetKey: ${key} is not one of ${Object.keys(ruleSets).join(', ')}`)
  return set
}
