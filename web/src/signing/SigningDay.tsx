import { useState } from 'react'
import { useNavigate } from 'react-router'
import { dayOf, HOUR, type Instant } from '@logged-thermal/core'
import { dayName, signingMessages, timeOfDay, type Reader } from '@logged-thermal/wording'
import { useHand } from '../app/kitchen'
import type { LineData, PersonOnList } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { NameDeputy } from './NameDeputy'
import { openingAt, type Opening } from './opening'
import styles from './signing.module.css'

const say = speaks(signingMessages)

interface Props {
  line: LineData
  lead: PersonOnList | null
  open: boolean
  now: Instant
}

/** Who can sign today, as one bar over the opening hours, and what to do about hours in which nobody can. */
export function SigningDay({ line, lead, open, now }: Props) {
  const { reader } = useHand(line)
  const navigate = useNavigate()
  const [naming, setNaming] = useState(false)
  const opening = openingAt(line, now)
  if (opening === null || opening === 'not said')
    return opening === null ? null : (
      <section className={styles.day} aria-label={say('place')}>
        <p>
          <strong>{say('notSaid')}</strong> {say('notSaidSo')}
        </p>
        <Key look="outlined" onClick={() => void navigate('/hours')}>
          {say('sayWhenOpen')}
        </Key>
      </section>
    )
  const { from, until, gap, spans } = opening
  const title = say('whoCanSign', { day: dayName(dayOf(from, reader.zone), reader) })
  return (
    <section className={styles.day} aria-label={title}>
      <h2>{title}</h2>
      <p className="muted">{say('solidAndHatched')}</p>
      <Bar opening={opening} now={now} reader={reader} nameOf={(id) => firstName(line, id)} />
      <ul className={styles.spans}>
        {spans.map((span) => (
          <li key={span.from} className={span.who.length === 0 ? styles.nobody : undefined}>
            <span>{say('span', { from: timeOfDay(span.from, reader), until: timeOfDay(span.until, reader) })}</span>{' '}
            <strong>{span.who.length === 0 ? say('nobody') : span.who.map((id) => nameOf(line, id)).join(', ')}</strong>
          </li>
        ))}
      </ul>
      {gap && <p>{say('stayHeld')}</p>}
      <KeyRow>
        <Key look={gap ? 'primary' : 'outlined'} why={shutUnless(open, lead !== null)} onClick={() => setNaming(true)}>
          {say('nameDeputy')}
        </Key>
        <Key look="outlined" onClick={() => void navigate('/hours')}>
          {say('place')}
        </Key>
      </KeyRow>
      {naming && lead && (
        <NameDeputy
          line={line}
          lead={lead}
          from={gap && gap.from > now ? gap.from : null}
          until={gap?.until ?? (until > now ? until : now + HOUR)}
          onClose={() => setNaming(false)}
        />
      )}
    </section>
  )
}

interface BarProps {
  opening: Opening
  now: Instant
  reader: Reader
  nameOf: (id: string) => string
}

/** Drawn for the eye; the list below it says the same. */
function Bar({ opening: { from, until, spans }, now, reader, nameOf: called }: BarProps) {
  const percent = (at: Instant) => `${(((at - from) / (until - from)) * 100).toFixed(3)}%`
  const hours = Array.from({ length: Math.floor((until - from) / (3 * HOUR)) }, (_, i) => from + i * 3 * HOUR)
  return (
    <div className={styles.pane} aria-hidden="true">
      {hours.map((at) => (
        <span key={at} className={styles.tick} style={{ left: percent(at) }}>
          {timeOfDay(at, reader)}
        </span>
      ))}
      {spans.map((span) => (
        <span
          key={span.from}
          className={span.who.length === 0 ? styles.hatched : styles.solid}
          style={{ left: percent(span.from), width: percent(from + span.until - span.from) }}
        >
          {span.who.map(called).join(', ')}
        </span>
      ))}
      {now >= from && now < until && <i style={{ left: percent(now) }} />}
    </div>
  )
}

function nameOf({ people }: LineData, id: string): string {
  return people.find((person) => person.id === id)?.name ?? ''
}

function firstName(line: LineData, id: string): string {
  return nameOf(line, id).split(' ')[0] ?? ''
}
