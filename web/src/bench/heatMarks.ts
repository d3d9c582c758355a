import type { Chart } from 'chart.js'
import { heldAt, type HeatEdge, type HeatWindow } from '@logged-thermal/core'
import { gateName, limitDegreesOf, benchMessages } from '@logged-thermal/wording'
import { colourOf } from '../parts/temperatureScale'
import { font, GLASS, hatch, label, line } from '../parts/pen'
import type { Marks } from './marks'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

const FORECAST = colourOf(48)
/** A forecast that spreads further than this shows it, ms. */
const SPREAD_MS = 15_000

/** The band to stay in: filled by temperature, sill below, teeth above, the way it goes, and where it gets there. */
export function paintHeat(chart: Chart, { trace, now, scale, reader }: Marks, heat: HeatWindow): void {
  const { ctx, chartArea, scales } = chart
  if (!scales.x || !scales.y) return
  const { left, right, bottom } = chartArea
  const x = (at: number) => scales.x!.getPixelForValue(scale.x(at))
  const y = (celsius: number) => scales.y!.getPixelForValue(scale.y(celsius))
  const { floor, ceiling, rise } = heat
  ctx.save()
  ctx.beginPath()
  ctx.rect(left - 64, 0, right - left + 64, bottom)
  ctx.clip()
  const top = ceiling?.celsius ?? scale.top
  if (floor) {
    band(ctx, [left, x(now)], floor.celsius, top, y, 0.2)
    band(ctx, [x(now), right], floor.celsius, top, y, 0.5)
  }
  const last = trace.at(-1)
  if (rise && last) {
    ctx.setLineDash([6, 4])
    const end = now + 10 * 60_000
    const at = (instant: number) => rise.celsius + (rise.likely * (instant - rise.at)) / 60_000
    line(ctx, x(last.at), y(last.celsius), x(end), y(at(end)), FORECAST, 3)
    ctx.setLineDash([])
  }
  // Where floor and ceiling lie close, their figures make room for each other.
  const near = floor !== null && ceiling !== null && y(floor.celsius) - y(ceiling.celsius) < 46
  if (ceiling) {
    teeth(
      ctx,
      y(ceiling.celsius),
      left,
      right,
      near,
      say('curdlesAbove', { degrees: limitDegreesOf(ceiling.celsius, reader) }),
    )
    axisLabel(ctx, limitDegreesOf(ceiling.celsius, reader), left - 8, y(ceiling.celsius) - (near ? 10 : 0), 19)
  }
  if (heat.boil)
    studs(
      ctx,
      y(heat.boil.celsius),
      left,
      right,
      say('boilOutAt', { degrees: limitDegreesOf(heat.boil.celsius, reader) }),
    )
  if (floor) {
    sill(ctx, y(floor.celsius), left, right)
    shelf(ctx, heat, floor, now, x, y(floor.celsius), bottom)
    spread(ctx, floor, x, y(floor.celsius))
    font(ctx, 19, 700)
    const said = say('floorProven', {
      gateName: gateName(floor.finding.check, reader),
      isProven: floor.finding.standing === 'proven',
    })
    label(ctx, said, right - 8, y(floor.celsius) + 24, 'right', GLASS)
    axisLabel(ctx, limitDegreesOf(floor.celsius, reader), left - 8, y(floor.celsius) + (near ? 8 : 0), 22)
  }
  ctx.restore()
}

/** A limit's figure at the axis, smaller where it has a tenth. */
function axisLabel(ctx: CanvasRenderingContext2D, text: string, x: number, y: number, size: number): void {
  const fits = text.length > 4 ? 16 : size
  font(ctx, fits, 700)
  label(ctx, text, x, y + fits / 3, 'right', GLASS)
}

