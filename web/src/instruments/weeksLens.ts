import { DAY, type Instant } from '@logged-thermal/core'

/** A straight axis of weeks, with now three quarters across. */
export interface WeeksLens {
  x(instant: Instant): number
  nowX: number
  width: number
}

const BACK = 42
const AHEAD = 11

export function weeksLens(width: number, now: Instant): WeeksLens {
  const perDay = (width - 12) / (BACK + AHEAD)
  const nowX = BACK * perDay
  return { width, nowX, x: (instant) => Math.max(0, nowX + ((instant - now) / DAY) * perDay) }
}

/** The marks on it, days from now. */
export const WEEK_MARKS = [-42, -28, -14, -7, 7] as const
