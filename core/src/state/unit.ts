import { enteredAt, isEntryLate, type Known } from '../ledger/late'
import { type Instant, DAY } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { ColdUnit, UnitReading } from '../ledger/storeEntries'
import type { Typed } from '../ground/temperature'
import { failureOf, type FailedProbe } from './backing'
import type { Fact } from './fact'
import { celsiusRead } from './reading'

/** What a look at a unit's air said. */
export interface Look {
  at: Instant
  celsius: number
  noted: UnitReading['noted']
  /** Known too late: it can say that the unit was warm, not that it was cold. */
  late?: true
  /** Its instrument is in doubt: the same. */
  doubt?: 'failed' | 'lapsed'
}

/** One look at a unit's air, as it was entered. */
export interface AirReading extends Look {
  entry: Id
  by: Id
  typed: Typed
  /** null: its own display, which is not registered. */
  instrument: Id | null
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
export function withAir(state: UnitState, told: Known, read: UnitReading): UnitState {
  const { id: entry, at, by } = told.claim
  const { typed, instrument, noted } = read
  const late = isEntryLate(told, at) ? { late: true as const } : {}
  const celsius = celsiusRead(read)
  const air = {
    entry,
    at,
    by,
    typed,
    instrument,
    noted,
    enteredAt: enteredAt(told),
    ...late,
    ...doubted(read),
    celsius,
  }
  const last = state.airs.at(-1)
  const airs = [...state.airs, air]
  if (last && last.at > air.at) airs.sort((a, b) => a.at - b.at)
  const since = airs.at(-1)!.at - KEPT
  return { ...state, airs: airs[0]!.at < since ? airs.filter(({ at: read }) => read >= since) : airs }
}

/** The same look once the lead has let it count. */
export function acceptedAir({ late: _late, doubt: _doubt, ...air }: AirReading): AirReading {
  return air
}

/** What was read by instruments that are found wrong is a word from then on, until the lead lets it count. */
export function withDoubts(state: UnitState, failed: readonly Fact<FailedProbe>[]): UnitState {
  return failed.reduce(withDoubt, state)
}

function withDoubt(state: UnitState, failed: Fact<FailedProbe>): UnitState {
  const { due } = failed.value
  // What was never checked says as much as a display that nobody registered.
  if (due === 'unchecked') return state
  const isDoubted = ({ at, instrument }: AirReading) =>
    failureOf({ at, value: { instrument: instrument ?? null }, accepted: null }, [failed]) !== null
  return {
    ...state,
    airs: state.airs.map((air) => (isDoubted(air) ? { ...air, doubt: due ?? 'failed' } : air)),
  }
}

function doubted({ readBy }: UnitReading): Pick<Look, 'doubt'> {
  const backing = readBy?.backing
  return backing === 'failed' || backing === 'lapsed' ? { doubt: backing } : {}
}
