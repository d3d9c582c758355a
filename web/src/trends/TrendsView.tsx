import { useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { dayOf, type Trend, type TrendPoint } from '@logged-thermal/core'
import { trendsMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useDiscardedQuery, useTrendsQuery } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useAsOf } from '../app/now'
import { pageOf } from '../app/pageOf'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import { later } from '../kit/later'
import { periodOf, queryOf, useAsked, type Asked } from '../log/asked'
import { LogNav } from '../log/LogNav'
import { DayStep, HowLong } from '../log/Period'
import { Badge } from '../parts/Badge'
import { DiscardTable } from '../store/DiscardTable'
import { keyOf, measureQuery, measureWords } from './asked'
import { chartOrder } from './chartOrder'
import { Answers } from './Answers'
import { Near } from './Near'
import { AlikeList } from './AlikeList'
import { Shares } from './Shares'
import { TrendTable } from './TrendTable'
import { pointWords } from './values'
import styles from './trends.module.css'

const say = speaks(trendsMessages)
const SpareChart = later(() => import('./SpareChart'), 'SpareChart')

/** How the batches of a time went: what was to spare one after the other, how many of each kind are proven, what was wasted. */
export function TrendsView() {
  const line = useLine()
  const { reader } = useHand(line)
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [params, setParams] = useSearchParams()
  const [known] = useAsked(today)
  // A day says nothing of how things go: a month, unless somebody asks for another time.
  const asked: Asked = params.has('days') ? known : { ...known, days: '31' }
  const look = params.get('look') ?? ''
  const seq = line?.seq ?? 0
  const query = `${queryOf(asked, reader.zone)}${measureQuery(look)}`
  // As it was when it was opened: a month's way does not turn with one more reading.
  const { data, error } = useTrendsQuery({ query }, { skip: line === null, refetchOnMountOrArgChange: true })
  const { data: waste } = useDiscardedQuery({ ...periodOf(asked, reader.zone), seq }, { skip: line === null })
  const [chosen, setChosen] = useState<string | null>(null)
  const asTable = params.get('as') === 'table'
  const ask = (change: Record<string, string>) => {
    const next = new URLSearchParams(params)
    for (const [name, value] of Object.entries(change))
      if (value === '') next.delete(name)
      else next.set(name, value)
    setParams(next, { replace: true })
  }
  if (!line) return null
  const trend = data?.trend
  const what = trend?.measure ? measureWords(trend.measure, trend, reader) : ''
  const point = trend?.points.find(({ id }) => id === chosen) ?? (trend ? nearest(trend) : undefined)
  return (
    <View
      place="trends"
      busy={!data}
      keys={
        trend && trend.points.length > 0 ? (
          <Key look="outlined" onClick={() => ask({ as: asTable ? '' : 'table' })}>
            {asTable ? say('asChart') : say('asTable')}
          </Key>
        ) : null
      }
      sentence={trend ? <Sentence trend={trend} /> : error ? sentenceOf(error) : say('looking')}
    >
      <div className={styles.trends}>
        <div className={styles.pane}>
          <LogNav />
          <div className={styles.asked}>
            <DayStep asked={asked} ask={ask} today={today} reader={reader} />
            <HowLong asked={asked} ask={ask} />
            {trend?.measure && (
              <SelectField
                className={styles.measure}
                label={say('measure')}
                options={trend.measures.map(({ measure }) => ({
                  value: keyOf(measure),
                  words: measureWords(measure, trend, reader),
                }))}
                chosen={keyOf(trend.measure)}
                onChoose={(look) => ask({ look })}
              />
            )}
          </div>
          <div className={styles.which}>
            <Which asked={asked} ask={ask} line={line} />
          </div>
          {trend && trend.points.length > 0 && asTable && <TrendTable trend={trend} what={what} reader={reader} />}
          {trend && trend.points.length > 0 && !asTable && (
            <>
              <SpareChart
                trend={trend}
                what={what}
                chosen={point?.id ?? null}
                onChoose={({ id }) => setChosen(id)}
                reader={reader}
              />
              <Legend />
            </>
          )}
          {trend && <AlikeList alike={trend.alike} />}
          {data?.more && <p className="muted">{say('more')}</p>}
          <p className="muted">{say('source')}</p>
        </div>
        <aside className={styles.aside}>
          {point && trend?.measure && (
            <Picked
              point={point}
              what={what}
              isGate={trend.measure.of === 'gate'}
              own={chosen !== null}
              reader={reader}
            />
          )}
          {trend && <Shares trend={trend} line={line} />}
          {trend && <Answers answered={trend.answered} />}
          {trend && <Near near={trend.near} reader={reader} />}
          <section aria-label={say('waste')}>
            <h2 className="title">{say('waste')}</h2>
            {waste && waste.totals.length > 0 ? (
              <DiscardTable totals={waste.totals} reader={reader} />
            ) : (
              waste && <p className="muted">{say('nothingWasted')}</p>
            )}
          </section>
        </aside>
      </div>
    </View>
  )
}

