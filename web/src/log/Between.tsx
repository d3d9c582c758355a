import { eventWords, logMessages, timeOfDay, type Names, type Reader } from '@logged-thermal/wording'
import { useLogEventsQuery } from '../app/api'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'
import type { Lens } from '../parts/lens'
import styles from './log.module.css'

const say = speaks(logMessages)

interface Props {
  from: number
  to: number
  seq: number
  lens: Lens
  line: LineData
  reader: Reader
}

/** Deliveries, checks, decisions, what was thrown away: where each stands on the clock, and in words below. */
export function Between({ from, to, seq, lens, line, reader }: Props) {
  const { data } = useLogEventsQuery({ from, to, seq })
  if (!data) return null
  const names: Names = {
    of: (id) => data.names[id] ?? null,
    person: (id) => line.people.find((person) => person.id === id)?.name ?? '',
    instrument: (id) => line.instruments.find((instrument) => instrument.id === id) ?? null,
  }
  const told = data.entries.flatMap((entry) => {
    const words = eventWords(entry, names, reader)
    return words === null ? [] : [{ id: entry.claim.id, at: entry.claim.at, words }]
  })
  return (
    <section className={styles.between} aria-label={say('between')}>
      <div className={styles.name}>
        <span className={styles.dish}>{say('between')}</span>
        <small>{say('betweenWhat')}</small>
      </div>
      <div className={styles.events}>
        <svg width={lens.width} height="14" aria-hidden="true" style={{ display: 'block' }}>
          {told.map(({ id, at }) => (
            <rect key={id} x={lens.x(at) - 1.5} y="2" width="3" height="12" fill="var(--on-glass)" />
          ))}
        </svg>
        <ul>
          {told.length === 0 && <li>{say('nothingBetween')}</li>}
          {told.map(({ id, at, words }) => (
            <li key={id}>
              <b>{timeOfDay(at, reader)}</b> {words}
            </li>
          ))}
          {data.more && <li>{say('moreEvents')}</li>}
        </ul>
      </div>
      <span />
    </section>
  )
}
