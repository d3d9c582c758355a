import { createAction } from '@reduxjs/toolkit'

/** What an answer tells of the kitchen's clock: when this tablet asked, what the server said, when it was heard, ms. */
export interface ClockTold {
  /** null: nobody asked, the server told by itself. */
  askedAt: number | null
  serverNow: number
  heardAt: number
}

export const clockTold = createAction<ClockTold>('connection/clockTold')

/**
 * How far the kitchen's clock is ahead of this tablet's, ms, after what was told. The server said its time between the
 * asking and the hearing, so the journey of an answer bounds the offset and never is one: it moves only as far as it
 * must. A clock that is right is never moved, however late an answer comes, and readings keep their order.
 */
export function followed(offsetMs: number, { askedAt, serverNow, heardAt }: ClockTold): number {
  const least = serverNow - heardAt
  const most = askedAt === null ? Infinity : serverNow - askedAt
  return least > most ? offsetMs : Math.min(Math.max(offsetMs, least), most)
}

/**
 * Whether an answer was overtaken: the server has told a later time since it was asked. It says nothing any more, least of
 * all that the clock stood lower, where the server's was set on in between.
 */
export function isOvertaken({ askedAt, serverNow }: ClockTold, last: ClockTold | null): boolean {
  return askedAt !== null && last !== null && askedAt < last.heardAt && serverNow < last.serverNow
}
