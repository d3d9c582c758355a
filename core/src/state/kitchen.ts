import type { Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { Bodies } from '../ledger/entry'
import type { Hash, Id } from '../ledger/subject'
import type { Deputy, Week } from '../ledger/week'
import type { OwnKept } from '../recipe/ingredient/ours'
import type { DoneList, ListVersion } from './dailyLists'
import type { Member } from './members'
import type { KeptSample } from './samples'
import type { ToolState } from './tool'
import type { TraceTry } from './traceTries'

/** What belongs to the kitchen as a whole. */
export interface KitchenState {
  /** Of its latest batches, so that no two share one. */
  codes: string[]
  /** Who is asked for readings, from when until when; null until somebody handed over. */
  handover: Bodies['handed-over'] | null
  /** Whom the lead named for some hours, the latest last. */
  deputies: Deputy[]
  /** When it is open and who signs then; null: the lead never said. */
  week: Week | null
  /** Who is there with which role; null: the logbook does not say yet. */
  people: Member[] | null
  /** When it was last begun again from a backup, and from which entry; null: never. */
  restored: ({ at: Instant } & Bodies['restored']) | null
  /** As the lead named it last; null: as it was set up. */
  named: Bodies['kitchen-named'] | null
  /** What its foods go through, one after the other. */
  tools: ToolState[]
  /** Its batches of the last while, in the order they were entered: what a day has to be signed with. */
  begun: { id: Id; at: Instant }[]
  /** Days that the lead signed, each with its entry, the last signed last. */
  signedDays: { day: Day; at: Instant; by: Id; seq: number | null }[]
  /** Lists that the house goes through, as they were asked for over time. */
  lists: ListVersion[]
  /** When they were gone through, lately. */
  listsDone: DoneList[]
  /** Traces that were tried, in the order they were begun. */
  traceTries: TraceTry[]
  /** Samples that are kept, and those that were lately. */
  samples: KeptSample[]
  /** Ingredients of its own, in the order they were named. */
  ingredients: OwnKept[]
  /** Which lines of which files were transcribed: from a line to a line, both with. */
  transcribed: { source: string; sha256: Hash; spans: [first: number, last: number][] }[]
}

/** Codes are said aloud, so they are short and come round again; this many are kept apart. */
export const KEPT_APART = 300

/** A kitchen about which nothing was entered. */
export const NEW_KITCHEN: KitchenState = {
  codes: [],
  handover: null,
  deputies: [],
  week: null,
  people: null,
  restored: null,
  named: null,
  tools: [],
  begun: [],
  signedDays: [],
  lists: [],
  listsDone: [],
  traceTries: [],
  samples: [],
  ingredients: [],
  transcribed: [],
}
