import type { Method, Of } from '../method/method'
import type { CodeUnit } from '../quantity/temperature'
import type { Where } from '../trace/reading'
import { families } from './families'
import type { Limit, LimitKey, LimitSet } from './limit'
import type { Mark } from './rule'

/**
 * One limit as it applies to a batch, resolved when the batch starts and stored with it, so that an old batch never
 * changes with our code and an export can be judged alone.
 */
export interface Check {
  key: string
  step: string
  limit: Limit
  /** Which printed figure of the limit is compared. */
  unit: CodeUnit
  /** Which readings can count: of what, taken where, and between which marks. */
  evidence: { of: Of; where: Where[]; from: Mark; to: Mark | null }
}

/** The checks that a batch of this method is held to under these limits, in the order of the work. */
export function checksFor(method: Method, limits: LimitSet): Check[] {
  const family = families[method.family]
  const cook = stepOf(method, 'cook')
  const cool = stepOf(method, 'cool')
  const hold = stepOf(method, 'hold')
  const combined: Mark = { step: stepOf(method, 'temper'), edge: 'combined' }
  const cooked: Mark = { step: cook, edge: 'done' }

  const check = (step: string, limit: Limit, from: Mark, to: Mark | null): Check => ({
    key: limit.key,
    step,
    limit,
    unit: limits.unit,
    evidence: { of: 'mixture', where: ['core'], from, to },
  })
  return [
    check(cook, inForce(limits, family.heat), combined, cooked),
    check(cook, ceilingOf(method), combined, cooked),
    ...family.cooling.map((key) => check(cool, inForce(limits, key), cooked, null)),
    check(hold, inForce(limits, 'cold-holding'), cooked, null),
    check(hold, inForce(limits, 'date-marking'), cooked, null),
    check(hold, houseDaysOf(method), cooked, null),
  ]
}

function inForce(limits: LimitSet, key: LimitKey): Limit {
  const found = limits.limits.find((limit) => limit.key === key)
  if (found) return found
  const source = { document: limits.ruleSet.name, section: '', edition: '', confidence: 'high' as const }
  return { key, rule: { kind: 'no number' }, force: 'law', source }
}

function ceilingOf(method: Method): Limit {
  return {
    key: 'ceiling',
    rule: { kind: 'stay', side: 'under', level: families[method.family].ceiling },
    force: 'quality',
    source: { document: 'House default', section: method.family, edition: '1', confidence: 'medium' },
  }
}

function houseDaysOf(method: Method): Limit {
  return {
    key: 'house-days',
    rule: { kind: 'days', days: method.houseDays },
    force: 'house',
    source: { document: method.name, section: 'house days', edition: `version ${method.version}`, confidence: 'high' },
  }
}

function stepOf(method: Method, kind: Method['steps'][number]['kind']): string {
  const step = method.steps.find((candidate) => candidate.kind === kind)
  if (!step) throw new RangeError(`method: ${method.name} has no step "${kind}"`)
  return step.key
}