function Sentence({ trend }: { trend: Trend }) {
  const { proven, unproven, missed } = trend.counts
  const all = proven + unproven + missed
  if (all === 0) return <strong>{say('none')}</strong>
  const { charted } = chartOrder(trend)
  const last = charted.findLastIndex((each) => each !== null && each.unusual.length > 0)
  const [first] = charted[last]?.unusual ?? []
  const code = trend.points[last]?.code
  return (
    <>
      <strong>{say('of', { proven, all })}</strong>{' '}
      {first && code
        ? say('latest', { code, what: say(`unusual_${first.rule}`, { side: first.side }) })
        : trend.chart.usual
          ? say('steady')
          : say('few')}
    </>
  )
}

/** What is looked at of all batches: those of a method, a person, a probe, a refrigerator. */
function Which({ asked, ask, line }: { asked: Asked; ask: (change: Record<string, string>) => void; line: LineData }) {
  const lists = useMemo(
    () => [
      {
        of: 'method' as const,
        label: say('of_method'),
        any: say('anyMethod'),
        list: line.methods.map(({ id, versions }) => ({ value: id, words: versions.at(-1)?.name ?? '' })),
      },
      {
        of: 'person' as const,
        label: say('by'),
        any: say('anyone'),
        list: line.people.map(({ id, name }) => ({ value: id, words: name })),
      },
      {
        of: 'instrument' as const,
        label: say('with'),
        any: say('anyProbe'),
        list: line.instruments.map(({ id, code }) => ({ value: id, words: code })),
      },
      {
        of: 'unit' as const,
        label: say('in'),
        any: say('anyUnit'),
        list: line.units.map(({ id, name }) => ({ value: id, words: name })),
      },
    ],
    [line],
  )
  return lists.map(({ of, label, any, list }) => (
    <SelectField
      key={of}
      label={label}
      options={[{ value: '', words: any }, ...list]}
      chosen={asked[of]}
      onChoose={(value) => ask({ [of]: value })}
    />
  ))
}

function Legend() {
  return (
    <ul className={styles.legend}>
      <li>
        <svg width="16" height="16" aria-hidden="true">
          <circle cx="8" cy="8" r="6" fill="currentColor" />
        </svg>
        {say('proven')}
      </li>
      <li>
        <svg width="16" height="16" aria-hidden="true">
          <rect x="1" y="1" width="14" height="14" fill="currentColor" />
          <path d="M4 4L12 12M12 4L4 12" stroke="var(--enamel)" strokeWidth="2" />
        </svg>
        {say('missed')}
      </li>
      <li>
        <svg width="16" height="16" aria-hidden="true">
          <path d="M3 0h10v16H3zM3 8L11 0M3 16L13 6M9 16L13 12" fill="none" stroke="currentColor" strokeWidth="1.500" />
        </svg>
        {say('unproven')}
      </li>
    </ul>
  )
}

interface PickedProps {
  point: TrendPoint
  what: string
  isGate: boolean
  /** Somebody tapped it; else it is the closest. */
  own: boolean
  reader: Reader
}

/** The batch of a point, and the way to it and to its method. */
function Picked({ point, what, isGate, own, reader }: PickedProps) {
  const navigate = useNavigate()
  return (
    <section className={styles.picked} aria-label={`${point.name} ${point.code}`}>
      <div className={styles.head}>
        <h2 className="title">
          {!own && isGate && <small>{say('nearest')} </small>}
          {point.name} {point.code}
        </h2>
        <Badge standing={point.standing} />
      </div>
      <p>
        {what}: <b>{pointWords(point, reader)}</b>
      </p>
      <div className={styles.keys}>
        <Key look="primary" onClick={() => void navigate(pageOf({ type: 'batch', id: point.id }))}>
          {say('openBatch')}
        </Key>
        <Key look="outlined" onClick={() => void navigate(`/methods/${point.method}`)}>
          {say('openMethod')}
        </Key>
      </div>
    </section>
  )
}

/** Of what was passed, the one with the least to spare. */
function nearest({ points }: Trend): TrendPoint | undefined {
  return points
    .filter(({ standing, drawn }) => standing === 'proven' && drawn !== null)
    .sort((a, b) => a.drawn! - b.drawn!)[0]
}
