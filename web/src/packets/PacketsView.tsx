import LinearProgress from '@mui/material/LinearProgress'
import { useState } from 'react'
import { addDays, dayOf, type Day, type TemperatureScale } from '@logged-thermal/core'
import {
  clock,
  dayName,
  LANGUAGES,
  LISTS,
  packetMessages,
  shortDate,
  type Language,
  type Reader,
} from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useAsOf } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { recordsFor } from '../parts/recordsFor'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { DateField } from '../kit/DateField'
import { Key } from '../kit/Key'
import { speaks, written } from '../kit/language'
import { LogNav } from '../log/LogNav'
import { ListKeys } from '../parts/ListKeys'
import { useAskPacketMutation, useCancelPacketMutation, usePacketsQuery, type Packet } from './packetsApi'
import styles from './packets.module.css'

const say = speaks(packetMessages)

/** While one is being made it is looked at again after so long, ms. */
const AGAIN = 1500
const SCALES: readonly TemperatureScale[] = ['C', 'F']

/** Records to hand out: a time is chosen, its packet made in the background, and taken. */
export function PacketsView() {
  const line = useLine()
  const { person, reader } = useHand(line)
  const mayTake = person?.role === 'lead' || person?.role === 'inspector'
  const [waits, setWaits] = useState(false)
  const { data, error } = usePacketsQuery(undefined, {
    skip: !mayTake,
    refetchOnMountOrArgChange: true,
    pollingInterval: waits ? AGAIN : 0,
  })
  if (!line) return null
  const packets = data?.packets ?? []
  const pending = packets.some(({ state }) => state === 'waits' || state === 'made')
  if (pending !== waits) setWaits(pending)
  const ready = packets.filter(({ state }) => state === 'ready').length
  const says = !mayTake
    ? say('onlyLeadSees')
    : error
      ? sentenceOf(error)
      : pending
        ? say('oneIsMade')
        : say('readyCount', { count: ready })
  return (
    <View place="packets" busy={mayTake && !data && !error} sentence={<strong>{says}</strong>}>
      <div className={styles.packets}>
        <LogNav />
        {mayTake && !error && <AskOne line={line} reader={reader} />}
        {mayTake && packets.length > 0 && (
          <ul className={styles.list}>
            {packets.map((packet) => (
              <One key={packet.id} packet={packet} line={line} reader={reader} />
            ))}
          </ul>
        )}
        <p className={styles.alone}>
          <Key look="outlined" href={`/api/records/paper.pdf?${recordsFor(reader)}`} target="_blank">
            {say('paper')}
          </Key>
          <span className="muted">{say('paperSays')}</span>
        </p>
        <p className={styles.alone}>
          <Key look="outlined" href="/api/records/key.pdf" target="_blank">
            {say('key')}
          </Key>
          <Key look="outlined" href="/check.html" download="check.html">
            {say('checker')}
          </Key>
          <span className="muted">{say('checkerSays')}</span>
        </p>
      </div>
    </View>
  )
}

function AskOne({ line, reader }: { line: LineData; reader: Reader }) {
  const { person, open } = useHand(line)
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [from, setFrom] = useState<Day>(addDays(today, -7))
  const [to, setTo] = useState<Day>(today)
  const [scale, setScale] = useState<TemperatureScale>(reader.scale)
  const [language, setLanguage] = useState<Language>(written)
  const [ask, { error, isLoading }] = useAskPacketMutation()
  return (
    <section className={styles.ask} aria-label={say('make')}>
      <p>{say('explains')}</p>
      <div className={styles.choose}>
        <DateField label={say('from')} value={from} onValue={setFrom} />
        <DateField label={say('to')} value={to} onValue={setTo} />
        <ChoiceKeys
          name={say('inScale')}
          options={SCALES}
          words={(each) => `°${each}`}
          chosen={scale}
          onChoose={setScale}
        />
        <ChoiceKeys
          name={say('inLanguage')}
          options={LANGUAGES}
          words={(each) => say(`language_${each}`)}
          chosen={language}
          onChoose={setLanguage}
        />
        <Key
          disabled={isLoading || from === '' || to === ''}
          why={shutUnless(open, person?.role === 'lead') && say('onlyLead')}
          onClick={() => void ask({ from, to, scale, language })}
        >
          {say('make')}
        </Key>
      </div>
      {error && <p role="alert">{sentenceOf(error)}</p>}
      {from !== '' && to !== '' && from <= to && (
        <>
          <h2 className="title">{say('listsOfTime')}</h2>
          <ul className={styles.lists}>
            {LISTS.map((list) => (
              <li key={list}>
                <span>{say(`list_${list}`)}</span>
                <ListKeys
                  list={list}
                  name={say(`list_${list}`)}
                  from={from}
                  to={to}
                  reader={{ ...reader, scale, locale: language }}
                />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

function One({ packet, line, reader }: { packet: Packet; line: LineData; reader: Reader }) {
  const { person, open } = useHand(line)
  const [cancel] = useCancelPacketMutation()
  const { id, askedBy, askedAt, fromDay, toDay, state, done, of, keptUntil } = packet
  const name = say('period', { from: shortDate(fromDay, reader), to: shortDate(toDay, reader) })
  const runs = state === 'waits' || state === 'made'
  return (
    <li aria-label={name} data-state={state}>
      <div className={styles.what}>
        <strong className="title">{name}</strong>
        <span>{stateWords(packet)}</span>
        <small className="muted">
          {say('askedBy', {
            name: line.people.find((each) => each.id === askedBy)?.name ?? '',
            time: clock(askedAt, reader),
          })}
          {state === 'ready' && ` · ${say('keptUntil', { time: dayName(dayOf(keptUntil, reader.zone), reader) })}`}
        </small>
        {runs && <LinearProgress variant="determinate" value={of > 0 ? (100 * done) / of : 0} aria-label={name} />}
      </div>
      {state === 'ready' && <Key href={`/api/packets/${id}/file`}>{say('download')}</Key>}
      {runs && (
        <Key
          look="outlined"
          why={shutUnless(open, person?.role === 'lead') && say('onlyLead')}
          onClick={() => void cancel(id)}
        >
          {say('cancel')}
        </Key>
      )}
    </li>
  )
}

function stateWords({ state, done, of, bytes, said }: Packet): string {
  switch (state) {
    case 'made':
      return say('state_made', { share: of > 0 ? Math.floor((100 * done) / of) : 0 })
    case 'ready':
      return say('state_ready', { size: sizeWords(bytes ?? 0) })
    case 'failed':
      return say('state_failed', { said: said ?? '' })
    default:
      return say(`state_${state}`)
  }
}

const MEGABYTE = 1_000_000

function sizeWords(bytes: number): string {
  return bytes < MEGABYTE ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / MEGABYTE).toFixed(1)} MB`
}
