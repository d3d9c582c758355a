import type { Trace, Cue, Marks } from './marks'
import type { Chart } from 'chart.js'
import { stageOf, type Finding, type Standing } from '@logged-thermal/core'
import { clock, clockWithSeconds, degrees, limitDegreesOf, type Reader, benchMessages } from '@logged-thermal/wording'
import { colourOf } from '../parts/temperatureScale'
import { paintFutures } from './futureMarks'
import { paintHeat } from './heatMarks'
import { DARK, font, GLASS, hatch, label, line, GRID, QUIET } from '../parts/pen'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

/** Paints axes, readings, limits and what is being explained over a chart's fill. */
export function paintMarks(chart: Chart, marks: Marks): void {
  const { trace, findings, now, reader, scale, explained, cues, heat, futures, pans } = marks
  const { ctx, chartArea, scales } = chart
  if (!scales.x || !scales.y) return
  const { left, right, top, bottom } = chartArea
  const x = (at: number) => scales.x!.getPixelForValue(scale.x(at))
  const y = (celsius: number) => scales.y!.getPixelForValue(scale.y(celsius))
  ctx.save()
  ctx.lineJoin = 'round'

  font(ctx, 16, 600)
  let labelled = Infinity
  for (const celsius of scale.ticksY) {
    line(ctx, left, y(celsius), right, y(celsius), GRID, 1)
    // A low pane has no room for every figure: the limits come before the zero.
    if (Math.abs(labelled - y(celsius)) < 16 || (celsius === 0 && chartArea.height < 110)) continue
    labelled = y(celsius)
    label(ctx, limitDegreesOf(celsius, reader), left - 12, y(celsius) + 6, 'right', QUIET)
  }
  let taken = -Infinity
  for (const at of scale.ticksX) {
    const text = at % 60_000 === 0 || !scale.cooking ? clock(at, reader) : clockWithSeconds(at, reader).slice(5)
    const centre = Math.min(right - 24, Math.max(left + 24, x(at)))
    const half = ctx.measureText(text).width / 2
    if (centre - half < taken + 8) continue
    taken = centre + half
    label(ctx, text, centre, bottom + 20, 'center', QUIET)
  }
  ctx.save()
  ctx.beginPath()
  ctx.rect(left, 0, right - left, bottom + 40)
  ctx.clip()
  const last = trace.at(-1)
  if (last && now > last.at) hatch(ctx, x(last.at), y(last.celsius), x(now), bottom, colourOf(last.celsius))
  for (const { at, celsius } of trace) line(ctx, x(at), y(celsius), x(at), bottom, DARK, 2.4)
  for (const each of pans) panTrace(ctx, each, x, y)
  ctx.restore()
  if (heat) paintHeat(chart, marks, heat)
  if (futures && !scale.cooking) {
    ctx.save()
    ctx.beginPath()
    ctx.rect(left, 0, right - left, bottom + 40)
    ctx.clip()
    paintFutures({ ctx, x, y, bottom, right, now, reader }, futures)
    ctx.restore()
  }

  for (const finding of findings) {
    const { rule } = finding.check.limit
    if (rule.kind === 'reach' && !scale.cooking && finding.deadline !== null) {
      const at = finding.standing === 'proven' ? (finding.end?.latest ?? finding.deadline) : finding.deadline
      wedge(ctx, x(at), top - 24, y(stageOf('', rule, finding.check).to), finding.standing)
    }
    if (
      finding.standing === 'unproven' &&
      finding.because.code === 'somewhere between' &&
      finding.because.from !== null &&
      !scale.cooking
    ) {
      blindStretch(ctx, x(finding.because.from), x(finding.because.to), top, bottom)
    }
  }
  line(ctx, x(now), top - 24, x(now), bottom, GLASS, 2.5)
  values(ctx, trace, x, y, left, reader, scale.cooking ? 'reach' : 'under', explained?.deciding ?? [])
  // A narrow trace has no room for words: the ticks stay.
  cueMarks(ctx, right - left < NARROW ? cues.map(({ at }) => ({ at, text: '' })) : cues, x, bottom)
  if (explained) explain(ctx, explained, trace, x, y, top, bottom)
  ctx.restore()
}

/** Another pan: a thin line through its readings, named at its last. */
function panTrace(
  ctx: CanvasRenderingContext2D,
  { pan, trace }: { pan: string; trace: Trace },
  x: (at: number) => number,
  y: (celsius: number) => number,
): void {
  const own = trace.filter(({ portion }) => portion === pan)
  const last = own.at(-1)
  if (!last) return
  ctx.strokeStyle = GLASS
  ctx.lineWidth = 2
  ctx.beginPath()
  trace.forEach(({ at, celsius }, i) => (i === 0 ? ctx.moveTo(x(at), y(celsius)) : ctx.lineTo(x(at), y(celsius))))
  ctx.stroke()
  font(ctx, 15, 600)
  label(ctx, say('panPan', { pan }), x(last.at) + 6, y(last.celsius) + 16, 'left', GLASS)
}

