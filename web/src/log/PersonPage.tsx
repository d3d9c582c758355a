import { Link, useNavigate, useParams } from 'react-router'
import { dayOf, standAt, type LoggedBatch, type Standing } from '@logged-thermal/core'
import { clock, dayName, personPageMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useChangesQuery, useLogQuery } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { LineData, PersonOnList } from '../app/lineData'
import { useAsOf } from '../app/now'
import { pageOf } from '../app/pageOf'
import { inLog } from '../app/searching'
import { View } from '../app/View'
import { Halves } from '../kit/Halves'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { Badge } from '../parts/Badge'
import { periodOf, queryOf, useAsked, type Asked } from './asked'
import { DayStep, HowLong } from './Period'
import styles from './onePage.module.css'

const say = speaks(personPageMessages)
/** Batches shown: the latest; the Log has all. */
const SHOWN = 20

/** One person, for ever: what they logged in a time and how it stands, what they put right, what of their own they let count. */
export function PersonPage() {
  const line = useLine()
  const { id } = useParams()
  const person = line?.people.find((each) => each.id === id)
  if (!line) return null
  if (!person) return <View place="person" sentence={say('noSuch')} />
  return <PageOf person={person} line={line} />
}

function PageOf({ person, line }: { person: PersonOnList; line: LineData }) {
  const { reader } = useHand(line)
  const navigate = useNavigate()
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [known, ask] = useAsked(today)
  const asked: Asked = { ...known, person: person.id, days: known.days === '1' ? '31' : known.days }
  const { from, to } = periodOf(asked, reader.zone)
  const { data, error } = useLogQuery({ query: queryOf(asked, reader.zone), seq: line.seq })
  const { data: changes } = useChangesQuery({ from, to, seq: line.seq })
  const own = data?.batches.flatMap((batch) =>
    batch.ownAccepted
      .filter(({ by, at }) => by === person.id && at >= from && at <= to)
      .map(({ at }) => ({ at, batch })),
  )
  const put = changes?.changes.filter(({ by }) => by === person.id) ?? []
  return (
    <View
      place="person"
      busy={!data}
      sentence={
        <>
          <strong>{person.name}.</strong> {person.role === null ? say('left') : person.job}
        </>
      }
    >
      <Halves className={styles.page}>
        <div className={styles.past}>
          <div className={styles.asked}>
            <DayStep asked={asked} ask={ask} today={today} reader={reader} />
            <HowLong asked={asked} ask={ask} />
            <Key look="outlined" onClick={() => void navigate(inLog('person', person.id))}>
              {say('inLog')}
            </Key>
          </div>
          <section aria-label={say('logged')}>
            <h2 className="title">{say('logged')}</h2>
            {!data && <p>{error ? sentenceOf(error) : say('looking')}</p>}
            {data && <p>{countWords(data.counts)}</p>}
            <ul className={styles.batches}>
              {data?.batches.slice(0, SHOWN).map((batch) => (
                <BatchRow key={batch.id} batch={batch} now={data.now} reader={reader} />
              ))}
            </ul>
            {data && data.batches.length > SHOWN && <p className="muted">{say('latest', { shown: SHOWN })}</p>}
          </section>
        </div>
        <div className={styles.beside}>
          <section aria-label={say('putRight')}>
            <h2 className="title">{say('putRight')}</h2>
            {put.length === 0 && <p>{say('nothingPutRight')}</p>}
            <ul>
              {put.map(({ entry, batch, madeAt, reason }) => (
                <li key={entry}>
                  {clock(madeAt, reader)}:{' '}
                  <Link to={pageOf({ type: 'batch', id: batch.id })}>{`${batch.name} ${batch.code}`}</Link>
                  {reason && `, ${reason}`}
                </li>
              ))}
            </ul>
          </section>
          {own && own.length > 0 && (
            <section aria-label={say('own')}>
              <h2 className="title">{say('own')}</h2>
              <ul>
                {own.map(({ at, batch }) => (
                  <li key={`${batch.id} ${at}`}>
                    {clock(at, reader)}:{' '}
                    <Link to={pageOf({ type: 'batch', id: batch.id })}>{`${batch.name} ${batch.code}`}</Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <p className="muted">{say('noBlame')}</p>
        </div>
      </Halves>
    </View>
  )
}

function BatchRow({ batch, now, reader }: { batch: LoggedBatch; now: number; reader: Reader }) {
  return (
    <li>
      <Link to={pageOf({ type: 'batch', id: batch.id })}>{`${batch.name} ${batch.code}`}</Link>
      <small>{dayName(dayOf(batch.startedAt, reader.zone), reader)}</small>
      <Badge standing={standAt(batch.stands, now).standing} />
    </li>
  )
}

function countWords({ proven, missed, unproven, open }: Record<Standing, number>): string {
  return say('counts', { all: proven + missed + unproven + open, proven, missed, unproven, open })
}
