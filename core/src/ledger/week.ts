import type { Instant } from '../ground/instant'
import type { TimeOfDay } from '../ground/timeOfDay'
import type { Id } from './subject'

/** When the kitchen is open and who answers then, the seven days of every week, Monday first; null: closed that day. */
export type Week = (OpenDay | null)[]

export interface OpenDay {
  opens: TimeOfDay
  /** At or before `opens`: on the day after. */
  closes: TimeOfDay
  /** Who signs what needs the lead: a lead who is there, or their deputy. */
  signs: Turn[]
}

/** Somebody's hours of an open day; a time before the opening is on the day after. */
export interface Turn {
  person: Id
  from: TimeOfDay
  until: TimeOfDay
}

/** Hours for which the lead named a deputy by hand; `to` null: nobody, whatever the week says. */
export interface Deputy {
  to: Id | null
  from: Instant
  until: Instant
}
