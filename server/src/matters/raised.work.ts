import {
  likelyCauses,
  raisedByDay,
  raisedIn,
  roundsWalked,
  type Instant,
  type LikelyCause,
  type LoggedBatch,
  type RaisedByDay,
  type RaisedIn,
  type RoundsWalked,
} from '@logged-thermal/core'

export interface RaisedAsked extends Omit<RaisedIn, 'batches'> {
  /** Each a LoggedBatch as JSON, without what is only drawn. */
  batches: readonly string[]
  now: Instant
}

/** What came up day by day, where its cause may lie, and when the rounds were walked. */
export function raisedOf({
  batches: rows,
  now,
  ...rest
}: RaisedAsked): RaisedByDay & { causes: LikelyCause[]; rounds: RoundsWalked } {
  const batches = rows.map((json) => JSON.parse(json) as LoggedBatch)
  const asked: RaisedIn = { ...rest, batches }
  const raised = raisedIn(asked, now)
  return {
    ...raisedByDay(raised, asked.from, Math.min(asked.to, now), asked.zone),
    causes: likelyCauses(raised, batches, now),
    rounds: roundsWalked(asked, now),
  }
}
