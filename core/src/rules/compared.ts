import { comparedAs, type CodeUnit } from '../ground/temperature'
import type { HoldRule, ReachRule, Rule } from './rule'

/** A published row as compared: at least `celsius` for `seconds`, unbroken; 0 seconds is instant. */
export interface HoldRow {
  celsius: number
  seconds: number
}

/**
 * One stage of a cooling limit as compared: from `from` °C to `to` °C within `withinMinutes`.
 * `clock`: 'from' (the default) starts at the falling crossing of `from`; 'previous' when the stage before ends;
 * 'event' at a given instant.
 */
export interface CoolingStage {
  key: string
  from: number
  to: number
  withinMinutes: number
  clock?: 'from' | 'previous' | 'event'
}

/** How printed figures become the one that is compared. */
export interface Comparing {
  unit: CodeUnit
  /** °C taken off in the unfavourable direction: the instrument's tolerance, or 0. */
  guard: number
}

/** A hold rule's rows as compared, °C and s: the guard makes each hotter. */
export function rowsOf(rule: HoldRule, { unit, guard }: Comparing): HoldRow[] {
  return rule.rows.map(({ at, seconds }) => ({ celsius: comparedAs(at, unit, 'reach') + guard, seconds }))
}

/**
 * The temperature that a cook aims for, °C as compared: of rows the shortest hold, of an equivalence its reference.
 * null for rules that are no floor.
 */
export function aimOf(rule: Rule, comparing: Comparing): number | null {
  if (rule.kind === 'equivalent') return rule.reference.atCelsius + comparing.guard
  if (rule.kind !== 'hold') return null
  const rows = rowsOf(rule, comparing)
  return (rows.findLast(({ seconds }) => seconds > 0) ?? rows[0])?.celsius ?? null
}

/**
 * A reach rule as a stage, °C as compared. With a guard a falling clock starts warmer and ends colder.
 * A rising stage keeps its figures: the one who judges turns the scale over.
 */
export function stageOf(key: string, rule: ReachRule, { unit, guard }: Comparing): CoolingStage {
  const { clock, direction, withinMinutes } = rule
  const sign = direction === 'falling' ? 1 : -1
  const [starts, ends] = direction === 'falling' ? (['reach', 'under'] as const) : (['under', 'reach'] as const)
  const to = comparedAs(rule.to, unit, ends) - sign * guard
  if (clock === 'event') return { key, from: to, to, withinMinutes, clock: 'event' }
  if ('after' in clock) return { key, from: to, to, withinMinutes, clock: 'previous' }
  return { key, from: comparedAs(clock.crossing, unit, starts) + sign * guard, to, withinMinutes, clock: 'from' }
}
