import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartData,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import { useColorScheme } from '@mui/material/styles'
import { useMemo } from 'react'
import { Bar, Line } from 'react-chartjs-2'
import { dayOf, type Trend, type TrendPoint } from '@logged-thermal/core'
import { dayName, trendsMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { day, night } from '../kit/tokens'
import { chartOrder } from './chartOrder'
import { paintSpare } from './paintSpare'
import { valueWords } from './values'
import styles from './trends.module.css'

const say = speaks(trendsMessages)

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, BarController, BarElement)

interface Props {
  trend: Trend
  what: string
  chosen: string | null
  onChoose: (point: TrendPoint) => void
  reader: Reader
}

/** Batch by batch what was to spare, in ink alone: a disc is proven, a square missed, a hatch not proven. Below, the changes. */
export function SpareChart({ trend, what, chosen, onChoose, reader }: Props) {
  const { points, chart } = trend
  // A canvas knows nothing of the page's colours.
  const { colorScheme } = useColorScheme()
  const { ink, enamel } = colorScheme === 'dark' ? night : day
  const unit = points[0]?.spare.unit ?? 'min'
  const days = useMemo(() => points.map(({ at }) => dayName(dayOf(at, reader.zone), reader)), [points, reader])
  const { ranges } = useMemo(() => chartOrder(trend), [trend])
  const data: ChartData<'line', (number | null)[]> = {
    labels: days,
    datasets: [{ data: points.map(({ drawn }) => drawn), spanGaps: true, pointRadius: 0, borderWidth: 0 }],
  }
  const marks: Plugin<'line'> = {
    id: 'marks',
    afterDatasetsDraw: (painted) =>
      paintSpare(painted, { trend, chosen, words: (value) => valueWords(value, unit, reader), ink, paper: enamel }),
  }
  const most = chart.usual?.mostRange ?? 0
  return (
    <>
      <div className={styles.chart}>
        <Line
          key={`${colorScheme} ${chosen} ${what}`}
          aria-label={say('chart', { what, count: points.length })}
          role="img"
          data={data}
          plugins={[marks]}
          options={{ ...PLAIN, ...scales(trend), onClick: (_event, found) => pick(found[0]?.index) }}
        />
      </div>
      <h2 className={styles.changes}>{say('change')}</h2>
      <div className={styles.ranges}>
        <Bar
          key={colorScheme}
          aria-hidden="true"
          data={{
            labels: days,
            datasets: [{ data: ranges, backgroundColor: ink, barThickness: 6 }],
          }}
          options={{
            ...PLAIN,
            scales: { x: { display: false }, y: { display: false, min: 0, suggestedMax: most * 1.1 || 1 } },
          }}
        />
      </div>
    </>
  )

  function pick(index: number | undefined) {
    const point = index === undefined ? undefined : points[index]
    if (point) onChoose(point)
  }
}

const PLAIN = {
  animation: false as const,
  responsive: true,
  maintainAspectRatio: false,
  interaction: { mode: 'index' as const, intersect: false },
  layout: { padding: { left: 84, right: 20, top: 12, bottom: 4 } },
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
}

/** All that is drawn has room: the zero line, the values, what is usual, what is not proven. */
function scales({ points, measure, chart: { usual } }: Trend): Pick<ChartOptions<'line'>, 'scales'> {
  const all = [
    0,
    ...points.flatMap(({ drawn, spare: { least, most } }) => [drawn, least, most]),
    measure?.of === 'gate' ? (usual?.least ?? null) : null,
    usual?.most ?? null,
  ].filter((value) => value !== null)
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const room = Math.max(1, high - low) * 0.12
  return {
    scales: {
      x: { display: false, offset: true },
      y: { display: false, min: low < 0 ? low - room : Math.min(0, low - room), max: high + room },
    },
  }
}
