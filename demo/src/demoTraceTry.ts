import { claimMaker, type Seeded } from '@logged-thermal/server'
import { MINUTE, type AnyClaim, type Instant } from '@logged-thermal/core'

/** How long it took, and how much of it was found: a cup of it was never written down. */
const TOOK = 34 * MINUTE
const COUNTED = 0.98

/** A trace of the milk, tried soon after it came: all of it found. One from a thing in the store is due still. */
export function traceClaims(
  { kitchenId, people }: Pick<Seeded, 'kitchenId' | 'people'>,
  entered: readonly AnyClaim[],
  now: Instant,
): AnyClaim[] {
  const milk = entered.find((claim) => claim.kind === 'lot-received' && claim.body.code === 'MK-087')
  if (milk?.kind !== 'lot-received' || !milk.body.held) return []
  const { item, measure } = milk.body.held
  const at = milk.at + 5 * MINUTE
  if (at + TOOK >= now) return []
  const teo = people.find(({ key }) => key === 'teo')!.id
  const claim = claimMaker(kitchenId)
  const begun = claim('trace-begun', kitchenId, at, teo, { of: milk.about, name: milk.body.name, code: milk.body.code })
  const ended = claim('trace-ended', kitchenId, at + TOOK, teo, {
    begun: begun.id,
    found: [milk.about.id, item],
    missing: [],
    counted: { item, left: { ...measure, value: Math.round(measure.value * COUNTED) } },
    note: 'The delivery note was in the wrong folder.',
    balance: null,
  })
  return [begun, ended]
}
