import { clock, type Reader, benchMessages } from '@logged-thermal/wording'
import type { FanPoint } from '@logged-thermal/core'
import type { Futures } from './futures'
import { font, GLASS, label, line } from '../parts/pen'
import { day } from '../kit/tokens'
import { colourOf } from '../parts/temperatureScale'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

const FLARE = day.flare2
const FLARE_TEXT = day['flare-text']
const ICE = colourOf(5)
const ICE_TEXT = colourOf(12)

/** Less than this beside now has no room for words, px. */
const ROOM = 260

interface Paper {
  ctx: CanvasRenderingContext2D
  x: (at: number) => number
  y: (celsius: number) => number
  bottom: number
  right: number
  now: number
  reader: Reader
}

/** The band of a forecast, its middle, what the rescue does, what was planned, and when to read next. */
export function paintFutures(paper: Paper, { fan, misses, rescued, rescueBy, planned, readAt }: Futures): void {
  const { ctx, x, y, bottom, now, reader } = paper
  if (rescueBy !== null) rescueWindow(ctx, x(now), x(rescueBy), bottom)
  if (planned.length > 1) {
    ctx.setLineDash([2, 5])
    curve(paper, planned, GLASS, 2)
    const middle = planned[Math.floor(planned.length * 0.85)]!
    font(ctx, 15, 600)
    label(ctx, 'plan', x(middle.at), y(middle.celsius) - 8, 'left', GLASS)
  }
  if (fan.length > 1) {
    range(paper, fan, misses ? FLARE : ICE)
    ctx.setLineDash(misses ? [2, 6] : [6, 4])
    curve(paper, fan, misses ? FLARE : ICE, 3)
  }
  if (rescued.length > 1) {
    ctx.setLineDash([14, 7])
    curve(paper, rescued, ICE, 3.5)
  }
  ctx.setLineDash([])
  if (readAt !== null) {
    const point = fan.findLast(({ at }) => at <= readAt)
    const top = point ? y(point.celsius) : bottom - 60
    ctx.setLineDash([3, 5])
    line(ctx, x(readAt), top, x(readAt), bottom, GLASS, 2.5)
    ctx.setLineDash([])
    font(ctx, 16, 600)
    label(ctx, say('readTime', { time: clock(readAt, reader) }), x(readAt) + 8, bottom - 10, 'left', GLASS)
  }
  if (paper.right - x(now) > ROOM) words(paper, fan, misses, rescued)
}

/** From now to the last moment at which the rescue still makes it. */
function rescueWindow(ctx: CanvasRenderingContext2D, from: number, to: number, bottom: number): void {
  ctx.globalAlpha = 0.26
  ctx.fillStyle = FLARE
  ctx.fillRect(from, 0, Math.max(3, to - from), bottom)
  ctx.globalAlpha = 1
  line(ctx, to, 0, to, bottom, FLARE, 3)
}

/** In words on the curve itself, for whoever cannot tell the dashes apart. */
function words({ ctx, x, y, bottom, now }: Paper, fan: FanPoint[], misses: boolean, rescued: FanPoint[]): void {
  font(ctx, 18, 700)
  const end = fan.at(-1)
  // Past the first gate, where the band is clear of it.
  const at = end && fan.find((point) => x(point.at) > x(now) + 0.5 * (x(end.at) - x(now)))
  if (at && misses) label(ctx, say('ifYouDoNothing'), x(at.at), Math.max(20, y(at.most) - 10), 'left', FLARE_TEXT)
  else if (at) label(ctx, say('onCourse'), x(at.at), Math.max(20, y(at.most) - 10), 'left', ICE_TEXT)
  const cold = rescued.find((point) => x(point.at) > x(now) + 150)
  if (cold) label(ctx, say('ifDoneNow'), x(cold.at), Math.min(bottom - 30, y(cold.celsius) + 24), 'right', ICE_TEXT)
}

function curve({ ctx, x, y, bottom }: Paper, points: FanPoint[], colour: string, width: number): void {
  ctx.strokeStyle = colour
  ctx.lineWidth = width
  ctx.beginPath()
  points.forEach(({ at, celsius }, i) => {
    const [px, py] = [x(at), Math.min(bottom, y(celsius))]
    if (i === 0) ctx.moveTo(px, py)
    else ctx.lineTo(px, py)
  })
  ctx.stroke()
}

function range({ ctx, x, y, bottom }: Paper, points: FanPoint[], colour: string): void {
  ctx.beginPath()
  points.forEach(({ at, most }, i) => {
    if (i === 0) ctx.moveTo(x(at), y(most))
    else ctx.lineTo(x(at), y(most))
  })
  for (const { at, least } of [...points].reverse()) ctx.lineTo(x(at), Math.min(bottom, y(least)))
  ctx.closePath()
  ctx.globalAlpha = 0.28
  ctx.fillStyle = colour
  ctx.fill()
  ctx.globalAlpha = 1
}
