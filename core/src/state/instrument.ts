import { DAY, type Instant } from '../ground/instant'
import type { Typed } from '../ground/temperature'
import type {
  Against,
  Backing,
  CheckTerms,
  DueAtOnce,
  InstrumentFacts,
  InstrumentKind,
  ReadBy,
} from '../ledger/instrumentEntries'
import type { Id, Subject } from '../ledger/subject'
import type { Where } from '../physics/trace/reading'

/** One check of an instrument, as it was entered: it is never corrected, another one is made. */
export interface InstrumentCheck {
  entry: Id
  at: Instant
  by: Id
  against: Against
  /** As the instrument showed it; nothing of a pH meter. */
  shown: Typed[]
  reference: number
  error: number
  passed: boolean
  /** What it was held to. */
  tolerance: number
  /** It speaks for readings from here: a pass that was entered late, from when the kitchen knew of it. */
  from: Instant
}

/** What was read with it, or checked against it, first and last. */
export interface Use extends Subject {
  first: Instant
  last: Instant
}

export interface InstrumentState extends InstrumentFacts {
  id: Id
  /** What is written on it. */
  code: string
  kind: InstrumentKind
  /** From the first on, in the order in which they speak. */
  history: InstrumentCheck[]
  /** Checks that it passed against others which were found wrong since: they count for nothing. */
  unfounded: InstrumentCheck[]
  /** It was due at once from then on. */
  dues: { at: Instant; why: DueAtOnce }[]
  /** Out of use; null while it is not. */
  gone: { at: Instant; how: 'lost' | 'retired'; reason: string } | null
  /** What was read with it, as far back as a failure that is told late can reach. */
  uses: Use[]
  /** From when on `uses` is whole; null: from its first reading. */
  usesSince: Instant | null
}

/** Where in the product an instrument of a kind can read; null: it reads no temperature. */
export const measures: Record<InstrumentKind, Where | null> = {
  probe: 'core',
  surface: 'surface',
  infrared: 'surface',
  logger: 'air',
  display: 'air',
  ph: null,
}

/** How often the house has each kind checked unless it says otherwise, days. House rules. */
export const CHECKED_EVERY: Record<InstrumentKind, number> = {
  probe: 7,
  surface: 7,
  infrared: 7,
  logger: 30,
  display: 30,
  ph: 7,
}

/** A thermometer may be out by so much, °C, a pH meter by so much. House rules. */
export const TOLERANCE = { temperature: 1, ph: 0.1 } as const

/** How an instrument stands at an instant. */
export interface InstrumentStanding {
  backing: Backing
  /** The last check that speaks by then; null before the first. */
  last: InstrumentCheck | null
  /** When it should be checked next; null: no check is asked for, or it is due at once. */
  due: Instant | null
  /** It fell, or its battery was changed, since its last check. */
  atOnce: DueAtOnce | null
}

export function instrumentStanding(instrument: InstrumentState, at: Instant): InstrumentStanding {
  const { history, checks, dues } = instrument
  const last = lastMade(history.filter(({ from }) => from <= at))
  const event = dues.find((due) => due.at <= at && due.at >= (last?.at ?? -Infinity)) ?? null
  const atOnce = event?.why ?? null
  if (last && !last.passed) return { backing: 'failed', last, due: null, atOnce }
  if (checks === 'not asked' && !event) return { backing: 'not asked', last, due: null, atOnce }
  if (!last) return { backing: 'unchecked', last, due: null, atOnce }
  const days = checks === 'not asked' ? CHECKED_EVERY[instrument.kind] : checks.everyDays
  const due = Math.min(last.at + days * DAY, event?.at ?? Infinity)
  // Due at once is due from that very moment on.
  const late = event !== null || at > due
  return { backing: late ? lateBacking(checks, due, days, at) : 'checked', last, due: event ? null : due, atOnce }
}

/** One further interval late, its readings prove nothing; the house may have that so from the first day. */
function lateBacking(checks: CheckTerms, due: Instant, days: number, at: Instant): Backing {
  const counts = checks === 'not asked' || checks.overdue === 'counts'
  return counts && at <= due + days * DAY ? 'overdue' : 'lapsed'
}

/**
 * By what a reading is taken at an instant: how its instrument stands then, and what is taken off what it shows. One that
 * becomes known after a failed check was taken before it: it stands in that doubt too.
 * @param celsius as it is shown
 */
