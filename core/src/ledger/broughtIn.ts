import type { Instant } from '../ground/instant'
import type { Typed } from '../ground/temperature'
import type { ReadBy } from './instrumentEntries'
import type { Hash, Id } from './subject'

/** The file that readings came out of: its name, and the SHA-256 of its bytes. */
export interface SourceFile {
  name: string
  sha256: Hash
}

/** Readings of one instrument in one pot, brought in from its file, the oldest first: of many the extremes and what lies between. */
export interface BroughtIn {
  instrument: Id
  /** Which pan, '1' on, where it was split. */
  portion?: string
  file: SourceFile
  /** As many as the file had for the time; what stands here was picked out of these. */
  of: number
  readings: { at: Instant; typed: Typed; readBy?: ReadBy }[]
}

/** At most so many readings are brought in with one entry. */
export const MOST_BROUGHT_IN = 240
