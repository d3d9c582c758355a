import type { Id } from '../ledger/subject'
import type { Incident, MatterClosed } from '../ledger/matter'
import type { Fact } from './fact'

/** What was told and done about one cause. A matter that nothing else is told of is known by the id of what caused it. */
export interface MatterState {
  id: Id
  /** What happened, where somebody told it; null: readings and dates say it. */
  incident: Fact<Incident> | null
  /** Each time it was closed: the same cause opens it again. */
  closings: Fact<MatterClosed>[]
}
