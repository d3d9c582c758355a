import { useState } from 'react'
import { dayOf, nextAt, timelineOf, unattendedGates, type Id, type Unattended } from '@logged-thermal/core'
import {
  actionWord,
  clock,
  timeOfDay,
  countWord,
  dayName,
  limitDegreesOf,
  passingSentence,
  type Reader,
  asksWords,
  handoverMessages,
} from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { View } from '../app/View'
import { useHand, useJudged, useLine, useMeans, type JudgedBatch } from '../app/kitchen'
import { logsHere } from '../app/lineData'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { TimeField } from '../kit/TimeField'
import { NameDeputy } from '../signing/NameDeputy'
import styles from './handover.module.css'
import { speaks, spoken } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(handoverMessages)

/** Before closing: what runs on, who is asked next, and which gates fall when nobody is there to prove them. */
export function HandoverView() {
  const line = useLine()
  // Anew every ten seconds: nobody watches a countdown here.
  const now = useNow(10_000)
  const minute = Math.floor(now / 60_000) * 60_000
  const judged = useJudged(line)
  const means = useMeans(line)
  const goOn = useGoOn()
  const enter = useEnter()
  const { reader, person, open } = useHand(line)
  const [asked, setAsked] = useState<Id | null>(null)
  /** From when nobody of now is asked; null: from now. */
  const [closes, setCloses] = useState<string | null>(null)
  const [opens, setOpens] = useState('06:00')
  const [delegating, setDelegating] = useState(false)
  const from = closes === null ? minute : nextAt(closes, minute, reader.zone)
  const until = nextAt(opens, from, reader.zone)
  const running = judged.filter(
    ({ asks }) => asks.kind !== 'keep' && asks.kind !== 'use today' && asks.kind !== 'discard',
  )
  const falls =
    asked !== null
      ? []
      : running.flatMap(({ batch, forecast }) =>
          (forecast ? unattendedGates(batch, forecast, { from, until }, means, minute) : []).map((gate) => ({
            batch,
            gate,
          })),
        )
  if (!line) return null
  const handOver = () => {
    enter('handed-over', line.kitchen.id, { asked, from: Math.round(from), until: Math.round(until) })
    goOn('/')
  }
  return (
    <View
      place="handover"
      spoken
      sentence={
        <>
          <strong>
            {say('handingOverBatchRuns', { count: countWord(running.length, reader), running: running.length })}
          </strong>{' '}
          {falls.length > 0 && fallSentence(falls.length)}
        </>
      }
    >
      <div className={styles.handover}>
        <section aria-label={say('whoAskedNext')}>
          <h2>{say('whoAskedNext')}</h2>
          <div className={styles.names} role="group" aria-label={say('whoAsked')}>
            {line.people.filter(logsHere).map(({ id, name, job }) => (
              <Key
                key={id}
                look={id === asked ? 'primary' : 'plain'}
                aria-pressed={id === asked}
                onClick={() => setAsked(id)}
              >
                {name}
                <small>{job}</small>
              </Key>
            ))}
            <Key
              look={asked === null ? 'primary' : 'plain'}
              aria-pressed={asked === null}
              onClick={() => setAsked(null)}
            >
              {say('nobody')}
              <small>{say('kitchenClosed')}</small>
            </Key>
          </div>
          <div className={styles.times}>
            <TimeField
              label={say('from')}
              value={closes ?? timeOfDay(minute, { ...reader, hours: 24 })}
              onValue={(time) => time && setCloses(time)}
              hours={reader.hours}
            />
            <TimeField
              label={say('until')}
              value={opens}
              onValue={(time) => time && setOpens(time)}
              hours={reader.hours}
            />
          </div>
          <p className="muted">
            {say('untilOn', { time: timeOfDay(until, reader), day: dayName(dayOf(until, reader.zone), reader) })}
          </p>
          <Key look="primary" why={shutUnless(open)} onClick={handOver}>
            {say('handOver')}
          </Key>
          {person?.role === 'lead' && (
            <Key look="outlined" onClick={() => setDelegating(true)}>
              {say('whoDecidesWhileI')}
            </Key>
          )}
        </section>
        <section aria-label={say('whatRunsOn')} className={styles.runs}>
          {falls.map(({ batch, gate }) => (
            <p key={`${batch.id} ${gate.gate.level}`} className={styles.falls} role="note">
              <strong>
                {batch.method.name} {batch.code}:
              </strong>{' '}
              {fallsWords(gate, reader)}
            </p>
          ))}
          <ul>
            {running.map((one) => (
              <Running key={one.batch.id} one={one} now={now} reader={reader} />
            ))}
          </ul>
          {running.length === 0 && <p>{say('nothingRunsOnEvery')}</p>}
        </section>
      </div>
      {delegating && person && (
        <NameDeputy
          line={line}
          lead={person}
          from={null}
          until={nextAt('12:00', now, reader.zone)}
          onClose={() => setDelegating(false)}
        />
      )}
    </View>
  )
}

function Running({ one: { batch, asks, forecast }, now, reader }: { one: JudgedBatch; now: number; reader: Reader }) {
  const words = asksWords(asks, now, reader)
  return (
    <li>
      <strong>{batch.method.name}</strong> <span className="muted">{batch.code}</span>
      <p>
        {words ? `${words.action}, ${words.reason}.` : say('leadDecides')}
        {timelineOf(batch).phase.cooking ? say('onHeat') : ''}
      </p>
      {forecast?.told &&
        forecast.gates.map((gate) => <p key={gate.finding.check.key}>{passingSentence(gate, now, reader)}</p>)}
    </li>
  )
}

function fallSentence(count: number): string {
  return say('whenNobodyHereGate', { count: countWord(count, spoken), count2: count })
}

/** 'ice it to 5° by 23:30, or it cannot be proven': what is still to be done before nobody is there. */
function fallsWords({ gate: { level, deadline }, from, readAt, rescue }: Unattended, reader: Reader): string {
  const to = limitDegreesOf(level, reader)
  const falls = say('fallsDueAtWhen', { to, time: clock(deadline, reader) })
  if (readAt !== null) return say('readAtBeforeYou', { falls, time: clock(readAt, reader) })
  if (rescue)
    return say('beforeBringsByOtherwise', {
      falls,
      actionWord: actionWord(rescue.action, reader),
      time: clock(rescue.by, reader),
      to,
      time2: clock(from, reader),
    })
  return say('nothingBringsByCannot', { falls, to, time: clock(from, reader) })
}
