import { Link, useSearchParams } from 'react-router'
import { dayOf, type Failure, type MethodReview } from '@logged-thermal/core'
import { limitTitle, weekMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf } from '../app/now'
import { View } from '../app/View'
import { speaks } from '../kit/language'
import { queryOf, useAsked, type Asked } from '../log/asked'
import { LogNav } from '../log/LogNav'
import { DayStep, HowLong } from '../log/Period'
import { CameUp } from './CameUp'
import { useWeekQuery } from './weekApi'
import styles from './week.module.css'

const say = speaks(weekMessages)

/** For whoever writes the methods: which did not hold, in which of their checks, and what would have held them. */
export function WeekView() {
  const line = useLine()
  const { reader } = useHand(line)
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [params] = useSearchParams()
  const [known, ask] = useAsked(today)
  const asked: Asked = params.has('days') ? known : { ...known, days: '7' }
  const { data, error } = useWeekQuery(
    { query: queryOf(asked, reader.zone, false) },
    { skip: line === null, refetchOnMountOrArgChange: true },
  )
  if (!line) return null
  const failed = data?.methods.filter(({ failures }) => failures.length > 0) ?? []
  const held = data?.methods.filter(({ failures }) => failures.length === 0) ?? []
  const says = !data
    ? error
      ? sentenceOf(error)
      : say('looking')
    : data.methods.length === 0
      ? say('nothing')
      : failed.length === 0
        ? say('allHeld')
        : say('failed', { count: failed.length })
  return (
    <View place="week" busy={!data} sentence={<strong>{says}</strong>}>
      <div className={styles.week}>
        <LogNav />
        <div className={styles.asked}>
          <DayStep asked={asked} ask={ask} today={today} reader={reader} />
          <HowLong asked={asked} ask={ask} />
        </div>
        {failed.map((each) => (
          <MethodCard key={each.method} of={each} reader={reader} />
        ))}
        {held.length > 0 && (
          <p>{say('heldCount', { count: held.length, names: held.map(({ name }) => name).join(', ') })}</p>
        )}
        <CameUp query={queryOf(asked, reader.zone, false)} line={line} reader={reader} />
        {data?.more && <p className="muted">{say('onlyLatest')}</p>}
        {failed.length > 0 && <p className="muted">{say('says')}</p>}
      </div>
    </View>
  )
}

/** One method: how its batches stood, what of it did not hold, and the way to where it is changed. */
function MethodCard({ of, reader }: { of: MethodReview; reader: Reader }) {
  const { method, name, proven, missed, unproven, failures } = of
  return (
    <section className={styles.card} aria-label={name}>
      <header>
        <h2 className="title">{name}</h2>
        <span>{say('counts', { all: proven + missed + unproven, proven, missed, unproven })}</span>
      </header>
      <ul>
        {failures.map((failure) => (
          <li key={`${failure.check.key} ${failure.because}`}>
            <strong>{limitTitle(failure.check, reader)}</strong>
            <In words={say('missedIn')} batches={failure.missed} />
            <In words={say('unprovenIn')} batches={failure.unproven} />
            <p>{say(`remedy_${failure.remedy}`)}</p>
          </li>
        ))}
      </ul>
      <Link className={styles.open} to={`/methods/${method}`}>
        {say('openMethod', { name })}
      </Link>
    </section>
  )
}

function In({ words, batches }: { words: string; batches: Failure['missed'] }) {
  if (batches.length === 0) return null
  return (
    <span className={styles.batches}>
      {words}{' '}
      {batches.map(({ id, code }) => (
        <Link key={id} to={`/log/batch/${id}`}>
          {code}
        </Link>
      ))}
    </span>
  )
}
