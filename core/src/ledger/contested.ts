import type { AnyClaim } from './entry'

/** An entry that contradicts another, each made on a tablet that had not heard of the other. Only the lead can say which is so. */
export interface Contested {
  /** As it was sent. */
  claim: AnyClaim
  /** Why it was not taken, and moves nothing; null: it was taken, beside what it contradicts. */
  code: string | null
}
