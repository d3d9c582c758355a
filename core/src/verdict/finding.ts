import type { Instant } from '../calendar/instant'
import type { Day } from '../calendar/zone'
import type { Id } from '../ledger/entry'
import type { Check } from '../limits/checksFor'
import type { HoldRow } from '../limits/compared'
import type { Bracket } from '../trace/reading'
import type { Standing } from './standing'

/** How one check of one batch stands now, and why. */
export interface Finding {
  check: Check
  standing: Standing
  /** Past its deadline and nothing read since. */
  overdue: boolean
  because: Because
  /** The entries whose readings decide it. */
  deciding: Id[]
  start: Bracket | null
  end: Bracket | null
  deadline: Instant | null
  doubts: Doubt[]
  /** When time alone will change this finding; null when only an entry can. */
  nextAt: Instant | null
}

/** Why a reading lost its power to prove. It can still deny. */
export type Doubt = 'no instrument' | 'late'

/** The reason, as a code with its values: temperatures °C, times instants, `...Ms` durations. Wording makes the sentence. */
export type Because =
  // a floor
  | { code: 'nothing read'; waitingFor: 'combined' | 'reading' }
  | { code: 'reached'; celsius: number; at: Instant; row: HoldRow }
  | { code: 'held'; lowest: number; highest: number; heldMs: number; row: HoldRow }
  | { code: 'not there yet'; celsius: number; at: Instant }
  | { code: 'holding'; celsius: number; since: Instant; row: HoldRow; moreMs: number }
  | { code: 'closed too cold'; highest: number }
  | { code: 'closed unread'; highest: number }
  // a cooling
  | { code: 'on the heat' }
  | { code: 'cooling'; celsius: number; at: Instant }
  | { code: 'not cooling yet'; celsius: number; at: Instant }
  | { code: 'in time'; celsius: number; at: Instant; spareMs: number }
  | { code: 'read too warm'; celsius: number; at: Instant }
  | { code: 'somewhere between'; from: Instant | null; to: Instant }
  | { code: 'not read in time'; celsius: number; at: Instant }
  | { code: 'start not read' }
  // staying under
  | { code: 'not under yet' }
  | { code: 'stayed under'; highest: number; at: Instant }
  | { code: 'went over'; celsius: number; at: Instant }
  // a date
  | { code: 'in date'; lastDay: Day; day: number; days: number }
  | { code: 'out of date'; lastDay: Day; days: number }
  // no limit
  | { code: 'no number' }
  // a proof with readings that cannot prove
  | { code: 'doubtful'; doubts: Doubt[] }