function band(
  ctx: CanvasRenderingContext2D,
  [from, to]: [number, number],
  floor: number,
  top: number,
  y: (celsius: number) => number,
  alpha: number,
): void {
  if (to <= from || top <= floor) return
  const fill = ctx.createLinearGradient(0, y(floor), 0, y(top))
  for (const share of [0, 0.5, 1]) fill.addColorStop(share, colourOf(floor + share * (top - floor)))
  ctx.globalAlpha = alpha
  ctx.fillStyle = fill
  ctx.fillRect(from, y(top), to - from, y(floor) - y(top))
  ctx.globalAlpha = 1
}

/** A large shape is law: the floor to push up to. */
function sill(ctx: CanvasRenderingContext2D, level: number, left: number, right: number): void {
  line(ctx, left, level, right, level, GLASS, 5)
}

/** A row of small ones is quality: the ceiling to stay under. */
function teeth(
  ctx: CanvasRenderingContext2D,
  level: number,
  left: number,
  right: number,
  near: boolean,
  text: string,
): void {
  line(ctx, left, level - 12, right, level - 12, GLASS, 1.6)
  ctx.strokeStyle = GLASS
  ctx.lineWidth = 1.6
  for (let at = left + 12; at < right - 8; at += 26) {
    ctx.beginPath()
    ctx.moveTo(at - 7, level - 12)
    ctx.lineTo(at, level)
    ctx.lineTo(at + 7, level - 12)
    ctx.stroke()
  }
  font(ctx, 16, 600)
  label(ctx, text, right - 8, near ? level - 18 : level + 18, 'right', GLASS)
}

/** A line with small studs under it: quality to push up to. */
function studs(ctx: CanvasRenderingContext2D, level: number, left: number, right: number, text: string): void {
  line(ctx, left, level, right, level, GLASS, 2.4)
  for (let at = left + 12; at < right - 8; at += 26) line(ctx, at, level, at, level + 7, GLASS, 5)
  font(ctx, 16, 600)
  label(ctx, text, right - 8, level - 6, 'right', GLASS)
}

/** Where the floor is reached as it goes, or since when it is held: as wide as the hold, hatched as far as it went. */
function shelf(
  ctx: CanvasRenderingContext2D,
  heat: HeatWindow,
  floor: HeatEdge,
  now: number,
  x: (at: number) => number,
  level: number,
  bottom: number,
): void {
  if (floor.finding.standing === 'proven') return
  const held = heldAt(heat)
  const from = held ? held.since : (floor.at?.likely ?? null)
  if (from === null) return
  const seconds = held ? held.seconds : secondsAt(floor)
  const [start, end] = [x(from), Math.max(x(from) + 14, x(from + seconds * 1000))]
  const middle = (start + end) / 2
  const foot = Math.min(bottom - 2, level + 70)
  const shape = new Path2D(`M${start} ${level}L${end} ${level}L${middle + 5} ${foot}L${middle - 5} ${foot}Z`)
  ctx.fillStyle = 'rgba(34,27,41,0.85)'
  ctx.fill(shape)
  if (held) {
    ctx.save()
    ctx.clip(shape)
    hatch(ctx, start, level, Math.min(end, x(now)), foot, GLASS)
    ctx.restore()
  }
  ctx.strokeStyle = GLASS
  ctx.lineWidth = 2.6
  ctx.stroke(shape)
}

function secondsAt({ finding, celsius }: HeatEdge): number {
  return finding.ladder.find(({ row }) => Math.abs(row.celsius - celsius) < 1e-6)?.row.seconds ?? 0
}

/** The soonest and the latest of a forecast, as a bracket on the sill. */
function spread(ctx: CanvasRenderingContext2D, { at }: HeatEdge, x: (at: number) => number, level: number): void {
  if (!at || at.earliest === null) return
  const latest = at.latest ?? at.earliest + 20 * 60_000
  if (latest - at.earliest < SPREAD_MS) return
  const [from, to] = [x(at.earliest), x(latest)]
  line(ctx, from, level - 12, to, level - 12, FORECAST, 2.4)
  for (const end of [from, to]) line(ctx, end, level - 19, end, level - 5, FORECAST, 2.4)
}
