import type { Instant } from '../../ground/instant'
import type { BatchState } from '../../state/batch'
import type { Finding } from '../finding'
import type { World } from '../world'
import { judgeOf } from './judge'
import type { Standing } from '../../ledger/standing'

/** Every check of a batch, in the order of the work, as it stands at `now`, by what was read by hand. */
export function judgeBatch(batch: BatchState, world: World, now: Instant): Finding[] {
  return judgeOf(batch, [], world).findings(now)
}

/**
 * The batch as a whole: the worst of all that binds. 'open' while a floor or a cooling is; keeping cold and
 * in date goes on after the batch is proven.
 */
export function batchStanding(findings: readonly Finding[]): Standing {
  const binding = findings.filter(isBinding)
  const any = (standing: Standing) => binding.some((finding) => finding.standing === standing)
  if (any('missed')) return 'missed'
  if (any('unproven')) return 'unproven'
  return binding.filter(isGate).every(({ standing }) => standing === 'proven') ? 'proven' : 'open'
}

/** A check that the batch stands by: of law, guidance or the house; quality is a note. */
export function isBinding({ check }: Finding): boolean {
  return check.limit.force !== 'quality'
}

/** A check that a reading can prove for good. */
export function isGate({ check }: Finding): boolean {
  return ['hold', 'equivalent', 'reach', 'egg lot'].includes(check.limit.rule.kind)
}

/** The date that rules: the earliest that any of the batch's keeping limits allows. null where it has none. */
export function rulingDate(findings: readonly Finding[]): Finding | null {
  return findings
    .filter(({ check, deadline }) => ['days', 'hours'].includes(check.limit.rule.kind) && deadline !== null)
    .reduce<Finding | null>((first, next) => (first && first.deadline! <= next.deadline! ? first : next), null)
}
