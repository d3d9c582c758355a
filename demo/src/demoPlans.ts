import { claimMaker, type Seeded } from '@logged-thermal/server'
import {
  dayOf,
  HOUR,
  NOTHING_SIGNED,
  writtenPlan,
  type AnyClaim,
  type Instant,
  type LimitSet,
} from '@logged-thermal/core'

/** Signed as things are, but for the last: the lead signed it under the limits of before, and has to look at it anew. */
const PLANS = [
  {
    method: 'Bay-leaf pouring custard',
    note: 'The 10 cm pan is not used for it: it comes too close to the first gate.',
  },
  { method: 'Sea-buckthorn curd', note: '' },
  { method: 'Walnut crumb sheet', note: '', outOfDate: true },
]

/** Written plans that the lead has signed. @param versions of the limits, the one in force last */
export function planClaims(
  { kitchenId, people, starter: { methods } }: Pick<Seeded, 'kitchenId' | 'people' | 'starter'>,
  versions: readonly [LimitSet, LimitSet],
  zone: string,
): AnyClaim[] {
  const lead = people.find(({ key }) => key === 'ilse')!.id
  const [before, now] = versions
  return PLANS.map(({ method: name, note, outOfDate }, i) => {
    const method = methods.find((each) => each.name === name)!
    const limits = outOfDate ? before : now
    const at: Instant = now.from + (outOfDate ? -1 : 1) * (HOUR + i * 60_000)
    const find = (id: string) => methods.find((each) => each.id === id) ?? null
    const { basis } = writtenPlan(method, limits, NOTHING_SIGNED, dayOf(at, zone), find)
    const parts = method.components.map((part) => part.method)
    const body = { version: 1, limits: limits.id, parts, basis, note }
    return claimMaker(kitchenId)('plan-signed', method.id, at, lead, body)
  })
}
