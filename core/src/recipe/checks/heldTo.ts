import type { Day } from '../../ground/zone'
import type { LimitSet } from '../../rules/limit'
import { withSignedLines } from '../../rules/signedLine'
import type { Method } from '../method/method'
import { methodRef } from '../method/methodRef'
import { checksFor } from './checksFor'
import { bakeOn, NOTHING_SIGNED, type Signed } from './signed'
import { termsOf } from './terms'

/**
 * All that a batch of a method is held to under the limits of a day.
 * @param factor how many times over it is made
 * @param forSusceptible the order is for highly susceptible people, whatever the kitchen serves else
 * @param signed what the lead signed for this method: lines in place of guidance, a bake that closes its floor
 */
export function heldTo(
  method: Method,
  factor: number,
  limits: LimitSet,
  forSusceptible: boolean,
  day: Day,
  signed: Signed = NOTHING_SIGNED,
) {
  const own = withSignedLines(limits, signed.lines, day)
  const terms = termsOf(method, factor, own, forSusceptible, day, signed)
  const checks = checksFor(method, own, day, terms.eggs, bakeOn(signed, method, day))
  return { method: methodRef(method), checks, terms }
}