/** px. */
const NARROW = 420

/** What somebody saw or did, at the foot of the trace: a tick and the words, one over the other where they are close. */
function cueMarks(
  ctx: CanvasRenderingContext2D,
  cues: readonly Cue[],
  x: (at: number) => number,
  bottom: number,
): void {
  font(ctx, 15, 600)
  const rows: number[] = []
  for (const { at, text } of cues) {
    const left = x(at)
    const free = rows.findIndex((taken) => taken < left)
    const row = free < 0 ? rows.length : free
    rows[row] = left + ctx.measureText(text).width + 14
    line(ctx, left, bottom - 16 - row * 18, left, bottom, GLASS, 3)
    label(ctx, text, left + 6, bottom - 6 - row * 18, 'left', GLASS)
  }
}

/** The readings that decide a finding ringed, and where a crossing lies, as far as it is known. */
function explain(
  ctx: CanvasRenderingContext2D,
  { deciding, start, end }: Finding,
  trace: Trace,
  x: (at: number) => number,
  y: (celsius: number) => number,
  top: number,
  bottom: number,
): void {
  ctx.strokeStyle = GLASS
  ctx.lineWidth = 3
  for (const { at, celsius } of trace.filter((reading) => deciding.includes(reading.at))) {
    ctx.beginPath()
    ctx.arc(x(at), y(celsius), 9, 0, 2 * Math.PI)
    ctx.stroke()
  }
  for (const bracket of [start, end]) {
    if (!bracket || bracket.earliest === null || bracket.latest === null || bracket.earliest === bracket.latest)
      continue
    const [from, to] = [x(bracket.earliest), x(bracket.latest)]
    const at = bracket === start ? top + 10 : bottom - 10
    line(ctx, from, at, to, at, GLASS, 3)
    line(ctx, from, at - 8, from, at + 8, GLASS, 3)
    line(ctx, to, at - 8, to, at + 8, GLASS, 3)
  }
}

/** The last value large, earlier ones where there is room. */
function values(
  ctx: CanvasRenderingContext2D,
  trace: Trace,
  x: (at: number) => number,
  y: (celsius: number) => number,
  left: number,
  reader: Reader,
  sense: 'reach' | 'under',
  ringed: readonly number[],
): void {
  let taken = Infinity
  for (const [i, { at, celsius }] of [...trace.entries()].reverse()) {
    const isLast = i === trace.length - 1
    font(ctx, isLast ? 28 : 17, 700)
    const text = degrees(celsius, reader, sense).slice(0, -1)
    const width = ctx.measureText(text).width
    const centre = Math.max(x(at), 64 + width / 2)
    if (centre + width / 2 > taken - 6 || x(at) < left - 1) continue
    // A ring has room under its value.
    label(ctx, text, centre, y(celsius) - (ringed.includes(at) ? 16 : 8), 'center', GLASS)
    taken = centre - width / 2
  }
}

/** A be-under wedge hangs from the top with its point on the limit. */
function wedge(ctx: CanvasRenderingContext2D, x: number, top: number, point: number, standing: Standing): void {
  const slip = standing === 'missed' ? 8 : 0
  ctx.beginPath()
  ctx.moveTo(x - 18 + slip, top)
  ctx.lineTo(x + 18 + slip, top)
  ctx.lineTo(x + 3, point)
  ctx.lineTo(x - 3, point)
  ctx.closePath()
  ctx.strokeStyle = GLASS
  ctx.lineWidth = 2.4
  ctx.setLineDash(standing === 'unproven' ? [6, 4] : [])
  ctx.fillStyle = standing === 'proven' || standing === 'missed' ? GLASS : 'rgba(34,27,41,0.75)'
  ctx.fill()
  ctx.stroke()
  ctx.setLineDash([])
  font(ctx, 18, 800)
  const mark = { open: '○', proven: '✓', missed: '✕', unproven: '?' }[standing]
  ctx.fillStyle = standing === 'proven' || standing === 'missed' ? DARK : GLASS
  ctx.textAlign = 'center'
  ctx.fillText(mark, x + slip, top + 22)
}

function blindStretch(ctx: CanvasRenderingContext2D, from: number, to: number, top: number, bottom: number): void {
  hatch(ctx, from, top, to, bottom, DARK)
  ctx.strokeStyle = GLASS
  ctx.lineWidth = 2
  ctx.setLineDash([5, 4])
  ctx.strokeRect(from, top, Math.max(2, to - from), bottom - top)
  ctx.setLineDash([])
}
