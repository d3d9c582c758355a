import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartData,
  type ChartDataset,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import { memo, useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { floorOf, mixtureTrace, timelineOf, type BatchState, type Finding, type HeatWindow } from '@logged-thermal/core'
import { clock, coolingDeeds, degrees, type Reader, benchMessages } from '@logged-thermal/wording'
import type { Futures } from './futures'
import { colourOf } from '../parts/temperatureScale'
import type { Marks, Cue, Trace } from './marks'
import { paintMarks } from './traceMarks'
import { traceScale, type TraceScale } from './traceScale'
import styles from './bench.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchMessages)

Chart.register(Filler, LinearScale, LineController, LineElement, PointElement)

/** The marks travel with the data, so that one plugin paints every trace and a chart is never made again. */
interface Marked extends ChartDataset<'line'> {
  marks: Marks
}

const MARKS: Plugin<'line'> = {
  id: 'marks',
  afterDatasetsDraw(chart) {
    const [dataset] = chart.data.datasets
    if (dataset && isMarked(dataset)) paintMarks(chart, dataset.marks)
  },
}

interface Props {
  batch: BatchState
  findings: Finding[]
  now: number
  reader: Reader
  /** The finding that is being explained: its readings are ringed, its brackets drawn. */
  explained: Finding | null
  /** The band to stay in; null off the heat. */
  heat: HeatWindow | null
  futures: Futures | null
}

/** The trace on glass: filled by temperature as far as it was read, with the floor or the gates it has to pass. */
export const TraceChart = memo(function TraceChart({ batch, findings, now, reader, explained, heat, futures }: Props) {
  const trace = useMemo(() => mixtureTrace(batch), [batch])
  const pans = useMemo(() => otherPans(batch), [batch])
  const floor = floorOf(findings)
  const cookedAt = cooledFrom(batch, floor)
  const first = trace[0]?.at ?? now
  const scale = useMemo(
    () => traceScale(batch, findings, cookedAt, first, now, heat),
    [batch, findings, cookedAt, first, now, heat],
  )
  const dataset: Marked = {
    data: trace.map(({ at, celsius }) => ({ x: scale.x(at), y: scale.y(celsius) })),
    fill: 'start',
    borderWidth: 0,
    pointRadius: 0,
    tension: 0,
    backgroundColor: ({ chart }) => heatFill(chart, trace, scale),
    marks: { trace, findings, now, reader, scale, explained, cues: cuesOn(batch), heat, futures, pans },
  }
  const options: ChartOptions<'line'> = {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    events: [],
    layout: { padding: { left: 64, right: 8, top: 26, bottom: 26 } },
    scales: {
      x: { type: 'linear', min: 0, max: 1, display: false },
      y: { type: 'linear', min: scale.y(scale.bottom), max: scale.y(scale.top), display: false },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  }
  const last = trace.at(-1)
  const said = last
    ? say('lastReadAt', { degrees: degrees(last.celsius, reader), time: clock(last.at, reader) })
    : say('nothingReadMixtureYet')
  return (
    <div className={styles.trace}>
      <Line
        aria-label={say('traceOf', { method: batch.method.name, said })}
        data={{ datasets: [dataset] } satisfies ChartData<'line'>}
        options={options}
        plugins={[MARKS]}
      />
    </div>
  )
})

function otherPans(batch: BatchState): Marks['pans'] {
  const { read, slowest } = timelineOf(batch).pans
  return read.filter((pan) => pan !== slowest).map((pan) => ({ pan, trace: mixtureTrace(batch, pan) }))
}

/** Since when it cools: the end of its heat, or when it was put together cold; null before. */
function cooledFrom(batch: BatchState, floor: Finding | null): number | null {
  if (floor?.check.evidence.to) return timelineOf(batch).at(floor.check.evidence.to)
  const cooling = batch.checks.find(({ limit }) => limit.rule.kind === 'reach' || limit.rule.kind === 'stay')
  return cooling ? timelineOf(batch).at(cooling.evidence.from) : batch.startedAt
}

function heatFill(chart: Chart, trace: Trace, scale: TraceScale): CanvasGradient | string {
  const { ctx, scales } = chart
  const [first, last] = [trace[0], trace.at(-1)]
  if (!scales.x || !first || !last || trace.length < 2) return 'transparent'
  const [from, to] = [scales.x.getPixelForValue(scale.x(first.at)), scales.x.getPixelForValue(scale.x(last.at))]
  if (!Number.isFinite(from) || !Number.isFinite(to)) return 'transparent'
  const gradient = ctx.createLinearGradient(from, 0, Math.max(from + 1, to), 0)
  for (const { at, celsius } of trace) {
    const offset = (scales.x.getPixelForValue(scale.x(at)) - from) / Math.max(1, to - from)
    gradient.addColorStop(Math.max(0, Math.min(1, offset)), colourOf(celsius))
  }
  return gradient
}

function cuesOn(batch: BatchState): Cue[] {
  const seen = batch.facts.noted.flatMap(({ at, value, void: gone }) =>
    value.cue && !gone ? [{ at, text: value.text }] : [],
  )
  return [...seen, ...coolingDeeds(batch, spoken).map(({ at, words }) => ({ at, text: words.split(',')[0]! }))].sort(
    (a, b) => a.at - b.at,
  )
}

function isMarked(dataset: ChartDataset<'line'>): dataset is Marked {
  return 'marks' in dataset
}