export function readByOf(instrument: InstrumentState, at: Instant, celsius: number): ReadBy {
  const { backing } = instrumentStanding(instrument, at)
  return { backing: failsAfter(instrument, at) ? 'failed' : backing, off: offAt(instrument, at, celsius) }
}

/**
 * The check that was made last: one that is told late, from before another, takes nothing of that back. Whoever says that a
 * probe passed before it failed has not mended it.
 */
export function lastMade(checks: readonly InstrumentCheck[]): InstrumentCheck | null {
  return checks.reduce<InstrumentCheck | null>((last, each) => (last && last.at > each.at ? last : each), null)
}

/** It failed after an instant, with no pass made between that was known by then. */
function failsAfter({ history }: InstrumentState, at: Instant): boolean {
  return history.some(
    (failed) => !failed.passed && failed.at > at && (passBefore(history, failed.at)?.at ?? -Infinity) <= at,
  )
}

/** The pass that was made last before an instant, of those that were known by then. */
export function passBefore(history: readonly InstrumentCheck[], at: Instant): InstrumentCheck | null {
  return lastMade(history.filter(({ passed, from }) => passed && from <= at))
}

/** Whether readings with this behind them can prove anything. */
export function canProve({ backing }: Pick<ReadBy, 'backing'>): boolean {
  return backing === 'checked' || backing === 'overdue' || backing === 'not asked'
}

/**
 * How much too high it reads at a temperature, °C, by its last checks that passed: the error in ice throughout, or, where
 * it passed in boiling water too, the line through both (science: two-point check).
 */
export function offAt({ history, kind }: InstrumentState, at: Instant, celsius: number): number {
  if (kind === 'ph') return 0
  const passed = history.filter(({ passed, from }) => passed && from <= at)
  const near = lastMade(passed.filter(({ against }) => against.kind !== 'boiling'))
  const hot = lastMade(passed.filter(({ against }) => against.kind === 'boiling'))
  if (!near || !hot) return hundredths((near ?? hot)?.error ?? 0)
  const [low, high] = [near, hot].map(({ reference, error }) => reference + error) as [number, number]
  if (high - low < 1) return hundredths(near.error)
  return hundredths(near.error + ((hot.error - near.error) * (celsius - low)) / (high - low))
}

export function hundredths(value: number): number {
  return Math.round(value * 100) / 100
}

/** Read with once more. */
export function withUse(state: InstrumentState, { type, id }: Subject, at: Instant): InstrumentState {
  const known = state.uses.find((use) => use.id === id)
  if (known && known.first <= at && at <= known.last) return state
  const [first, last] = [Math.min(known?.first ?? at, at), Math.max(known?.last ?? at, at)]
  return { ...state, uses: [...state.uses.filter((use) => use !== known), { type, id, first, last }] }
}

/**
 * Checked once more: what was read before any failure can reach that may still be told is let go.
 * @param kept a failure of others reaches back to here
 */
export function withCheck(state: InstrumentState, check: InstrumentCheck, kept: Instant = Infinity): InstrumentState {
  const history = [...state.history, check].sort((a, b) => a.from - b.from)
  const since = Math.max(state.usesSince ?? -Infinity, Math.min(reachOf(history), kept))
  if (since === -Infinity) return { ...state, history }
  return { ...state, history, uses: state.uses.filter(({ last }) => last >= since), usesSince: since }
}

/**
 * A failure may be told so long after it was found, with passes made since, and still reach all that was read before it, ms:
 * a tablet may have lain in a drawer. House figure.
 */
export const FAILURE_TOLD_WITHIN = 14 * DAY

/** How far back a failure reaches that was made within that time: to the pass before it. -Infinity: to the first reading. */
function reachOf(history: readonly InstrumentCheck[]): Instant {
  const passes = history.filter(({ passed }) => passed)
  const [last, newest] = [lastMade(passes), lastMade(history)]
  const before = lastMade(passes.filter((each) => each !== last))
  const old = newest && lastMade(passes.filter(({ from }) => from <= newest.at - FAILURE_TOLD_WITHIN))
  return before && old ? Math.min(before.at, old.at) : -Infinity
}

/** Whether all is known still that was read with it from the pass before an instant on. */
export function isReached({ history, usesSince }: InstrumentState, at: Instant): boolean {
  return usesSince === null || (passBefore(history, at)?.at ?? -Infinity) >= usesSince
}
