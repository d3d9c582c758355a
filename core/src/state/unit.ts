import { isEntryLate, knownAt } from '../ledger/late'
import { type Instant, DAY } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Entry } from '../ledger/entry'
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
  /** When the kitchen knew of it. */
  knownAt: Instant
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

export function applyToUnit(id: Id, state: UnitState | null, told: Entry): UnitState | null {
  const { claim } = told
  if (claim.kind === 'unit-registered') {
    return { id, airs: state?.airs ?? [], skips: state?.skips ?? [], ...claim.body }
  }
  if (!state) return null
  const { id: entry, at, by } = claim
  const known = { knownAt: knownAt(told), ...(isEntryLate(told, at) ? { late: true as const } : {}) }
  switch (claim.kind) {
    case 'placed':
      return claim.body.air === null
        ? state
        : withAir(state, { entry, at, by, typed: claim.body.air, noted: null, ...known })
    case 'unit-read':
      return withAir(state, { entry, at, by, typed: claim.body.typed, noted: claim.body.noted, ...known })
    case 'unit-skipped':
      return { ...state, skips: [...state.skips, { at, by, reason: claim.body.reason }].slice(-100) }
    case 'entries-accepted':
      return {
        ...state,
        airs: state.airs.map((air) =>
          claim.body.entries.some((each) => each.entry === air.entry) ? accepted(air) : air,
        ),
      }
    case 'air-taken-back':
      return { ...state, airs: state.airs.filter((air) => air.entry !== claim.body.target) }
    default:
      return state
  }
}

function accepted({ late: _late, ...air }: AirReading): AirReading {
  return air
}

function withAir(state: UnitState, read: Omit<AirReading, 'celsius'>): UnitState {
  const air = { ...read, celsius: celsiusOf(read.typed) }
  const last = state.airs.at(-1)
  const airs = [...state.airs, air]
  if (last && last.at > air.at) airs.sort((a, b) => a.at - b.at)
  const since = airs.at(-1)!.at - KEPT
  return { ...state, airs: airs[0]!.at < since ? airs.filter(({ at }) => at >= since) : airs }
}
