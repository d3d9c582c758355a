import type { Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { Check } from '../recipe/checks/checksFor'
import type { HoldRow } from '../rules/compared'
import type { ValidatedBake } from '../recipe/checks/signed'
import type { Bounded, Bracket } from '../physics/trace/reading'
import type { Doubt } from './doubt'
import type { Standing } from '../ledger/standing'

/** How one check of one batch stands now, and why. */
export interface Finding {
  check: Check
  /** Which making it is about: 1, and one more for each rework. */
  leg: number
  standing: Standing
  /** Past its deadline and nothing read since. */
  overdue: boolean
  because: Because
  /** What reading would prove it, or would have; null where none can. */
  need: Need | null
  /** What each row of a floor still needs, as of the last reading. */
  ladder: Rung[]
  /** When the readings that decide it were taken. */
  deciding: Instant[]
  start: Bracket | null
  end: Bracket | null
  deadline: Instant | null
  doubts: Doubt[]
  /** When time alone will change this finding; null when only an entry can. */
  nextAt: Instant | null
  /** While a hold runs: by when the next reading is needed for it to count on; null where none is. */
  readBy: Instant | null
  /** Of pans that were split: how many are read here and how many have to be; null where it is one pot. */
  pans: { read: number; needed: number; of: number } | null
}

/** The reason, as a code with its values: temperatures °C, times instants, `...Ms` durations. Wording makes the sentence. */
export type Because =
  // a floor
  | { code: 'nothing read'; waitingFor: 'combined' | 'reading' }
  | { code: 'reached'; celsius: number; at: Instant; row: HoldRow }
  | { code: 'held'; lowest: number; highest: number; heldMs: number; row: HoldRow }
  | { code: 'not there yet'; celsius: number; at: Instant }
  | { code: 'baked as validated'; minutes: number; bake: ValidatedBake }
  | { code: 'holding'; celsius: number; since: Instant; row: HoldRow; moreMs: number }
  | { code: 'closed too cold'; highest: number }
  /** `unread`: how long nobody read while a row was held, and at most how much counts, ms; null where none was held. */
  | { code: 'closed unread'; highest: number; unread: { row: HoldRow; ms: number; atMostMs: number } | null }
  /** Nobody read or said anything for longer than it can take. */
  | { code: 'never read' }
  // equivalent minutes
  | { code: 'accrued'; minutes: Bounded; target: number; celsius: number; at: Instant; moreMs: number | null }
  // a cooling
  | { code: 'on the heat' }
  | { code: 'cooling'; celsius: number; at: Instant }
  | { code: 'not cooling yet'; celsius: number; at: Instant }
  | { code: 'in time'; celsius: number; at: Instant; spareMs: number }
  | { code: 'read too warm'; celsius: number; at: Instant }
  | { code: 'somewhere between'; from: Instant | null; to: Instant }
  | { code: 'not read in time'; celsius: number; at: Instant }
  | { code: 'start not read' }
  | { code: 'pans unread'; read: number; needed: number; of: number }
  // staying on one side of a level
  | { code: 'not there to stay' }
  | { code: 'stayed'; worst: number; at: Instant }
  | { code: 'passed'; celsius: number; at: Instant }
  | { code: 'passed within grace'; celsius: number; at: Instant; until: Instant | null }
  | { code: 'passed perhaps too long'; celsius: number; at: Instant }
  // time in a band
  | { code: 'exposed'; time: Bounded; then: 'use or chill' | 'use now' | 'discard' }
  // a date
  | { code: 'in date'; lastDay: Day; day: number; days: number }
  | { code: 'out of date'; lastDay: Day; days: number }
  | { code: 'in time to use'; until: Instant; hours: number }
  | { code: 'past its hours'; until: Instant; hours: number }
  // egg that no step heats
  | { code: 'no lot named' }
  | { code: 'pasteurized lots'; lots: number }
  | { code: 'shell egg used'; at: Instant }
  // no limit
  | { code: 'no number' }
  // proven only with what the lead accepted, where it was missed without
  | { code: 'missed before it was accepted' }
  // a proof with readings that cannot prove
  | { code: 'doubtful'; doubts: Doubt[] }

/** One row of a floor: since when it is held, and how much more it needs from the last reading on if the pot stays there. */
export interface Rung {
  row: HoldRow
  /** null while the pot is under it. */
  since: Instant | null
  lastAt: Instant
  moreMs: number
  /** How many more readings it takes, the pot staying as it is. */
  readings: number
}

/** What a rung still needs at an instant, ms, if the pot stays as it was read; null while it is under the row. */
export function stillNeeds({ since, lastAt, moreMs }: Rung, now: Instant): number | null {
  return since === null ? null : Math.max(0, moreMs - Math.max(0, now - lastAt))
}

/** What reading proves a check, or would have proven it. Temperatures °C. */
export type Need =
  | { code: 'hold'; rows: { row: HoldRow; everyMs: number }[] }
  | { code: 'under'; celsius: number; by: Instant; after: Instant }
  | { code: 'start'; celsius: number }
  | { code: 'under now'; celsius: number }
