import type { Day } from '../../ground/zone'
import type { LimitKey, LimitSet } from '../../rules/limit'
import { PERMITS, permitted, type Practice } from '../../rules/practice'
import { acidDocumentOn } from '../checks/acidDocument'
import { bakeOn, type Signed } from '../checks/signed'
import type { Allergen } from '../ingredient/ingredient'
import type { MethodFacts } from '../method/facts'
import type { Method } from '../method/method'

/** All that a written plan is made from, short enough to be signed: whatever changes the plan changes this. */
export interface PlanBasis {
  /** Versions of the method and of the limits. */
  method: number
  limits: number
  /** What is in it, its parts and the kitchen's own foods included. */
  allergens: Allergen[]
  unread: string[]
  /** What the lead signed for it, as far as it holds on the day. */
  signed: Signed
  /** Written permissions that hold on the day. */
  variances: (LimitKey | keyof Practice['permits'])[]
}

/** @param day what ends with a day holds on its last, and not on the next */
export function planBasis(
  method: Method,
  limits: LimitSet,
  signed: Signed,
  day: Day,
  { allergens, unchecked, unknown }: Pick<MethodFacts, 'allergens' | 'unchecked' | 'unknown'>,
): PlanBasis {
  const lines = limits.lines.filter(({ house, variance }) => house !== null && permitted(variance, day))
  return {
    method: method.version,
    limits: limits.version,
    allergens,
    unread: [...unchecked, ...unknown],
    signed: {
      lines: signed.lines.filter(({ validUntil }) => day <= validUntil),
      bake: bakeOn(signed, method, day) && signed.bake,
      acid: acidDocumentOn(signed, method, day),
    },
    variances: [
      ...lines.map(({ key }) => key),
      ...PERMITS.filter((permit) => permitted(limits.practice.permits[permit], day)),
    ],
  }
}
