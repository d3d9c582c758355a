import { celsiusRead, isWaiting, type BatchState, type Fact, type Id, type ReadingBody } from '@logged-thermal/core'
import { clockWithSeconds, logMessages, readingNotes, typedWords, type Reader } from '@logged-thermal/wording'
import { Link } from 'react-router'
import type { LineData } from '../app/lineData'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks } from '../kit/language'
import styles from './batch.module.css'

const say = speaks(logMessages)

interface Props {
  batch: BatchState
  ringed: readonly number[]
  line: LineData
  reader: Reader
}

type Read = Fact<ReadingBody>

/** Every reading with its author and instrument; what was corrected or taken back shows its old value in its place. */
export function WhoRead({ batch, ringed, line, reader }: Props) {
  const readings = [...batch.facts['reading-taken']].sort((a, b) => a.at - b.at)
  const name = (id: Id) => line.people.find((person) => person.id === id)?.name ?? ''
  const probe = (id: Id | null) =>
    id === null ? say('noInstrument') : (line.instruments.find((instrument) => instrument.id === id)?.code ?? '')
  const columns: Column<Read>[] = [
    {
      key: 'when',
      title: say('when'),
      names: true,
      value: ({ at }) => at,
      cell: (fact) => (
        <span className={styles.mark}>
          <Mark fact={fact} ringed={ringed.includes(fact.at)} />
          {clockWithSeconds(fact.at, reader)}
        </span>
      ),
    },
    {
      key: 'read',
      title: say('read'),
      value: ({ value }) => celsiusRead(value),
      cell: ({ value, amends, void: gone }) => (
        <span className={styles.reads}>
          {amends.map(({ entry, was }) => (
            <s key={entry}>{typedWords(was)} </s>
          ))}
          {!gone && <b>{typedWords(value)}</b>}
        </span>
      ),
    },
    {
      key: 'with',
      title: say('instrument'),
      value: ({ value }) => probe(value.instrument),
      cell: ({ value: { instrument } }) =>
        instrument === null ? probe(null) : <Link to={`/instruments/${instrument}`}>{probe(instrument)}</Link>,
    },
    {
      key: 'by',
      title: say('person'),
      value: ({ by }) => name(by),
      cell: ({ by }) => <Link to={`/people/${by}`}>{name(by)}</Link>,
    },
    {
      key: 'told',
      title: say('told'),
      cell: (fact) => (
        <Told fact={fact} notes={readingNotes(fact, batch, { name, signedDays: line.signedDays }, reader)} />
      ),
    },
  ]
  return (
    <section className={styles.who} aria-label={say('whoRead')}>
      <h2 className="title">{say('whoRead')}</h2>
      {readings.length === 0 ? (
        <p className="muted">{say('nobodyRead')}</p>
      ) : (
        <DataTable
          caption={`${say('whoRead')}, ${batch.code}`}
          columns={columns}
          rows={readings}
          rowKey={({ entry, at }) => `${entry} ${at}`}
          isChosen={(fact) => isWaiting(fact) || fact.waiting.length > 0}
        />
      )}
    </section>
  )
}

/** What else there is to say, and the sheet that it was copied from. */
function Told({ fact: { value }, notes }: { fact: Read; notes: readonly string[] }) {
  return (
    <>
      {notes.join(' · ')}
      {value.paper && (
        <>
          {' '}
          <a href={`/api/photos/${value.paper}`} target="_blank" rel="noreferrer">
            {say('theSheet')}
          </a>
        </>
      )}
    </>
  )
}

function Mark({ fact, ringed }: { fact: Read; ringed: boolean }) {
  const late = isWaiting(fact)
  return (
    <svg
      width="22"
      height="22"
      viewBox="0 0 22 22"
      {...(ringed ? { role: 'img', 'aria-label': say('proves') } : { 'aria-hidden': true })}
    >
      {late ? (
        <path d="M11 3L19 11L11 19L3 11Z" fill="none" stroke="currentColor" strokeWidth="2" />
      ) : ringed ? (
        <>
          <circle cx="11" cy="11" r="8.500" fill="none" stroke="currentColor" strokeWidth="2.200" />
          <circle cx="11" cy="11" r="3.500" fill="currentColor" />
        </>
      ) : (
        <circle cx="11" cy="11" r="3" fill="currentColor" />
      )}
    </svg>
  )
}
