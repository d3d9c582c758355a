import { comparedAs, type CodeUnit } from '../quantity/temperature'
import type { CoolingStage, HoldRow } from './compared'
import type { Limit, RuleSet } from './limit'
import type { HoldRule, ReachRule } from './rule'
import { usFoodCode2022 } from './usFoodCode2022'

/** The rule sets that ship, by key. Every limit in them names its source. */
export const ruleSets: Record<string, RuleSet> = { [usFoodCode2022.key]: usFoodCode2022 }

/**
 * The cooling stages of a rule set, °C as compared.
 * @param unit which printed figure is the code; by default the rule set's own
 * RangeError for an unknown rule set.
 */
export function coolingStages(ruleSetKey: string, unit?: CodeUnit): CoolingStage[] {
  const set = ruleSet(ruleSetKey)
  return set.limits.flatMap(({ key, rule }) => (rule.kind === 'reach' ? [stageOf(key, rule, unit ?? set.unit)] : []))
}

/**
 * The rows of a heat limit, °C as compared; empty where the set has no number for that use.
 * RangeError for an unknown rule set or use.
 */
export function heatRows(ruleSetKey: string, use: 'egg-immediate' | 'egg' | 'reheat', unit?: CodeUnit): HoldRow[] {
  const set = ruleSet(ruleSetKey)
  if (!['egg-immediate', 'egg', 'reheat'].includes(use))
    throw new RangeError(`use: ${String(use)} is not a use of heat`)
  const rule = set.limits.find((limit: Limit) => limit.key === use)?.rule
  return rule?.kind === 'hold' ? rowsOf(rule, unit ?? set.unit) : []
}

/** A hold rule's rows as compared, °C and s. */
export function rowsOf(rule: HoldRule, unit: CodeUnit): HoldRow[] {
  return rule.rows.map(({ at, seconds }) => ({ celsius: comparedAs(at, unit, 'reach'), seconds }))
}

/** A reach rule as a stage, °C as compared. */
export function stageOf(key: string, rule: ReachRule, unit: CodeUnit): CoolingStage {
  return {
    key,
    from: comparedAs(rule.clock.crossing, unit, 'reach'),
    to: comparedAs(rule.to, unit, 'under'),
    withinMinutes: rule.withinMinutes,
    clock: 'from',
  }
}

function ruleSet(key: string): RuleSet {
  const set = Object.hasOwn(ruleSets, key) ? ruleSets[key] : undefined
  if (!set) throw new RangeError(`ruleSetKey: ${key} is not one of ${Object.keys(ruleSets).join(', ')}`)
  return set
}
