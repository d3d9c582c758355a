import {
  checkFound,
  DAY,
  MINUTE,
  TOLERANCE,
  type Against,
  type Bodies,
  type Id,
  type Instant,
  type InstrumentKind,
  type InstrumentState,
  type Kind,
  type Typed,
} from '@logged-thermal/core'
import { v7 as uuid } from 'uuid'

const DAYS = DAY / MINUTE

/** Enters something so many minutes ago, and folds it. */
export type Enter = <K extends Kind>(kind: K, about: Id, minutesAgo: number, body: Bodies[K], by?: Id) => unknown

interface Told {
  enter: Enter
  /** As it stands with all that was entered before. */
  read: (instrument: Id) => InstrumentState
  now: Instant
  lead: Id
  cook: Id
}

interface DemoInstrument {
  id: Id
  code: string
  kind: InstrumentKind
  place: string
  everyDays: number
  /** How many days ago it was checked, and how far it was out, °C or pH. */
  checks: readonly [daysAgo: number, error: number][]
}

/** What the demo reads with beside its first probe: checked, overdue, never checked; P4 fails later on. */
const MORE: readonly Omit<DemoInstrument, 'id'>[] = [
  {
    code: 'P1',
    kind: 'probe',
    place: 'walk-in door',
    everyDays: 7,
    checks: [
      [39.8, 0.2],
      [33, 0.3],
      [26.3, 0.4],
      [19.5, 0.5],
      [12.7, 0.6],
      [5.8, 0.7],
    ],
  },
  {
    code: 'S1',
    kind: 'surface',
    place: 'sauce bench',
    everyDays: 7,
    checks: [
      [37, -0.1],
      [30.2, -0.2],
      [23.4, -0.2],
      [16.6, -0.3],
      [9.1, -0.3],
    ],
  },
  {
    code: 'P4',
    kind: 'probe',
    place: 'induction 2',
    everyDays: 7,
    checks: [
      [40, 0.1],
      [33.3, 0.1],
      [26.6, 0.2],
      [19.9, 0.2],
      [13.2, 0.4],
      [6.5, 0.4],
    ],
  },
  { code: 'P5', kind: 'probe', place: 'new, drawer 2', everyDays: 7, checks: [] },
  {
    code: 'pH1',
    kind: 'ph',
    place: 'office shelf',
    everyDays: 7,
    checks: [
      [20, 0.01],
      [13.5, 0.01],
      [7.1, 0.02],
      [1.2, 0.02],
    ],
  },
]

/** Its first probe is exact, so that what it shows is what it read. */
const P2_CHECKED = [42, 35.5, 29, 22.3, 15.6, 8.9, 2.2]
const IR1_CHECKED = [41, 34.6, 28, 21.1, 14.4, 7.6, 1.1]
const W1_COMPARED = [40, 12]

/** Every instrument of the demo as it hangs there, with its checks so far. Returns the ids of P4, and of the display of the walk-in. */
export function demoInstruments(told: Told, probe: Id, infrared: Id): { p4: Id; display: Id } {
  for (const daysAgo of P2_CHECKED) checkInIce(told, probe, daysAgo, 0)
  for (const daysAgo of IR1_CHECKED) checkInIce(told, infrared, daysAgo, -0.5)
  const ids = new Map<string, Id>()
  for (const { code, kind, place, everyDays, checks } of MORE) {
    const id = uuid()
    ids.set(code, id)
    register(told, id, { code, kind, place, everyDays }, code === 'P5' ? 1 : 42.5)
    for (const [daysAgo, error] of checks)
      if (kind === 'ph') checkInBuffers(told, id, daysAgo, error)
      else checkInIce(told, id, daysAgo, error)
  }
  const display = uuid()
  register(told, display, { code: 'W1', kind: 'display', place: 'Walk-in 1', everyDays: 30 }, 42.5)
  for (const daysAgo of W1_COMPARED) {
    const shown: Typed = { value: 3.1, unit: 'C' }
    enterCheck(told, display, daysAgo, { kind: 'instrument', id: probe, shown }, [3.4, 3.4, 3.4])
  }
  // P4 fails a day later: S1 passed this one only by what that showed.
  const shown: Typed = { value: 3.4, unit: 'C' }
  enterCheck(told, ids.get('S1')!, 5.9, { kind: 'instrument', id: ids.get('P4')!, shown }, [2.7, 2.7, 2.7])
  certified(told)
  return { p4: ids.get('P4')!, display }
}

/** The house's reference: a laboratory looks at it once a year, and it goes into no food. */
function certified(told: Told): void {
  const reference = uuid()
  register(told, reference, { code: 'R1', kind: 'probe', place: 'office, in its case', everyDays: 365 }, 42.5)
  const truth: Typed = { value: 60, unit: 'C' }
  enterCheck(told, reference, 42, { kind: 'certificate', issuer: 'Tarn Calibration', number: 'R-2093', truth }, [60.2])
}

/** Read in ice three times, with this error in the middle. */
export function checkInIce(told: Told, instrument: Id, daysAgo: number, error: number): Id {
  return enterCheck(told, instrument, daysAgo, { kind: 'ice' }, [error, error, round(error + 0.1)])
}

function checkInBuffers(told: Told, instrument: Id, daysAgo: number, error: number): void {
  const buffers = [7, 4].map((nominal) => ({ nominal, read: nominal + error }))
  enterCheck(told, instrument, daysAgo, { kind: 'buffers', buffers }, [])
}

function enterCheck(
  { enter, read, now, cook }: Told,
  instrument: Id,
  daysAgo: number,
  against: Against,
  values: readonly number[],
): Id {
  const shown = values.map((value): Typed => ({ value, unit: 'C' }))
  const at = Math.round(now - daysAgo * DAY)
  const other = against.kind === 'instrument' ? read(against.id) : null
  const found = checkFound(read(instrument), { at, against, shown }, other)
  const { id } = enter('instrument-checked', instrument, daysAgo * DAYS, { against, shown, found }, cook) as { id: Id }
  return id
}

function register(
  { enter, lead }: Told,
  id: Id,
  { code, kind, place, everyDays }: Pick<DemoInstrument, 'code' | 'kind' | 'place' | 'everyDays'>,
  daysAgo: number,
): void {
  const tolerance = kind === 'ph' ? TOLERANCE.ph : TOLERANCE.temperature
  const checks = { everyDays, overdue: 'counts' as const }
  enter('instrument-registered', id, daysAgo * DAYS, { code, kind, place, tolerance, checks }, lead)
}

function round(value: number): number {
  return Math.round(value * 10) / 10
}
