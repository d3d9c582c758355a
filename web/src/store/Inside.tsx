import { Link } from 'react-router'
import { dayOf, levelOf, placeOf, type LimitSet, type UnitState } from '@logged-thermal/core'
import { asksWord, leftWords, levelDegrees, sourceOf, type Reader, itemMessages } from '@logged-thermal/wording'
import { ListKeys } from '../parts/ListKeys'
import type { StoredItem } from './useStore'
import styles from './store.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(itemMessages)

interface Props {
  unit: UnitState
  stored: readonly StoredItem[]
  limits: LimitSet
  now: number
  reader: Reader
  /** Its page is elsewhere. */
  page?: true
}

/** One unit with its door open: shelf by shelf what stands there, as it is found by hand, and what its air is held to. */
export function Inside({ unit, stored, limits, now, reader, page }: Props) {
  const level = levelOf(unit.kind, limits, dayOf(now, reader.zone))
  const shelfOf = ({ item }: StoredItem) => Math.min(placeOf(item)?.value.shelf ?? 0, unit.shelves)
  const shelves = Array.from({ length: unit.shelves }, (_, i) => i + 1)
  const nowhere = stored.filter((one) => shelfOf(one) === 0)
  return (
    <section className={styles.inside} aria-label={say('insideUnit', { unit: unit.name })}>
      <p className="muted">
        {unit.shelves === 1 ? say('n1Shelf') : say('shelvesShelves', { shelves: unit.shelves })}
        {unit.litres === null ? '' : say('litresLitres', { litres: unit.litres })}.{' '}
        {level
          ? say('airOr', { degrees: levelDegrees(level, reader), side: level.side, sourceOf: sourceOf(level.limit) })
          : say('noLimitForIts')}
      </p>
      <ol>
        {shelves.map((shelf) => (
          <Shelf
            key={shelf}
            name={say('shelfShelf', { shelf })}
            all={stored.filter((one) => shelfOf(one) === shelf)}
            now={now}
          />
        ))}
        {nowhere.length > 0 && <Shelf name={say('noShelfSaid')} all={nowhere} now={now} />}
      </ol>
      {page && (
        <Link className={styles.unitPage} to={`/store/unit/${unit.id}`}>
          {say('unitPage')}
        </Link>
      )}
      <ListKeys list="air" name={say('airRead')} of={unit.id} reader={reader} />
    </section>
  )
}

function Shelf({ name, all, now }: { name: string; all: readonly StoredItem[]; now: number }) {
  return (
    <li>
      <span className={styles.shelfName}>{name}</span>
      <span className={styles.shelfThings}>
        {all.map(({ item, standing }) => {
          const left = leftWords(standing, now, spoken)
          const calm = ['keep', 'frozen', 'use first', 'use today', 'not ready'].includes(standing.asks)
          return (
            <Link key={item.id} to={`/store/item/${item.id}`} className={styles.shelfThing} data-asks={standing.asks}>
              <strong>{item.name}</strong>
              <small>
                {item.code} · {calm ? `${left.big} ${left.small}` : asksWord(standing.asks, spoken)}
              </small>
            </Link>
          )
        })}
        {all.length === 0 && <span className="muted">{say('empty')}</span>}
      </span>
    </li>
  )
}
