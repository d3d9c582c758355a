import type { Day } from '../../ground/zone'
import { UNIT_KINDS } from '../../physics/cooling/place'
import { limitsOf } from './checksFor'
import type { Limit, LimitKey, LimitSet } from '../../rules/limit'
import { practiceSource } from '../../rules/practice'
import type { StayRule } from '../../rules/rule'
import { comparedAs } from '../../ground/temperature'

/** Where things are held: places with a door to cool in, and those that only keep. */
export const HOLDING_KINDS = [...UNIT_KINDS, 'egg refrigerator', 'display case', 'ambient shelf', 'hot well'] as const
export type HoldingKind = (typeof HOLDING_KINDS)[number]

/** A level that a unit's air, or what is held in it, stays under or over. */
export interface Level {
  side: 'under' | 'over'
  /** °C, as it is compared: the printed figure of the kitchen's code unit. */
  celsius: number
  limit: Limit<StayRule>
}

/** Units that keep food cold: what leaves them begins to warm. */
export function isCold(kind: HoldingKind): boolean {
  return kind !== 'ambient shelf' && kind !== 'hot well'
}

/** The level for a kind of unit under a kitchen's limits on a day; null where there is none to keep. */
export function levelOf(kind: HoldingKind, limits: LimitSet, day: Day): Level | null {
  switch (kind) {
    case 'ambient shelf':
      return null
    case 'hot well':
      return strictest(['hot-holding'], limits, day)
    case 'freezer':
      return frozenAt(limits)
    case 'egg refrigerator':
      return shellEggLevel(limits, day)
    default:
      return coldLevel(limits, day)
  }
}

/** The cold that food is kept under: cold holding, and the cook-chill line where the house works by it. */
export function coldLevel(limits: LimitSet, day: Day): Level | null {
  const keys: LimitKey[] = limits.practice.cookChill ? ['cold-holding', 'chill-holding'] : ['cold-holding']
  return strictest(keys, limits, day)
}

/** What is received cold comes under; the cold holding line where a rule set prints none of its own. */
export function receivedLevel(limits: LimitSet, day: Day): Level | null {
  return strictest(['received-cold'], limits, day) ?? coldLevel(limits, day)
}

/** What milk may come under where a law of its own sets it; null where the rule set knows of none. */
export function receivedMilkLevel(limits: LimitSet, day: Day): Level | null {
  return strictest(['received-milk'], limits, day)
}

/** The air that shell eggs are kept in; the cold holding line where a rule set prints none of its own. */
export function shellEggLevel(limits: LimitSet, day: Day): Level | null {
  return strictest(['shell-egg-air'], limits, day) ?? coldLevel(limits, day)
}

/** Under this it stays hard. */
function frozenAt(limits: LimitSet): Level {
  const { freezerAir: celsius } = limits.practice
  const level = { c: celsius, f: Math.round((celsius * 9) / 5 + 32) }
  return {
    side: 'under',
    celsius,
    limit: {
      key: 'freezing',
      origin: 'house',
      rule: { kind: 'stay', side: 'under', level, grace: null },
      force: 'house',
      source: practiceSource('freezer: food stays hard', limits),
    },
  }
}

// One question for every item of a store: asked once a version of the limits and day.
const known = new WeakMap<LimitSet, Map<string, Level | null>>()

function strictest(keys: readonly LimitKey[], limits: LimitSet, day: Day): Level | null {
  const asked = `${day} ${keys.join()}`
  const kept = known.get(limits) ?? new Map<string, Level | null>()
  known.set(limits, kept)
  const found = kept.has(asked) ? kept.get(asked)! : strictestOf(keys, limits, day)
  kept.set(asked, found)
  return found
}

function strictestOf(keys: readonly LimitKey[], limits: LimitSet, day: Day): Level | null {
  const levels = keys
    .flatMap((key) => limitsOf(limits, key, day))
    .flatMap((limit): Level[] => {
      const { rule } = limit
      if (rule.kind !== 'stay') return []
      const celsius = comparedAs(rule.level, limits.unit, rule.side === 'under' ? 'under' : 'reach')
      return [{ side: rule.side, celsius, limit: { ...limit, rule } }]
    })
  return levels.reduce<Level | null>((first, next) => {
    if (!first) return next
    return (next.side === 'under' ? next.celsius < first.celsius : next.celsius > first.celsius) ? next : first
  }, null)
}
