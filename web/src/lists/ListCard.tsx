import { clsx } from 'clsx'
import { useState } from 'react'
import { CORRECTED_WITHIN, type DailyLine, type Id, type Instant, type ListOfDay } from '@logged-thermal/core'
import { listsMessages, timeOfDay, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import type { LineData } from '../app/lineData'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import styles from './lists.module.css'

const say = speaks(listsMessages)

interface Props {
  of: ListOfDay
  line: LineData
  reader: Reader
  open: boolean
  /** Who logs here; null: nobody. */
  by: Id | null
  now: Instant
}

/** One list of today, and what was found as somebody went through it. */
export function ListCard({ of: { list, day, due, state, done }, line, reader, open, by: hand, now }: Props) {
  const enter = useEnter()
  const [again, setAgain] = useState(false)
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({})
  const asks = done.length === 0 || again
  const faults = Object.entries(wrong).map(([key, note]) => ({ line: key, note: note.trim() }))
  const untold = faults.some(({ note }) => note === '')
  const toggle = (key: string) =>
    setWrong(({ [key]: there, ...rest }) => (there === undefined ? { ...rest, [key]: '' } : rest))
  const finish = () => {
    enter('list-done', line.kitchen.id, { list: list.key, day, faults })
    setWrong({})
    setAgain(false)
  }
  return (
    <section className={styles.card} aria-label={list.name}>
      <header>
        <h2 className="title">{list.name}</h2>
        <span>{say('byTime', { time: timeOfDay(due, reader) })}</span>
        <strong className={clsx(state === 'missed' && styles.missed)}>{say(`state_${state}`)}</strong>
      </header>
      {state === 'missed' && <p>{say('missedSays')}</p>}
      {done.map(({ entry, at, by, known, faults: found }) => (
        <p key={entry}>
          {say('doneBy', {
            time: timeOfDay(at, reader),
            name: line.people.find(({ id }) => id === by)?.name ?? '',
          })}
          {found.length > 0 && (
            <>
              : <b>{say('doneWithFaults', { count: found.length })}</b>
            </>
          )}
          {open && by === hand && now - known < CORRECTED_WITHIN && (
            <Key
              look="quiet"
              aria-label={say('takeBackOf', { name: list.name })}
              onClick={() => enter('list-taken-back', line.kitchen.id, { target: entry })}
            >
              {say('takeBack')}
            </Key>
          )}
        </p>
      ))}
      <ul>
        {list.lines.map((each) => (
          <Looked
            key={each.key}
            of={each}
            asks={asks && open}
            wrong={wrong[each.key] ?? null}
            onToggle={() => toggle(each.key)}
            onNote={(note) => setWrong((all) => ({ ...all, [each.key]: note }))}
          />
        ))}
      </ul>
      {open && (
        <KeyRow>
          {asks ? (
            <Key look="primary" why={untold ? say('sayWhatIsWrong') : null} onClick={finish}>
              {faults.length ? say('doneFaults', { count: faults.length }) : say('allRight')}
            </Key>
          ) : (
            <Key look="outlined" onClick={() => setAgain(true)}>
              {say('doneAgain')}
            </Key>
          )}
        </KeyRow>
      )}
    </section>
  )
}

interface LookedProps {
  of: DailyLine
  asks: boolean
  /** What is wrong with it; null: nothing is. */
  wrong: string | null
  onToggle: () => void
  onNote: (note: string) => void
}

/** One thing to look at; not right, it asks for a few words. */
function Looked({ of: { text }, asks, wrong, onToggle, onNote }: LookedProps) {
  return (
    <li>
      <span>{text}</span>
      {asks && (
        <Key
          look={wrong === null ? 'outlined' : 'primary'}
          aria-pressed={wrong !== null}
          aria-label={`${say('fault')}: ${text}`}
          onClick={onToggle}
        >
          {say('fault')}
        </Key>
      )}
      {wrong !== null && (
        <Field label={say('whatIsWrong')} value={wrong} max={300} first onValue={onNote} className={styles.note} />
      )}
    </li>
  )
}
