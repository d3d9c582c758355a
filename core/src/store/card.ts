import type { Instant } from '../calendar/instant'
import type { Day } from '../calendar/zone'
import type { Id } from '../ledger/entry'
import type { HeatStatus } from '../ledger/storeEntries'
import type { Allergen } from '../ingredient/ingredient'
import type { DietClaim } from '../method/facts'
import { frozenOf, holdOf, isGone, itemLeft, openedAt, placeOf, type ItemState } from '../state/item'
import { wallsOf } from './dating'
import type { Measure } from './measure'

/** An item in short, as lists show it: facts only, nothing that depends on the time. */
export interface ItemCard {
  id: Id
  code: string
  name: string
  what: ItemState['what']
  made: Instant
  left: Measure
  gone: boolean
  unit: Id | null
  shelf: number | null
  /** Out with time as its only control, or hot, since; null: neither. */
  outSince: Instant | null
  lastDay: Day | null
  until: Instant | null
  /** Frozen: the days that will be left; null otherwise. */
  frozenDays: number | null
  ruledBy: string
  ready: Instant | null
  held: boolean
  heat: HeatStatus
  advisory: boolean
  allergens: Allergen[]
  claims: DietClaim[]
}

export function itemCard(item: ItemState, zone: string): ItemCard {
  const { id, code, name, what, made, ready, facts } = item
  const [wall] = wallsOf(item.dating, openedAt(item), frozenOf(item), zone)
  const place = placeOf(item)
  const out = place && ['out', 'serve', 'hot'].includes(place.value.how) ? place.at : null
  return {
    id,
    code,
    name,
    what,
    made,
    left: itemLeft(item),
    gone: isGone(item),
    unit: place?.value.unit ?? null,
    shelf: place?.value.shelf ?? null,
    outSince: out,
    lastDay: wall?.lastDay ?? null,
    until: wall?.until ?? null,
    frozenDays: wall?.daysLeft ?? null,
    ruledBy: wall?.ruledBy ?? '',
    ready,
    held: holdOf(item) !== null,
    heat: facts.heat,
    advisory: facts.advisory,
    allergens: facts.allergens,
    claims: facts.claims,
  }
}
