import type { Chart } from 'chart.js'
import type { Trend, TrendPoint } from '@logged-thermal/core'
import { trendsMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { font, hatch, line } from '../parts/pen'
import { chartOrder } from './chartOrder'

const say = speaks(trendsMessages)
const MARK = 6

interface Painted {
  trend: Trend
  /** The batch that is ringed. */
  chosen: string | null
  words: (value: number) => string
  ink: string
  paper: string
}

/** Draws over the empty chart: what is usual, zero, each batch, and the rule on the last point that is out of the usual. */
export function paintSpare(chart: Chart, { trend, chosen, words, ink, paper }: Painted): void {
  const { ctx, chartArea } = chart
  const [x, y] = [chart.scales.x, chart.scales.y]
  if (!x || !y) return
  const { left, right, top, bottom } = chartArea
  const at = (value: number) => y.getPixelForValue(value)
  const across = (i: number) => x.getPixelForValue(i)
  const text = (said: string, px: number, py: number, align: CanvasTextAlign, weight = 500) => {
    font(ctx, 15, weight)
    ctx.textAlign = align
    ctx.lineWidth = 4
    ctx.strokeStyle = paper
    ctx.strokeText(said, px, py)
    ctx.fillStyle = ink
    ctx.fillText(said, px, py)
  }
  ctx.save()
  const { usual } = trend.chart
  // Nothing is read in less than no time.
  const isDrawn = (value: number) => trend.measure?.of === 'gate' || value > 0
  if (usual) {
    ctx.setLineDash([9, 6])
    for (const value of [usual.least, usual.most].filter(isDrawn))
      line(ctx, left, at(value), right, at(value), ink, 1.5)
    ctx.setLineDash([])
    line(ctx, left, at(usual.middle), right, at(usual.middle), ink, 1.5)
  }
  // Zero is the gate: a wedge on its side, as on the Line.
  line(ctx, left, at(0), right, at(0), ink, 3)
  ctx.fillStyle = ink
  ctx.fill(new Path2D(`M${left - 22} ${at(0) - 12}L${left} ${at(0)}L${left - 22} ${at(0) + 12}Z`))
  text('0', left - 30, at(0) + 6, 'right', 700)
  const isClear = !usual || Math.abs(at(usual.least) - at(0)) > 44
  if (trend.measure?.of === 'gate' && isClear)
    text(say(trend.points[0]?.spare.unit === '°C' ? 'tooCold' : 'tooLate'), right, at(0) + 18, 'right')
  if (usual) {
    const lastDrawn = trend.points.findLast(({ drawn }) => drawn !== null)?.drawn ?? 0
    const isTaken = Math.abs(at(lastDrawn) - at(usual.most)) < 30
    text(
      say('usualMost', { value: words(usual.most) }),
      isTaken ? left + 6 : right,
      at(usual.most) - 6,
      isTaken ? 'left' : 'right',
    )
    if (isDrawn(usual.least))
      text(say('usualLeast', { value: words(usual.least) }), right, at(usual.least) + 18, 'right')
    const count = Math.min(20, trend.chart.points.length)
    text(say('middle', { count, value: words(usual.middle) }), left + 6, at(usual.middle) - 6, 'left')
  }
  joined(ctx, trend, across, at, ink)
  trend.points.forEach((point, i) =>
    mark(ctx, point, across(i), at, { ink, paper, top, bottom, isChosen: point.id === chosen }),
  )
  const { charted } = chartOrder(trend)
  const last = charted.findLastIndex((point) => point !== null && point.unusual.length > 0)
  const [first] = charted[last]?.unusual ?? []
  const drawn = trend.points[last]?.drawn
  if (first && drawn != null) {
    const side = across(last) > (left + right) / 2 ? 'right' : 'left'
    const under = at(drawn) - top < 40
    text(say(`unusual_${first.rule}`, { side: first.side }), across(last), at(drawn) + (under ? 26 : -16), side, 700)
  }
  ctx.restore()
}

/** From one value to the next, over what has none. */
function joined(
  ctx: CanvasRenderingContext2D,
  { points }: Trend,
  across: (i: number) => number,
  at: (value: number) => number,
  ink: string,
): void {
  ctx.beginPath()
  points.forEach(({ drawn }, i) => {
    if (drawn !== null) ctx.lineTo(across(i), at(drawn))
  })
  ctx.strokeStyle = ink
  ctx.lineWidth = 1.5
  ctx.stroke()
}

interface Ink {
  ink: string
  paper: string
  top: number
  bottom: number
  isChosen: boolean
}

function mark(
  ctx: CanvasRenderingContext2D,
  { drawn, standing, spare: { least, most } }: TrendPoint,
  x: number,
  at: (value: number) => number,
  { ink, paper, top, bottom, isChosen }: Ink,
): void {
  if (drawn === null) {
    const [from, to] = [most === null ? top : at(most), least === null ? bottom : at(least)]
    hatch(ctx, x - 6, from, x + 6, to, ink)
    ctx.strokeStyle = ink
    ctx.lineWidth = 1.5
    ctx.setLineDash([3, 3])
    ctx.strokeRect(x - 6, from, 12, to - from)
    ctx.setLineDash([])
    if (isChosen) ring(ctx, x, (from + to) / 2, ink)
    return
  }
  const y = at(drawn)
  ctx.fillStyle = ink
  if (standing === 'missed') {
    ctx.fillRect(x - MARK - 1, y - MARK - 1, 2 * MARK + 2, 2 * MARK + 2)
    line(ctx, x - 4, y - 4, x + 4, y + 4, paper, 2)
    line(ctx, x - 4, y + 4, x + 4, y - 4, paper, 2)
  } else {
    ctx.beginPath()
    ctx.arc(x, y, MARK, 0, 2 * Math.PI)
    ctx.fill()
    if (standing === 'unproven') {
      ctx.fillStyle = paper
      ctx.beginPath()
      ctx.arc(x, y, MARK - 2.5, 0, 2 * Math.PI)
      ctx.fill()
    }
  }
  if (isChosen) ring(ctx, x, y, ink)
}

function ring(ctx: CanvasRenderingContext2D, x: number, y: number, ink: string): void {
  ctx.strokeStyle = ink
  ctx.lineWidth = 2.5
  ctx.beginPath()
  ctx.arc(x, y, 13, 0, 2 * Math.PI)
  ctx.stroke()
}
