import type { Id, Subject } from './subject'

/** What contradicts what, as it is sealed. */
export interface Contest {
  entries: Id[]
  /** Batches and items that stand in doubt until the lead has decided. */
  about: Subject[]
}
