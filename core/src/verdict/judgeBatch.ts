import type { Instant } from '../calendar/instant'
import type { Check } from '../limits/checksFor'
import type { BatchState } from '../state/batch'
import { evidence } from './evidence'
import { findCooling } from './findCooling'
import { findDays } from './findDays'
import { findFloor } from './findFloor'
import { findStay } from './findStay'
import type { Finding } from './finding'
import type { Standing } from './standing'

/** What judging needs beyond the batch. */
export interface World {
  /** IANA zone of the kitchen. */
  zone: string
}

/** Every check of a batch, in the order of the work, as it stands at `now`. */
export function judgeBatch(batch: BatchState, world: World, now: Instant): Finding[] {
  return batch.checks.map((check) => find(check, batch, world, now))
}

/**
 * The batch as a whole: the worst of its law and house checks. 'open' while a floor or a cooling is; keeping cold and
 * in date goes on after the batch is proven.
 */
export function batchStanding(findings: readonly Finding[]): Standing {
  const binding = findings.filter(({ check }) => check.limit.force === 'law' || check.limit.force === 'house')
  const any = (standing: Standing) => binding.some((finding) => finding.standing === standing)
  if (any('missed')) return 'missed'
  if (any('unproven')) return 'unproven'
  const gates = binding.filter(({ check }) => check.limit.rule.kind === 'hold' || check.limit.rule.kind === 'reach')
  return gates.every(({ standing }) => standing === 'proven') ? 'proven' : 'open'
}

/** The date that rules: the earliest that any of the batch's day limits allows. null where it has none. */
export function rulingDate(findings: readonly Finding[]): Finding | null {
  return findings
    .filter(({ check, deadline }) => check.limit.rule.kind === 'days' && deadline !== null)
    .reduce<Finding | null>((first, next) => (first && first.deadline! <= next.deadline! ? first : next), null)
}

/** When time alone will next change a finding; null when only an entry can. */
export function nextChange(findings: readonly Finding[]): Instant | null {
  const instants = findings.flatMap(({ nextAt }) => (nextAt === null ? [] : [nextAt]))
  return instants.length ? Math.min(...instants) : null
}

function find(check: Check, batch: BatchState, { zone }: World, now: Instant): Finding {
  const { rule } = check.limit
  switch (rule.kind) {
    case 'hold':
      return findFloor(check, rule, evidence(check, batch))
    case 'reach':
      return findCooling(check, rule, evidence(check, batch), now)
    case 'stay':
      return findStay(check, rule, evidence(check, batch))
    case 'days':
      return findDays(check, rule, batch, zone, now)
    case 'no number':
      return unlimited(check)
  }
}

/** A rule set without a number for a check that the method carries: a house line is needed, and it does not pass. */
function unlimited(check: Check): Finding {
  const nothing = { deciding: [], start: null, end: null, deadline: null, doubts: [], nextAt: null }
  return { check, standing: 'unproven', overdue: false, because: { code: 'no number' }, ...nothing }
}
