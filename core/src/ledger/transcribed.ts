import type { Instant } from '../ground/instant'
import type { Typed } from '../ground/temperature'
import type { Hash, Id } from './subject'

/**
 * One cooling out of a log that was kept elsewhere, as it is written there. No names: they would stay in the logbook for good.
 */
export interface TranscribedCooling {
  /** Its line in the file, the first is 1. */
  line: number
  /** What cooled, in the words of that log. */
  what: string
  /** Which method of this kitchen that is; null: none, or nobody said. */
  method: Id | null
  /** In the order in which they were read. */
  readings: { at: Instant; typed: Typed }[]
  note: string | null
}

/** Some lines of a cooling log that was kept elsewhere. */
export interface TranscribedLog {
  /** What the file is called. */
  source: string
  /** Of the whole file: the same line of the same file is transcribed once. */
  sha256: Hash
  rows: TranscribedCooling[]
}

/** As many lines go into one entry, and as many readings into a line. */
export const MOST_TRANSCRIBED = 200
export const MOST_READINGS = 24
