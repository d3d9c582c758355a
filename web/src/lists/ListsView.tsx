import { Suspense, useState } from 'react'
import { dayOf, listsOn } from '@logged-thermal/core'
import { countWord, listsMessages, timeOfDay } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { later } from '../kit/later'
import { speaks } from '../kit/language'
import { ListCard } from './ListCard'
import styles from './lists.module.css'

const say = speaks(listsMessages)

const ChangeLists = later(() => import('./ChangeLists'), 'ChangeLists')

/** The lists of today: one tap where all is right, a few words where it is not. */
export function ListsView() {
  const line = useLine()
  const now = useNow(10_000)
  const { reader, person, open } = useHand(line)
  const [changing, setChanging] = useState(false)
  if (!line) return null
  const day = dayOf(now, reader.zone)
  const lists = listsOn(line, day, reader.zone, now)
  const waiting = lists.filter(({ state }) => state !== 'done')
  const [next] = waiting
  const anyAsked = line.lists.some(({ until }) => until === null)
  const says = next
    ? say('listsWait', { count: waiting.length, word: countWord(waiting.length, reader) })
    : lists.length
      ? say('allDone')
      : anyAsked
        ? say('noneToday')
        : say('noLists')
  return (
    <View
      place="lists"
      spoken
      sentence={
        <>
          <strong>{says}</strong> {next && say('nextBy', { name: next.list.name, time: timeOfDay(next.due, reader) })}
        </>
      }
    >
      <div className={styles.lists}>
        {!anyAsked && <p>{say('whatItIs')}</p>}
        {lists.map((each) => (
          <ListCard
            key={each.list.key}
            of={each}
            line={line}
            reader={reader}
            open={open}
            by={person?.id ?? null}
            now={now}
          />
        ))}
        {open && person?.role === 'lead' && (
          <KeyRow>
            <Key look="outlined" onClick={() => setChanging(true)}>
              {say('change')}
            </Key>
          </KeyRow>
        )}
        <Suspense>{changing && <ChangeLists line={line} onClose={() => setChanging(false)} />}</Suspense>
      </div>
    </View>
  )
}
