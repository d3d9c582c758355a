import type { Id, Instant, InstrumentCheck, ItemCard, LookedBack } from '@logged-thermal/core'

/** What a failed check throws doubt on, the most serious first; `check` null: none failed. */
export interface LookBackAnswer {
  now: Instant
  check: InstrumentCheck | null
  batches: LookedBackBatch[]
  items: LookedBackItem[]
  lots: LookedBackLot[]
  units: LookedBackUnit[]
}

export interface LookedBackBatch extends LookedBack {
  id: Id
  code: string
  name: string
  startedAt: Instant
  vessel: string
  /** What was put away of it, also what is gone. */
  items: ItemCard[]
}

/** Something held that was itself read with it: read again, it is known. */
export interface LookedBackItem {
  id: Id
  code: string
  name: string
  doubted: Id[]
  decided: boolean
}

/** A lot that came in by its reading. */
export interface LookedBackLot {
  id: Id
  code: string
  name: string
  receivedAt: Instant
  decided: boolean
  /** It may have come in too warm with that: nothing of it may be used until the lead has decided. */
  waits: boolean
  /** What is held of it. */
  item: Id | null
}

/** A unit whose air it read: those looks prove nothing until the lead lets them count. */
export interface LookedBackUnit {
  id: Id
  name: string
  doubted: Id[]
}
