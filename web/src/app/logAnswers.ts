import type { BatchState, Change, Id, LoggedBatch, SealedEntry, Standing, Trend } from '@logged-thermal/core'

/** Batches that fit what the Log was asked for, the latest first. */
export interface LogAnswer {
  now: number
  counts: Record<Standing, number>
  batches: LoggedBatch[]
  more: boolean
}

/** A change of a batch, with which batch it is of. */
export type Changed = Change & {
  batch: { id: Id; code: string; name: string; steps: BatchState['method']['steps'] }
}

/** What was late, put right or taken back in a period. */
export interface ChangesAnswer {
  changes: Changed[]
  /** Taps on items and looks at units, each with what it took back. */
  takenBack: { entry: SealedEntry; target: SealedEntry }[]
  names: Record<Id, string>
  more: boolean
}

/** How the batches of a period went; `more`: only the latest of them are in it. */
export interface TrendsAnswer {
  now: number
  trend: Trend
  more: boolean
}
