import { Suspense, useMemo } from 'react'
import { useParams } from 'react-router'
import {
  contestedAbout,
  courseOf,
  dayOf,
  firstOfEachPart,
  itemLeft,
  itemLevel,
  itemStanding,
  placeOf,
  thermalLag,
  withLineage,
  type ItemState,
  type LimitSet,
  type UnitState,
} from '@logged-thermal/core'
import {
  advisory,
  alcoholNote,
  asksWord,
  barSentence,
  timeOfDay,
  dayName,
  fruitNote,
  heatStatusWord,
  itemSentence,
  keepWords,
  lagSentence,
  leftInEggs,
  setBy,
  type Reader,
  itemMessages,
  toolsMessages,
  tracesWords,
} from '@logged-thermal/wording'
import { sentenceOf, useItemQuery } from '../app/api'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { later } from '../kit/later'
import { Contradictions } from '../decide/Contradictions'
import { SentOut } from './dispatch/SentOut'
import { ItemActions } from './ItemActions'
import { ItemRibbon } from './ItemRibbon'
import { StoreNav } from './StoreNav'
import { storeOfLine, whereIs, type StoredItem } from './useStore'
import { clsx } from 'clsx'
import styles from './item.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(itemMessages)
const toolsSay = speaks(toolsMessages)

const LabelPanel = later(() => import('./LabelPanel'), 'LabelPanel')

/** One item: from the stove to the discard wall, what rules its date, what can be done with it, its label. */
export function ItemPage() {
  const { id = '' } = useParams()
  const now = useNow()
  const line = useLine()
  const { reader } = useHand(line)
  const held = line?.items.find((item) => item.id === id)
  const seq = line?.seq ?? 0
  // What is gone is known to the server alone; what is held, also to this tablet while the server is away.
  const { data, error } = useItemQuery({ id, seq }, { skip: id === '' })
  const store = storeOfLine(line, now)
  if (!line || !store) return null
  const { limits } = store
  // Judged as this second stands: a second reading may be asked for within half a minute.
  const bar = data?.bar ?? undefined
  const own = held && { item: held, standing: withLineage(itemStanding(held, store, now), bar), bar }
  const one: StoredItem | null = own ?? (data ? { item: data.item, standing: data.standing, bar } : null)
  return (
    <View
      place="item"
      spoken
      sentence={<>{one ? <ItemSentence one={one} reader={reader} /> : error ? sentenceOf(error) : say('looking')}</>}
    >
      {one ? (
        <div className={styles.item}>
          <ItemRibbon
            one={one}
            batch={data?.batch?.state ?? null}
            units={line.units}
            limits={limits}
            now={now}
            reader={reader}
          />
          <div className={styles.columns}>
            <div>
              <Walls one={one} limits={limits} now={now} reader={reader} />
              <Contradictions of={{ item: one.item }} facts={contestedAbout(one.item)} reader={reader} />
            </div>
            <section aria-label={say('whatCanDone')}>
              <h2 className={clsx('title', styles.head)}>
                {leftInEggs(one.item, itemLeft(one.item), reader)} · {whereIs(one.item, line.units)}
                <small>{facts(one, reader)}</small>
              </h2>
              <ItemActions one={one} line={line} now={now} reader={reader} />
              {one.standing.exposure.now && (
                <Lag item={one.item} units={line.units} limits={limits} now={now} reader={reader} />
              )}
            </section>
            <div>
              <Suspense>
                <LabelPanel item={one.item} />
              </Suspense>
              <SentOut item={one.item} reader={reader} />
            </div>
          </div>
        </div>
      ) : (
        <StoreNav />
      )}
    </View>
  )
}

function facts({ item }: StoredItem, reader: Reader): string {
  const place = placeOf(item)
  return `${heatStatusWord(item.facts.heat, reader)}${place ? say('thereSince', { time: timeOfDay(place.at, reader), day: dayName(dayOf(place.at, reader.zone), reader) }) : ''}`
}

