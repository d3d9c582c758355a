import {
  likelyCauses,
  raisedByDay,
  raisedIn,
  type Instant,
  type LikelyCause,
  type LoggedBatch,
  type RaisedByDay,
  type RaisedIn,
} from '@logged-thermal/core'

export interface RaisedAsked extends Omit<RaisedIn, 'batches'> {
  /** Each a LoggedBatch as JSON, without what is only drawn. */
  batches: readonly string[]
  now: Instant
}

/** What came up day by day, and where its cause may lie. */
export function raisedOf({ batches: rows, now, ...asked }: RaisedAsked): RaisedByDay & { causes: LikelyCause[] } {
  const batches = rows.map((json) => JSON.parse(json) as LoggedBatch)
  const raised = raisedIn({ ...asked, batches }, now)
  return {
    ...raisedByDay(raised, asked.from, Math.min(asked.to, now), asked.zone),
    causes: likelyCauses(raised, batches, now),
  }
}
