import type { Instant } from '../ground/instant'
import type { Known } from '../ledger/late'
import type { Claim } from '../ledger/entry'
import type { ReadBy, Unfounded } from '../ledger/instrumentEntries'
import type { Id } from '../ledger/subject'
import { factOf, type Fact } from './fact'
import { canProve } from './instrument'

/** After something was read with an instrument it failed a check, or was told to have fallen before. */
export interface FailedProbe {
  instrument: Id
  /** Readings from then on are in doubt; null: all of them. */
  since: Instant | null
  /** Until then, where it was checked anew before all this was known; left out: until it was. */
  until?: Instant
  /** It was found to read so much too high, °C. */
  error: number
  /** It failed no check: it was due at once since then, and this is what that makes of its readings. */
  due?: BackingDoubt
}

/** A reading, as far as its instrument is asked about. */
export type ReadWith = Pick<Fact<{ instrument: Id | null; readBy?: ReadBy }>, 'at' | 'value' | 'accepted'>

/** Why the instrument behind a reading lets it prove nothing. */
export type BackingDoubt = 'unchecked' | 'lapsed' | 'failed'

/**
 * Why a reading proves nothing for its instrument's sake; null: nothing is against it, or the lead has let it count since.
 * @param fails what was found of the instruments of its batch or item after it was taken
 */
export function backingDoubt(reading: ReadWith, fails: readonly Fact<FailedProbe>[]): BackingDoubt | null {
  const { accepted, value } = reading
  const failure = failureOf(reading, fails)
  if (failure) return failure.due ?? 'failed'
  if (!value.readBy || accepted || canProve(value.readBy)) return null
  const { backing } = value.readBy
  return backing === 'unchecked' || backing === 'lapsed' ? backing : 'failed'
}

/** The failed check, or the fall, that puts a reading in doubt; null: none does, or the lead has let it count since. */
export function failureOf({ at, value, accepted }: ReadWith, fails: readonly Fact<FailedProbe>[]): FailedProbe | null {
  const found = fails.findLast(
    ({ value: { instrument, since, until }, knownAt }) =>
      instrument === value.instrument &&
      at >= (since ?? -Infinity) &&
      at <= knownAt &&
      at < (until ?? Infinity) &&
      !(accepted && accepted.at >= knownAt),
  )
  return found?.value ?? null
}

/** An instrument that fell, and those that were checked against it since, as what was read with them keeps it. */
export function fallenProbes(entry: Known & { claim: Claim<'instrument-due'> }): Fact<FailedProbe>[] {
  const { about, at, body } = entry.claim
  const due = body.found?.backing ?? 'unchecked'
  const own: FailedProbe = { instrument: about.id, since: at, error: 0, due }
  const others = (body.found?.through ?? []).map((each): FailedProbe => ({ ...throughOf(each), error: 0, due }))
  return [own, ...others].map((fell) => factOf(entry, at, fell))
}

/** A failed check, and those that others passed against it, as what was read with them keeps it. */
export function failedProbes(entry: Known & { claim: Claim<'instrument-checked'> }): Fact<FailedProbe>[] {
  const { about, at, body } = entry.claim
  const { since, error, through = [] } = body.found
  const own: FailedProbe = { instrument: about.id, since, error }
  return [own, ...through.map(throughOf)].map((failed) => factOf(entry, at, failed))
}

function throughOf({ instrument, since, until, error }: Unfounded): FailedProbe {
  return { instrument, since, error, ...(until === null ? {} : { until }) }
}