function ItemSentence({ one: { item, standing, bar }, reader }: { one: StoredItem; reader: Reader }) {
  const { asks } = standing
  const calm = ['keep', 'use first', 'frozen', 'not ready'].includes(asks)
  return (
    <>
      <strong className={clsx(asks === 'discard' && 'urgent')}>
        {item.name} {item.code}: {calm ? say('keepCold') : asksWord(asks, reader).toLowerCase()}.
      </strong>{' '}
      {bar && standing.why === 'lineage' ? barSentence(bar, reader) : itemSentence(item, standing, reader)}
    </>
  )
}

/** What the air may be doing to it meanwhile, for whoever reads it next. */
function Lag({
  item,
  units,
  limits,
  now,
  reader,
}: {
  item: ItemState
  units: readonly UnitState[]
  limits: LimitSet
  now: number
  reader: Reader
}) {
  const level = itemLevel(item, limits, dayOf(now, reader.zone))
  const lag = useMemo(() => level && thermalLag(courseOf(item, []), itemLeft(item), units, level), [item, units, level])
  return lag && level ? <p className={clsx('muted', styles.note)}>{lagSentence(lag, level, reader)}</p> : null
}

/** Every date it has, the one that rules first, with who says so. */
function Walls({
  one: { item, standing },
  limits,
  now,
  reader,
}: {
  one: StoredItem
  limits: LimitSet
  now: number
  reader: Reader
}) {
  const level = itemLevel(item, limits, dayOf(now, reader.zone))
  return (
    <section aria-label={say('whatRulesDate')}>
      <h2 className={clsx('title', styles.head)}>
        {say('whatRulesDate')} <small>{say('day1Made', { day: dayName(dayOf(item.made, reader.zone), reader) })}</small>
      </h2>
      <ul className={styles.walls}>
        {firstOfEachPart(standing.walls).map((wall, i) => (
          <li key={`${wall.ruledBy}${i}`} className={clsx(i === 0 && styles.rules)}>
            <span className={styles.wallMark} aria-hidden />
            <span>
              <strong>{wall.keep ? keepWords(wall.keep, reader) : setBy({ walls: [wall] }, reader)}</strong>
              <small>
                {wall.keep
                  ? `${wall.keep.source.document}, ${wall.keep.source.section}`
                  : wall.ruledBy === 'useBy'
                    ? say('asMakerSaysFreezing')
                    : say('partPassesItsDate')}
              </small>
            </span>
            <time>
              {wall.lastDay === null
                ? say('daysOnceThawed', { days: wall.daysLeft })
                : wall.keep?.what === 'hours' && wall.until !== null
                  ? `${timeOfDay(wall.until, reader)} ${dayName(wall.lastDay, reader)}`
                  : say('endOf', { day: dayName(wall.lastDay, reader) })}
            </time>
          </li>
        ))}
        {standing.walls.length === 0 && (
          <li className={styles.rules}>
            <span className={styles.wallMark} aria-hidden />
            <strong>{say('nothingDatesGoesDiscard')}</strong>
          </li>
        )}
      </ul>
      {item.facts.advisory && <p className={styles.note}>{advisory(spoken)}</p>}
      {item.facts.alcohol && <p className={styles.note}>{alcoholNote(item.facts.alcohol, spoken)}</p>}
      {item.facts.untreatedFruit && <p className={styles.note}>{fruitNote(spoken)}</p>}
      {item.facts.mayContain && (
        <p className={styles.note}>
          <strong>{toolsSay('mayContain', { traces: tracesWords(item.facts.mayContain, spoken) })}.</strong>
        </p>
      )}
      <p className={clsx('muted', styles.note)}>
        {item.facts.allergens.length ? say('holdsAllergens', { allergens: item.facts.allergens.join(', ') }) : ''}
        {item.facts.unknown.length ? say('notKnown', { unknown: item.facts.unknown.join(', ') }) : ''}
        {level ? `${level.limit.source.document}, ${level.limit.source.section}.` : ''}
      </p>
    </section>
  )
}
