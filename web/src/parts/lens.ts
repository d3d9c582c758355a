import { partsMessages } from '@logged-thermal/wording'

import { speaks } from '../kit/language'

const say = speaks(partsMessages)
const MINUTE = 60_000
const WEEK = 7 * 24 * 60 * MINUTE

/** A time axis on which near things are large and the wall of next week still fits. */
export interface Lens {
  /** Pixels from the left of an instant. */
  x(instant: number): number
  nowX: number
  width: number
}

/**
 * The now-lens: x grows with asinh of the time from now.
 * @param tauMinutes within this of now the axis is nearly linear
 * @param nowShare where now stands, as a share of the width
 */
export function nowLens(width: number, now: number, tauMinutes = 12, nowShare = 0.38): Lens {
  const tau = tauMinutes * MINUTE
  const nowX = width * nowShare
  const unit = (width - 18 - nowX) / Math.asinh(WEEK / tau)
  return { width, nowX, x: (instant) => nowX + unit * Math.asinh((instant - now) / tau) }
}

/** A clock-linear axis: for wherever evidence is judged. `now` may lie outside it. */
export function clockLens(width: number, from: number, to: number, now: number): Lens {
  const x = (instant: number) => 8 + ((width - 16) * (instant - from)) / Math.max(1, to - from)
  return { width, nowX: x(now), x }
}

/** The marks on the axis, minutes from now. */
export const LENS_MARKS: [minutes: number, label: string][] = [
  [-240, say('n4HAgo')],
  [-60, say('n1HAgo')],
  [30, '30'],
  [60, '1 h'],
  [120, '2'],
  [240, '4'],
  [480, '8 h'],
  [1440, '1 day'],
  [4320, '3 days'],
  [10080, '7'],
]
