import { dayOf, type Common, type LikelyCause, type RoundsWalked } from '@logged-thermal/core'
import { dayName, limitTitle, weekMessages, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'
import { useRaisedQuery, type RaisedAnswer } from './weekApi'
import styles from './cameUp.module.css'

const say = speaks(weekMessages)

/** Of the bars of a row: as high as the day on which most came up. */
const HEIGHT = 34

/** What came up on each day, settled since or not, and where to look where it is often the same. */
export function CameUp({ query, line, reader }: { query: string; line: LineData; reader: Reader }) {
  const { data } = useRaisedQuery({ query }, { refetchOnMountOrArgChange: true })
  if (!data) return null
  return (
    <section className={styles.card} aria-label={say('cameUp')}>
      <h2 className="title">{say('cameUp')}</h2>
      {data.rows.length === 0 && <p>{say('cameUpNone')}</p>}
      <ul>
        {data.rows.map((row) => (
          <li key={row.of}>
            <span>{say(`of_${row.of}`)}</span>
            <b>{row.all}</b>
            <Days row={row} days={data.days} reader={reader} />
          </li>
        ))}
      </ul>
      {data.rows.length > 0 && data.days.length > 1 && (
        <p className={styles.span}>
          <span>{dayName(data.days[0]!, reader)}</span>
          <span>{dayName(data.days.at(-1)!, reader)}</span>
        </p>
      )}
      <Rounds rounds={data.rounds} />
      {data.causes.map((cause) => (
        <Where key={cause.of} cause={cause} line={line} reader={reader} />
      ))}
      {isCut(data, query) && (
        <p className="muted">{say('cameUpFrom', { from: dayName(dayOf(data.from, reader.zone), reader) })}</p>
      )}
    </section>
  )
}

/** How the rounds were walked: a little late is counted, and nobody is asked about it. */
function Rounds({ rounds: { inTime, aLittleLate, later, missed } }: { rounds: RoundsWalked }) {
  const all = inTime + aLittleLate + later + missed
  return all > 0 && <p>{say('roundsWalked', { all, inTime, aLittleLate, later, missed })}</p>
}

interface DaysProps {
  row: RaisedAnswer['rows'][number]
  days: RaisedAnswer['days']
  reader: Reader
}

/** A bar a day; the same is told in words. */
function Days({ row: { counts }, days, reader }: DaysProps) {
  const most = Math.max(1, ...counts)
  const told = counts.flatMap((count, i) =>
    count === 0 ? [] : [say('onDay', { day: dayName(days[i]!, reader), count })],
  )
  return (
    <svg
      viewBox={`0 0 ${counts.length * 10} ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={told.join(', ')}
    >
      <path d={`M0 ${HEIGHT - 1}H${counts.length * 10}`} stroke="var(--rim)" strokeWidth="2" />
      {counts.map((count, i) => {
        const height = (count / most) * (HEIGHT - 2)
        return <rect key={days[i]} x={i * 10 + 1.5} y={HEIGHT - height} width="7" height={height} fill="var(--ink)" />
      })}
    </svg>
  )
}

/** Advice to look somewhere, with the counts it rests on. */
function Where({ cause, line, reader }: { cause: LikelyCause; line: LineData; reader: Reader }) {
  const { of, count, common, shared } = cause
  return (
    <div className={styles.where}>
      <strong>
        {say('causeTitle')}: {say(`of_${of}`)}
      </strong>
      {common === null ? (
        <p>{say('cause_none', { count })}</p>
      ) : (
        <p>
          {sentence(common, shared, count, nameOf(common, line, reader))}{' '}
          {say(of === 'round' && common.of === 'unit' ? 'look_passed' : `look_${common.of}`)}
        </p>
      )}
    </div>
  )
}

/** How many of how many have what in common. */
function sentence(common: Common, shared: number, count: number, what: string): string {
  switch (common.of) {
    case 'check':
      return say('cause_check', { shared, count, what })
    case 'instrument':
      return say('cause_instrument', { shared, count, what })
    case 'person':
      return say('cause_person', { shared, count, what })
    case 'unit':
      return say('cause_unit', { shared, count, what })
    case 'vessel':
      return say('cause_vessel', { shared, count, what })
    case 'list':
      return say('cause_list', { shared, count, what })
    case 'time':
      return say('cause_time', { shared, count, what })
  }
}

function nameOf(common: Common, line: LineData, reader: Reader): string {
  switch (common.of) {
    case 'check':
      return limitTitle(common.check, reader)
    case 'instrument':
      return line.instruments.find(({ id }) => id === common.id)?.code ?? ''
    case 'person':
      return line.people.find(({ id }) => id === common.id)?.name ?? ''
    case 'unit':
      return line.units.find(({ id }) => id === common.id)?.name ?? ''
    case 'vessel':
    case 'list':
      return common.name
    case 'time':
      return common.time
  }
}

/** More was asked for than is kept to be counted. */
function isCut({ from }: RaisedAnswer, query: string): boolean {
  return from > Number(new URLSearchParams(query).get('from'))
}
