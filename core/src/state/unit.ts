import { enteredAt, isEntryLate, type Known } from '../ledger/late'
import { type Instant, DAY } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { ColdUnit, UnitReading } from '../ledger/storeEntries'
import { celsiusOf, type Typed } from '../ground/temperature'

/** What a look at a unit's air said. */
export interface Look {
  at: Instant
  celsius: number
  noted: UnitReading['noted']
  /** Known too late: it can say that the unit was warm, not that it was cold. */
  late?: true
}

/** One look at a unit's air, as it was entered. */
export interface AirReading extends Look {
  entry: Id
  by: Id
  typed: Typed
  /** When it was entered, as far as the server can tell. */
  enteredAt: Instant
}

/** Somebody came by and could not read it. */
export interface Skip {
  at: Instant
  by: Id
  reason: string
}

/** A unit that things are held in, and what its air was: the last two months, oldest first. */
export interface UnitState extends ColdUnit {
  id: Id
  airs: AirReading[]
  skips: Skip[]
}

/** No chilled item that is not frozen is kept longer than this, so no exposure reaches further back, ms. */
const KEPT = 62 * DAY

/** The air as it was last read; null before. */
export function lastAir({ airs }: Pick<UnitState, 'airs'>): AirReading | null {
  return airs.at(-1) ?? null
}

/** One more look at its air, kept for two months. */
export function withAir(state: UnitState, told: Known, typed: Typed, noted: UnitReading['noted']): UnitState {
  const { id: entry, at, by } = told.claim
  const late = isEntryLate(told, at) ? { late: true as const } : {}
  const air = { entry, at, by, typed, noted, enteredAt: enteredAt(told), ...late, celsius: celsiusOf(typed) }
  const last = state.airs.at(-1)
  const airs = [...state.airs, air]
  if (last && last.at > air.at) airs.sort((a, b) => a.at - b.at)
  const since = airs.at(-1)!.at - KEPT
  return { ...state, airs: airs[0]!.at < since ? airs.filter(({ at: read }) => read >= since) : airs }
}

/** The same look once the lead has let it count. */
export function acceptedAir({ late: _late, ...air }: AirReading): AirReading {
  return air
}
