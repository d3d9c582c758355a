import { useNavigate } from 'react-router'
import { dayOf, listsOn } from '@logged-thermal/core'
import { listsMessages, timeOfDay, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import styles from './line.module.css'

const say = speaks(listsMessages)

/** Lists that are due: under the pots, for no pot waits for them. */
export function DueLists({ line, now, reader }: { line: LineData; now: number; reader: Reader }) {
  const navigate = useNavigate()
  return listsOn(line, dayOf(now, reader.zone), reader.zone, now)
    .filter(({ state }) => state === 'due')
    .map(({ list, due }) => (
      <section key={list.key} className={styles.handedOver} aria-label={list.name}>
        <p>{say('dueOnLine', { name: list.name, time: timeOfDay(due, reader) })}</p>
        <Key look="outlined" onClick={() => void navigate('/lists')}>
          {say('goThrough')}
        </Key>
      </section>
    ))
}
