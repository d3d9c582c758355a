import type { Instant } from '../../ground/instant'
import type { Day } from '../../ground/zone'
import type { Id } from '../../ledger/subject'
import type { HeatStatus } from '../../ledger/storeEntries'
import type { Allergen } from '../../recipe/ingredient/ingredient'
import type { DietClaim } from '../../recipe/method/facts'
import { dispatchesOf, holdOf, isGone, isToAnswer, itemLeft, placeOf, type ItemState } from '../../state/item'
import type { DateWall } from '../dates/walls'
import type { Measure } from '../../ground/measure'
import type { HoldingKind } from '../../recipe/checks/unitKind'
import type { Traces } from '../../ledger/tool'
import { NO_TRACES } from './carryOver'
import { lastAir, type AirReading, type UnitState } from '../../state/unit'

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
  /** Who got some of it outside the kitchen, in the order it left: a recall reaches them too. */
  sentTo: string[]
  heat: HeatStatus
  advisory: boolean
  allergens: Allergen[]
  /** What in it nobody read the allergens of. */
  unknown: string[]
  /** What a tool may have brought along. */
  mayContain: Traces
  claims: DietClaim[]
}

/** @param walls its dates, the one that rules first */
export function itemCard(item: ItemState, walls: readonly DateWall[]): ItemCard {
  const { id, code, name, what, made, ready, facts } = item
  const [wall] = walls
  const place = placeOf(item)
  const out = place && ['out', 'serve', 'hot'].includes(place.value.how) ? place.at : null
  return {
    id,
    code,
    name,
    what,
    made,
    left: itemLeft(item),
    gone: isGone(item) && !isToAnswer(item),
    unit: place?.value.unit ?? null,
    shelf: place?.value.shelf ?? null,
    outSince: out,
    lastDay: wall?.lastDay ?? null,
    until: wall?.until ?? null,
    frozenDays: wall?.daysLeft ?? null,
    ruledBy: wall?.ruledBy ?? '',
    ready,
    held: holdOf(item) !== null,
    sentTo: [...new Set(dispatchesOf(item).map(({ out }) => out.value.name))],
    heat: facts.heat,
    advisory: facts.advisory,
    allergens: facts.allergens,
    unknown: facts.unknown,
    mayContain: facts.mayContain ?? NO_TRACES,
    claims: facts.claims,
  }
}

/** A unit in short, with its last look. */
export interface UnitCard {
  id: Id
  name: string
  kind: HoldingKind
  air: AirReading | null
}

export function unitCard(unit: UnitState): UnitCard {
  const { id, name, kind } = unit
  return { id, name, kind, air: lastAir(unit) }
}
