import type { Measure } from '../ground/measure'
import type { Id, Subject } from './subject'

/** A trace is tried: from a lot, or a thing in the store, both ways. The clock runs from here. */
export interface TraceBegun {
  of: Subject
  /** What it is called, as core finds it. */
  name: string
  code: string
}

/** It is done: what was where the records say, what was not, and what of it was counted by hand. */
export interface TraceEnded {
  /** The entry that began it. */
  begun: Id
  /** Lots, batches and things that were looked for, by whether they were where the records say. */
  found: Id[]
  missing: Id[]
  /** Of which thing the rest was counted, and how much there was; null: there is none that can be. */
  counted: { item: Id; left: Measure } | null
  note: string
  /** As core finds it by what is recorded of that thing; null where nothing was counted. */
  balance: Balance | null
}

/** Of all there was, how much went by the records and how much was counted, in one unit. */
export interface Balance {
  all: number
  gone: number
  counted: number
  unit: Measure['unit']
}

/** As many things are looked for in one go. */
export const MOST_TRACED = 500
