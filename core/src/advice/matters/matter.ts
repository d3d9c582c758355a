import type { Instant } from '../../ground/instant'
import type { MatterClosed, MatterOf } from '../../ledger/matter'
import type { Id, Subject } from '../../ledger/subject'
import type { InstrumentCheck } from '../../state/instrument'
import type { Fact } from '../../state/fact'
import type { Incident } from '../../ledger/matter'
import type { LoggedBatch, LoggedStand } from '../../judgement/log/loggedBatch'
import type { ItemCard } from '../../judgement/lineage/card'
import type { CourseStanding } from '../../judgement/keeping/itemStanding'
import type { Excursion } from '../../judgement/warmth/air'

/** An item that asks for something, as the cold store lists it. */
export interface AskingItem {
  card: ItemCard
  standing: Pick<CourseStanding, 'asks' | 'why' | 'until' | 'daysLeft'>
}

/** What stands behind a matter, by what it is of. */
export type Cause =
  | { of: 'batch'; batch: LoggedBatch; stand: LoggedStand }
  | { of: 'eggs'; batch: LoggedBatch }
  | { of: 'item'; item: AskingItem }
  | { of: 'unit'; unit: { id: Id; name: string }; excursion: Excursion }
  | { of: 'instrument'; instrument: { id: Id; code: string }; check: InstrumentCheck }
  | { of: 'round'; left: Id[] }
  | { of: 'list'; names: string[] }
  | { of: 'fault'; list: string; faults: { text: string; note: string }[]; by: Id }
  | { of: 'incident'; incident: Incident }

/** Something that is unresolved, with all that follows from it: one cause is one matter. */
export interface Matter {
  /** Of what caused it: a matter is closed by it. */
  id: Id
  of: MatterOf
  subject: Subject
  since: Instant
  cause: Cause
  /** What it touched and what waits still. */
  batches: { batch: LoggedBatch; stand: LoggedStand }[]
  items: AskingItem[]
  /** All that it is about is settled: only who, why and what stops it next time is to be told. */
  settled: boolean
  /** How often the same was closed before. */
  before: Fact<MatterClosed>[]
}
