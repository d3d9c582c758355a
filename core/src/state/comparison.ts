import { DAY, type Instant } from '../ground/instant'
import { celsiusOf } from '../ground/temperature'
import type { Unfounded } from '../ledger/instrumentEntries'
import type { Id } from '../ledger/subject'
import { hundredths, lastMade, passBefore, readByOf, type InstrumentCheck, type InstrumentState } from './instrument'
import type { Read } from './state'

/** Checks that were passed against another instrument: as good as that one is, also where it is found wrong later. */

/**
 * Another is compared only with what was itself checked so lately, ms: until its next check everything that hangs on it is
 * remembered. House figure.
 */
export const REFERENCE_WITHIN = 31 * DAY

/**
 * Whether others can be checked against it at an instant: its last check holds, was passed in ice, in boiling water or by a
 * laboratory, and is no older than that. Nothing hangs on a chain of comparisons, or on itself.
 */
export function mayBeReference(instrument: InstrumentState, at: Instant): boolean {
  if (instrument.gone || instrument.kind === 'ph' || readByOf(instrument, at, 0).backing !== 'checked') return false
  const last = lastMade(instrument.history.filter(({ from }) => from <= at))
  return last !== null && last.against.kind !== 'instrument' && at - last.at <= REFERENCE_WITHIN
}

/**
 * How far back what was read with an instrument has to be kept for the sake of those it was checked against: to the pass
 * before the first check that a failure of theirs can still reach. null: to its first reading; Infinity: it hangs on none.
 * @param history with the check that is made now
 */
export function keptFor(history: readonly InstrumentCheck[], read: Read): Instant | null {
  const reached = history.filter(({ against, at, passed }) => {
    if (!passed || against.kind !== 'instrument') return false
    const other = read('instrument', against.id)
    return other !== null && !other.gone && at >= (other.usesSince ?? -Infinity)
  })
  const before = reached.map((each) => passBefore(history, each.at - 1)?.at ?? -Infinity)
  const since = Math.min(Infinity, ...before)
  return since === -Infinity ? null : since
}

/** What was found of an instrument: that it read wrong from an instant, °C too high, until it was checked at another. */
interface FoundWrong {
  since: Instant | null
  at: Instant
  error: number
}

/** The checks of others that were passed against an instrument while it was wrong, and what was read with those since. */
export function unfoundedBy(reference: InstrumentState, wrong: FoundWrong, read: Read): Unfounded[] {
  const since = wrong.since ?? -Infinity
  return reference.uses
    .filter(({ type, last }) => type === 'instrument' && last >= since)
    .flatMap(({ id }) => {
      const other = read('instrument', id)
      const fallen = (other?.history ?? []).filter((check) => hangsOn(check, reference, wrong))
      return fallen.map((check) => unfounded(other!, check, fallen, wrong.error))
    })
}

/** Passed against it after it was last known to be right, and before it was so again. */
function hangsOn(
  { against, passed, at }: InstrumentCheck,
  { id, history }: InstrumentState,
  wrong: FoundWrong,
): boolean {
  return (
    passed &&
    against.kind === 'instrument' &&
    against.id === id &&
    at >= (wrong.since ?? -Infinity) &&
    !history.some((own) => own.passed && own.at > wrong.at && own.at <= at && own.from <= at)
  )
}

function unfounded(
  { id, history, uses }: InstrumentState,
  check: InstrumentCheck,
  fallen: readonly InstrumentCheck[],
  error: number,
): Unfounded {
  const rest = history.filter((each) => !fallen.includes(each))
  const later = (each: InstrumentCheck) => each !== check && each.at >= check.at
  const froms = history.filter(later).map(({ from }) => from)
  const until = froms.length ? Math.min(...froms) : null
  const next = rest.filter(later).reduce<InstrumentCheck | null>((a, b) => (a && a.at <= b.at ? a : b), null)
  // It failed the next one: nothing vouches any more for what was read before this one either.
  const failed = next && !next.passed ? next : null
  const since = failed ? (passBefore(rest, check.at)?.at ?? null) : check.from
  return {
    instrument: id,
    check: check.entry,
    since,
    until,
    error: failed?.error ?? hundredths(check.error + error - takenOff(check)),
    doubted: uses
      .filter(
        ({ type, first, last }) =>
          type !== 'instrument' && last >= (since ?? -Infinity) && first <= (until ?? Infinity),
      )
      .map(({ type, id: of }) => ({ type, id: of })),
  }
}

/** What was taken off what the reference showed, °C. */
function takenOff({ against, reference }: InstrumentCheck): number {
  return against.kind === 'instrument' ? celsiusOf(against.shown) - reference : 0
}

/** Its checks that hung on one that was found wrong count for nothing any more. */
export function withUnfounded(state: InstrumentState, found: readonly Unfounded[]): InstrumentState {
  const gone = new Set<Id>(found.flatMap(({ instrument, check }) => (instrument === state.id ? [check] : [])))
  const [unfounded, history] = [true, false].map((is) => state.history.filter(({ entry }) => gone.has(entry) === is))
  return { ...state, history: history!, unfounded: [...state.unfounded, ...unfounded!] }
}
