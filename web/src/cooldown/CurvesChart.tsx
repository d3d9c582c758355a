import { Chart, LinearScale, LineController, LineElement, PointElement, type ChartData, type Plugin } from 'chart.js'
import { Line } from 'react-chartjs-2'
import { isTooLate, type CoolingStage, type TrialResult } from '@logged-thermal/core'
import { limitDegreesOf, span, type Reader, cooldownMessages } from '@logged-thermal/wording'
import { day } from '../kit/tokens'
import { font, GLASS, GRID, label, line, QUIET } from '../parts/pen'
import { colourOf } from '../parts/temperatureScale'
import styles from './cooldown.module.css'
import { speaks } from '../kit/language'

const say = speaks(cooldownMessages)

Chart.register(LinearScale, LineController, LineElement, PointElement)

interface Props {
  results: readonly TrialResult[]
  names: readonly string[]
  chosen: number
  stages: readonly CoolingStage[]
  reader: Reader
}

const y = (celsius: number) => Math.log(Math.max(-6, celsius) + 8)
const OTHER = QUIET
const CHOSEN = colourOf(5)
const MISSES = day.flare2

/** Every way to cool on one pane, from the start of the clock on, with the gates it has to pass. */
export function CurvesChart({ results, names, chosen, stages, reader }: Props) {
  const end = Math.max(...stages.map(({ withinMinutes }) => withinMinutes), 60) * 1.12
  const data: ChartData<'line'> = {
    datasets: results.map(({ curve, stages: made }, i) => ({
      data: curve
        .filter(({ minutes }) => minutes >= -0.01 && minutes <= end)
        .map(({ minutes, celsius }) => ({ x: minutes, y: y(celsius) })),
      borderColor: i === chosen ? CHOSEN : made.some(isTooLate) ? MISSES : OTHER,
      borderWidth: i === chosen ? 6 : 3,
      borderDash: i === chosen ? [] : made.some(isTooLate) ? [2, 6] : [9, 6],
      pointRadius: 0,
      tension: 0.2,
      order: i === chosen ? 0 : 1,
    })),
  }
  const marks: Plugin<'line'> = {
    id: 'gates',
    afterDatasetsDraw: (chart) => paint(chart, { results, names, chosen, stages, reader, end }),
  }
  const hot = Math.max(...stages.map(({ from }) => from), 57)
  return (
    <div className={styles.curves}>
      <Line
        key={`${names.join()}${reader.scale}${chosen}${results.length}`}
        aria-label={say('coolingCurves', { names: names.join(', ') })}
        data={data}
        plugins={[marks]}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          events: [],
          layout: { padding: { left: 64, right: 12, top: 30, bottom: 28 } },
          scales: {
            x: { type: 'linear', min: 0, max: end, display: false },
            y: { type: 'linear', min: y(-3), max: y(hot + 4), display: false },
          },
          plugins: { legend: { display: false }, tooltip: { enabled: false } },
        }}
      />
    </div>
  )
}

function paint(chart: Chart, { results, names, chosen, stages, reader, end }: Props & { end: number }): void {
  const { ctx, chartArea, scales } = chart
  if (!scales.x || !scales.y) return
  const { left, right, top, bottom } = chartArea
  const px = (minutes: number) => scales.x!.getPixelForValue(minutes)
  const py = (celsius: number) => scales.y!.getPixelForValue(y(celsius))
  ctx.save()
  font(ctx, 16, 600)
  const levels = [...new Set([...stages.flatMap(({ from, to, clock }) => (clock === 'event' ? [to] : [from, to])), 0])]
  for (const celsius of levels) {
    line(ctx, left, py(celsius), right, py(celsius), GRID, 1)
    label(ctx, limitDegreesOf(celsius, reader), left - 12, py(celsius) + 6, 'right', QUIET)
  }
  for (let hour = 0; hour * 60 <= end; hour++)
    label(
      ctx,
      hour === 0 ? say('clockStarts') : `${hour} h`,
      Math.max(left + 30, px(hour * 60)),
      bottom + 22,
      'center',
      QUIET,
    )
  let before = 0
  for (const { to, withinMinutes, clock } of stages) {
    const at = clock === 'previous' ? before + withinMinutes : withinMinutes
    before = at
    ctx.strokeStyle = GLASS
    ctx.fillStyle = 'rgba(34,27,41,0.75)'
    ctx.lineWidth = 2.4
    const wedge = new Path2D(
      `M${px(at) - 18} ${top - 24}L${px(at) + 18} ${top - 24}L${px(at) + 3} ${py(to)}L${px(at) - 3} ${py(to)}Z`,
    )
    ctx.fill(wedge)
    ctx.stroke(wedge)
    font(ctx, 17, 700)
    label(
      ctx,
      say('byDegreesSpan', { degrees: limitDegreesOf(to, reader), span: span(at * 60_000, reader) }),
      px(at) - 24,
      top - 6,
      'right',
      GLASS,
    )
  }
  namesOf(ctx, results, names, chosen, px, py, right, bottom)
  ctx.restore()
}

/** Each curve's name where it is clear of the others: along the pane, one after the other. */
function namesOf(
  ctx: CanvasRenderingContext2D,
  results: readonly TrialResult[],
  names: readonly string[],
  chosen: number,
  px: (minutes: number) => number,
  py: (celsius: number) => number,
  right: number,
  bottom: number,
): void {
  const taken: [number, number][] = []
  results.forEach(({ curve }, i) => {
    font(ctx, i === chosen ? 18 : 15, i === chosen ? 700 : 600)
    const width = ctx.measureText(names[i] ?? '').width
    for (const { minutes, celsius } of curve.filter((point) => point.minutes > 12)) {
      const [x, at] = [px(minutes) + 6, py(celsius) - 8]
      if (x + width > right || at > bottom - 6) break
      if (taken.some(([tx, ty]) => Math.abs(tx - x) < width + 20 && Math.abs(ty - at) < 20)) continue
      label(ctx, names[i] ?? '', x, at, 'left', i === chosen ? GLASS : QUIET)
      taken.push([x, at])
      break
    }
  })
}
