import { MINUTE, type Instant } from '../../ground/instant'
import { aimOf, stageOf } from '../../rules/compared'
import type { Finding } from '../finding'

/** Where a check stands on the clock: what has to be reached, or to be under, at which time, °C. */
export interface Gate {
  kind: 'reach' | 'be under'
  at: Instant
  celsius: number
}

/** Where the floor of a mixture that nobody has read hot enough is drawn: so long after now, ms. */
const AHEAD = 2 * MINUTE

/**
 * Where a finding has its gate; null for what is no gate. What is passed stands where it was passed, what is open at its
 * deadline.
 * @param read the readings of the mixture, in order of time
 */
export function gateAt(
  { check, standing, because, end, deadline }: Finding,
  read: readonly { at: Instant; celsius: number }[],
  now: Instant,
): Gate | null {
  const { rule } = check.limit
  if (rule.kind === 'hold' || rule.kind === 'equivalent') {
    const celsius = 'row' in because ? because.row.celsius : (aimOf(rule, check) ?? 70)
    const first = read.find((each) => each.celsius >= celsius)
    const hottest = read.reduce<(typeof read)[number] | null>((a, b) => (a && a.celsius >= b.celsius ? a : b), null)
    const at = first?.at ?? (standing === 'open' ? now + AHEAD : (hottest?.at ?? now))
    return { kind: 'reach', at, celsius }
  }
  if (rule.kind !== 'reach') return null
  const passed = standing === 'proven' ? end?.latest : null
  const at = passed ?? deadline ?? now + rule.withinMinutes * MINUTE
  return { kind: 'be under', at, celsius: stageOf(check.key, rule, check).to }
}
