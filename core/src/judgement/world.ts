import type { Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'

/** What judging needs beyond the batch. */
export interface World {
  /** IANA zone of the kitchen. */
  zone: string
  /** Which limits are the kitchen's, where an entry looks at them. */
  limits?: Id
  /** When an entry that is admitted was made, as far as the server can tell. */
  now?: Instant
}
