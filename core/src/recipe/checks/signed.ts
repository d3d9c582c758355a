import type { Day } from '../../ground/zone'
import type { SignedLine } from '../../rules/signedLine'
import type { Typed } from '../../ground/temperature'
import type { Method } from '../method/method'
import type { AcidDocument } from './acidDocument'

/** What the lead signed for a method beside its versions; a batch is held to what is valid on the day it begins. */
export interface Signed {
  lines: SignedLine[]
  bake: ValidatedBake | null
  /** How long it keeps by its pH. */
  acid: AcidDocument | null
}

export const NOTHING_SIGNED: Signed = { lines: [], bake: null, acid: null }

/**
 * A bake that was shown to heat the middle through: crumb and dry pieces close on oven, minutes and cue, and nobody puts
 * a probe in them. Never baked custards, soufflés or browned foams.
 */
export interface ValidatedBake {
  /** Of which version of the method: another may be thicker. */
  version: number
  step: string
  /** As it stands on the oven; colder is another bake. */
  oven: Typed
  /** In the oven at least so long. */
  minutes: number
  /** What it looks and feels like when it is done. */
  cue: string
  /** Three bakes of this method read at `VALIDATED_CORE`, by batch; or a written study, for pieces too thin for a probe. */
  shownBy: { batches: string[] } | { study: string }
  /** The last day it is valid, YYYY-MM-DD. */
  validUntil: Day
}

/** The same with how deep the method fills its vessel, m: deeper is another bake. */
export interface HeldBake extends ValidatedBake {
  depth: number
}

/** So many bakes are read, and at this in the middle, °C: a house figure, well over every floor for egg. */
export const VALIDATING_BAKES = 3
export const VALIDATED_CORE = { c: 90, f: 194 }

/** The bake that holds for a version of a method on a day; null for another version, and once it has ended. */
export function bakeOn(
  { bake }: Signed,
  { version, vessel }: Pick<Method, 'version' | 'vessel'>,
  day: Day,
): HeldBake | null {
  return bake !== null && bake.version === version && day <= bake.validUntil
    ? { ...bake, depth: vessel.fillDepth }
    : null
}
