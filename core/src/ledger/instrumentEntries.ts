import type { Instant } from '../ground/instant'
import type { Typed } from '../ground/temperature'
import type { Id, Subject } from './subject'

export const INSTRUMENT_KINDS = ['probe', 'surface', 'infrared', 'logger', 'display', 'ph'] as const

/** probe: goes into the food. surface: lies on it. logger: stays in a unit. display: built into one. ph: a pH meter. */
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number]

/** What can tell how warm air is: a gun tells a wall's, and a pH meter nothing. */
export const READS_AIR: readonly InstrumentKind[] = ['probe', 'logger', 'display']

/**
 * How the house has an instrument checked: every so many days, and what its readings are worth while a check is overdue.
 * 'not asked': registered before checks were asked for; its readings count as they did then.
 */
export type CheckTerms = { everyDays: number; overdue: 'counts' | 'proves nothing' } | 'not asked'

/** What is said of an instrument as it is registered, and again where something of it changes. */
export interface InstrumentFacts {
  /** Where it hangs; null: not said. */
  place: string | null
  /** It passes while it is out by no more than this, °C; of a pH meter, pH. */
  tolerance: number
  checks: CheckTerms
}

/** What an instrument is checked against: what that really is must be known. */
export type Against =
  | { kind: 'ice' }
  /** At this altitude, m. */
  | { kind: 'boiling'; altitude: number }
  /** Another instrument in the same place, that has its own check behind it. */
  | { kind: 'instrument'; id: Id; shown: Typed }
  /** A laboratory held it against its own: what that was, and the certificate that says so. */
  | { kind: 'certificate'; issuer: string; number: string; truth: Typed }
  /** Two buffers, pH. */
  | { kind: 'buffers'; buffers: { nominal: number; read: number }[] }

/** What a check showed: found by core, never by who made it. */
export interface CheckFound {
  /** What the instrument should have shown, °C; of buffers, the pH of the one it is furthest from. */
  reference: number
  /** It reads so much too high, °C or pH; too low is below 0. */
  error: number
  passed: boolean
  /** Of one that failed: readings after this are in doubt, back to the last that passed; null: all of them. */
  since: Instant | null
  /** Of one that failed: what was read with it since then. */
  doubted: Subject[]
  /** Of one that failed: checks of others that were passed against it meanwhile; left out: none. */
  through?: Unfounded[]
  /**
   * Passed against others, which may fail yet: what was read with it is kept from here on, for as long; null: all of it.
   * Left out: it hangs on no other.
   */
  kept?: Instant | null
}

/** A check that another instrument passed against one that is found wrong: it counts for nothing from then on. */
export interface Unfounded {
  instrument: Id
  /** The entry of that check. */
  check: Id
  /** What was read with it from then on is in doubt; null: all of it. */
  since: Instant | null
  /** Up to its next check; null: until it is known. */
  until: Instant | null
  /** By what was found now it read so much too high, °C. */
  error: number
  /** What was read with it in that time. */
  doubted: Subject[]
}

/** Why an instrument is due at once, whatever its interval: a fall, a new battery, a new sensor. */
export const DUE_AT_ONCE = ['dropped', 'battery', 'sensor'] as const
export type DueAtOnce = (typeof DUE_AT_ONCE)[number]

/** What was read with it since it fell, before anybody said so: it proves nothing. Found by core, never by who made it. */
export interface DueFound {
  backing: 'unchecked' | 'lapsed'
  doubted: Subject[]
  /** Checks of others that were passed against it meanwhile; left out: none. */
  through?: Unfounded[]
}

/**
 * What stood behind a reading when it was taken.
 * checked: inside its interval. overdue: a check is late, and the house lets it count. lapsed: so late that it proves nothing.
 * unchecked: never passed one. failed: did not pass its last one, or the next. not asked: the house asks for none.
 */
export type Backing = 'checked' | 'overdue' | 'lapsed' | 'unchecked' | 'failed' | 'not asked'

/** By what a reading was taken, as core knew it then: never the tablet's word. */
export interface ReadBy {
  backing: Backing
  /** What its last check showed it to read too high just there, °C: taken off what it shows. */
  off: number
}
