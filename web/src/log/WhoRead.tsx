import {
  backingDoubt,
  celsiusRead,
  dayOf,
  isWaiting,
  type BatchState,
  type Fact,
  type Id,
  type ReadingBody,
} from '@logged-thermal/core'
import {
  backingWords,
  clock,
  clockWithSeconds,
  correctionReason,
  degrees,
  logMessages,
  type Reader,
} from '@logged-thermal/wording'
import { Link } from 'react-router'
import type { LineData } from '../app/lineData'
import { inLog } from '../app/searching'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks, spoken } from '../kit/language'
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
export function WhoRead(props: Props) {
  const { batch, ringed, line, reader } = props
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
      cell: ({ by }) => <Link to={inLog('person', by)}>{name(by)}</Link>,
    },
    { key: 'told', title: say('told'), cell: (fact) => toldOf(fact, props, name).join(' · ') },
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
          rowKey={({ entry }) => entry}
          isChosen={(fact) => isWaiting(fact) || fact.waiting.length > 0}
        />
      )}
    </section>
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

function typedWords({ typed }: ReadingBody): string {
  return `${typed.value.toFixed(1)}°${typed.unit}`
}

/** What else there is to say of a reading, each shortly. */
function toldOf(fact: Read, { batch, line, reader }: Props, name: (id: Id) => string): string[] {
  const { value, at, recordedAt, accepted, amends, waiting, void: gone } = fact
  const behind = backingDoubt(fact, batch.failedProbes)
  const said: string[] = []
  if (value.of !== 'mixture') said.push(say('partOf', { part: value.of.part }))
  if (value.portion !== undefined) said.push(say('pan', { pan: value.portion }))
  if (value.readBy && value.readBy.off !== 0)
    said.push(say('counted', { degrees: degrees(celsiusRead(value), reader) }))
  const doubt = behind && backingWords(behind, spoken)
  if (doubt) said.push(doubt)
  if (recordedAt !== null && recordedAt - at > 60_000) said.push(say('recorded', { time: clock(recordedAt, reader) }))
  if (isAfterSigning(line, at, recordedAt, reader)) said.push(say('afterSigning'))
  const { refused } = fact
  if ((isWaiting(fact) && !refused) || waiting.some((each) => !each.refused)) said.push(say('waitsForLead'))
  if (refused) said.push(say('lateRefused', { name: name(refused.by), reason: refused.reason }))
  if (accepted) said.push(say('lateAccepted', { name: name(accepted.by), reason: accepted.reason }))
  for (const { was, reason, by, now } of amends)
    said.push(
      now === 'void' || gone
        ? say('takenBack', { reason: correctionReason(reason, spoken) })
        : say('putRight', { was: typedWords(was), reason: correctionReason(reason, spoken), name: name(by) }),
    )
  return said
}

/** Entered about a day that the lead had signed by then. */
function isAfterSigning(line: LineData, at: number, recordedAt: number | null, { zone }: Reader): boolean {
  const signed = line.signedDays.find(({ day }) => day === dayOf(at, zone))
  return signed !== undefined && recordedAt !== null && recordedAt > signed.at
}
