import type { Instant } from '../ground/instant'
import type { Known } from '../ledger/late'
import type { Claim } from '../ledger/entry'
import type { ReadBy } from '../ledger/instrumentEntries'
import type { Id } from '../ledger/subject'
import { factOf, type Fact } from './fact'
import { canProve } from './instrument'

/** After something was read with an instrument it failed a check, or was told to have fallen before. */
export interface FailedProbe {
  instrument: Id
  /** Readings from then on are in doubt; null: all of them. */
  since: Instant | null
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
    ({ value: { instrument, since }, knownAt }) =>
      instrument === value.instrument &&
      at >= (since ?? -Infinity) &&
      at <= knownAt &&
      !(accepted && accepted.at >= knownAt),
  )
  return found?.value ?? null
}

/** An instrument that fell, as the batch or the item keeps it that was read with it since and before anybody said so. */
export function fallenProbe(entry: Known & { claim: Claim<'instrument-due'> }): Fact<FailedProbe> {
  const { about, at, body } = entry.claim
  return factOf(entry, at, { instrument: about.id, since: at, error: 0, due: body.found?.backing ?? 'unchecked' })
}

/** A failed check, as the batch or the item keeps it that was read with the instrument. */
export function failedProbe(entry: Known & { claim: Claim<'instrument-checked'> }): Fact<FailedProbe> {
  const { about, at, body } = entry.claim
  const { since, error } = body.found
  return factOf(entry, at, { instrument: about.id, since, error })
}
