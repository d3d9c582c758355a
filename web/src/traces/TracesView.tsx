import { dayOf, sampleRule, limitsAt, TRACE_AIM, tracesDue, type LotState } from '@logged-thermal/core'
import { catalogue } from '@logged-thermal/core'
import { Link } from 'react-router'
import { dayName, tracesMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { View } from '../app/View'
import { speaks } from '../kit/language'
import { Samples } from './Samples'
import { Tried } from './Tried'
import styles from './traces.module.css'

const say = speaks(tracesMessages)

/** So many of each are offered. */
const OFFERED = 4

/** Whether the kitchen can answer when somebody asks: traces that are due and were tried, samples that are kept. */
export function TracesView() {
  const line = useLine()
  const now = useNow(60_000)
  const { reader } = useHand(line)
  if (!line) return null
  const due = tracesDue(line.traceTries, now)
  const rule = sampleRule(limitsAt(line.limits?.versions ?? [], now)?.ruleSet.key ?? '')
  const says = due.length ? say('dueOf', { count: due.length }) : say('bothTried')
  return (
    <View place="traces" sentence={<strong>{says}</strong>}>
      <div className={styles.traces}>
        <p>{say('whatItIs', { minutes: TRACE_AIM.minutes, share: TRACE_AIM.share * 100 })}</p>
        {due.map(({ of, passed }) => (
          <section key={of} className={styles.card} aria-label={say(`due_${of}`)}>
            <h2 className="title">{say(`due_${of}`)}</h2>
            <p>
              {passed === null
                ? say('neverPassed')
                : say('lastPassed', { day: dayName(dayOf(passed, reader.zone), reader) })}{' '}
              {say('takeOne')}:
            </p>
            <ul className={styles.offered}>
              {(of === 'lot' ? lotsToTry(line) : line.items.slice(0, OFFERED)).map(({ id, name, code }) => (
                <li key={id}>
                  <Link to={`/store/lineage/${of}/${id}`}>
                    {name} <b>{code}</b>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
        <Tried line={line} reader={reader} now={now} />
        {(rule || line.samples.length > 0) && <Samples line={line} rule={rule} reader={reader} now={now} />}
      </div>
    </View>
  )
}

/** Dairy first: it goes into most; of each, what came in last. */
function lotsToTry({ lots }: LineData): LotState[] {
  const dairy = ({ ingredient }: LotState) =>
    ingredient !== null && (catalogue[ingredient]?.allergens.includes('milk') ?? false)
  return [...lots].sort((a, b) => Number(dairy(b)) - Number(dairy(a)) || b.receivedAt - a.receivedAt).slice(0, OFFERED)
}
