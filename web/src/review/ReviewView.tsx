import { useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { addDays, dayOf, itemLeft, itemStanding, startOfDay, type Matter } from '@logged-thermal/core'
import { countWord, dayName, matterWords, mattersMessages, type Names } from '@logged-thermal/wording'
import { sentenceOf, useMattersQuery } from '../app/api'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf, useNow } from '../app/now'
import { View } from '../app/View'
import { recordsFor } from '../parts/recordsFor'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { discardOf, storeOfLine } from '../store/useStore'
import { LogNav } from '../log/LogNav'
import { Besides } from './Besides'
import { CloseMatter } from './CloseMatter'
import { DecideBatch } from './DecideBatch'
import { MatterRow } from './MatterRow'
import { SignDay } from './SignDay'
import styles from './review.module.css'

const say = speaks(mattersMessages)
const HALF_MINUTE = 30_000

type Doing = { matter: Matter; how: 'close' } | { batch: string; how: 'decide' }

/** What is unresolved, the most urgent first, each settled from here; then the signature over the day. */
export function ReviewView() {
  const now = useNow(HALF_MINUTE)
  const line = useLine()
  const { reader, open } = useHand(line)
  const navigate = useNavigate()
  const enter = useEnter()
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [params, setParams] = useSearchParams()
  const asked = params.get('day') ?? ''
  const day = /^\d{4}-\d{2}-\d{2}$/.test(asked) && asked <= today ? asked : today
  const { data, error } = useMattersQuery({ seq: line?.seq ?? 0 }, { skip: line === null })
  const [doing, setDoing] = useState<Doing | null>(null)
  const names = useMemo(
    (): Names => ({
      of: () => null,
      person: (id) => line?.people.find((person) => person.id === id)?.name ?? '',
      instrument: (id) => line?.instruments.find((instrument) => instrument.id === id) ?? null,
    }),
    [line],
  )
  if (!line) return null
  const matters = data?.matters ?? []
  const ends = startOfDay(addDays(day, 1), reader.zone)
  const ofDay = matters.filter(({ since }) => since >= startOfDay(day, reader.zone) && since < ends)
  const store = storeOfLine(line, now)
  /** What is past its time goes from here, where this tablet knows it. */
  const binOf = ({ cause, id }: Matter) => {
    if (cause.of !== 'item' || cause.item.standing.asks !== 'discard') return null
    const item = line.items.find((each) => each.id === id)
    if (!item || !store) return null
    const one = { item, standing: itemStanding(item, store, now) }
    return () => void enter('item-discarded', id, discardOf(one, itemLeft(item)))
  }
  const go = (to: string) => setParams(to === today ? {} : { day: to }, { replace: true })
  const count = matters.length
  return (
    <View
      place="review"
      busy={!data}
      spoken
      sentence={
        !data ? (
          error ? (
            sentenceOf(error)
          ) : (
            say('looking')
          )
        ) : count === 0 ? (
          <strong>{say('nothingOpen')}</strong>
        ) : (
          <strong>{say('openMatters', { count, word: countWord(count, reader) })}.</strong>
        )
      }
    >
      <div className={styles.review}>
        <div className={styles.open}>
          <LogNav />
          <ul className={styles.matters} aria-label={say('openMatters', { count, word: countWord(count, reader) })}>
            {matters.map((matter) => (
              <MatterRow
                key={`${matter.of} ${matter.id} ${matter.since}`}
                matter={matter}
                words={matterWords(matter, names, now, reader)}
                open={open}
                onBin={binOf(matter)}
                onOpen={(path) => void navigate(path)}
                onDecide={(batch) => setDoing({ batch, how: 'decide' })}
                onClose={() => setDoing({ matter, how: 'close' })}
              />
            ))}
            {data?.more && <li className="muted">{say('moreBatches')}</li>}
            <Besides day={day} line={line} reader={reader} now={now} />
          </ul>
        </div>
        <aside className={styles.slab}>
          <div className={styles.days}>
            <Key look="outlined" aria-label={say('dayBefore')} onClick={() => go(addDays(day, -1))}>
              ‹
            </Key>
            <b>{dayName(day, reader)}</b>
            <Key
              look="outlined"
              aria-label={say('dayAfter')}
              disabled={day >= today}
              onClick={() => go(addDays(day, 1))}
            >
              ›
            </Key>
          </div>
          <SignDay key={day} day={day} line={line} reader={reader} now={now} stillOpen={ofDay.length} />
          <KeyRow className={styles.takeAway} label={say('dayRecord', { day: dayName(day, reader) })}>
            <Key look="outlined" target="_blank" href={`/api/records/day/${day}.pdf?${recordsFor(reader)}`}>
              {say('dayPaper')}
            </Key>
            <Key look="outlined" href={`/api/proof/day/${day}`}>
              {say('dayProof')}
            </Key>
          </KeyRow>
        </aside>
      </div>
      {doing?.how === 'close' && (
        <CloseMatter
          matter={doing.matter}
          title={matterWords(doing.matter, names, now, reader).title}
          onClose={() => setDoing(null)}
        />
      )}
      {doing?.how === 'decide' && <DecideBatch id={doing.batch} onClose={() => setDoing(null)} />}
    </View>
  )
}
