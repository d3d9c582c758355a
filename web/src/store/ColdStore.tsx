import { memo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { isClosing, itemLeft, placeOf, type Id, type LimitSet, type UnitState } from '@logged-thermal/core'
import {
  asksWord,
  barSentence,
  clock,
  countWord,
  itemSentence,
  leftWords,
  measureWords,
  setBy,
  type Reader,
  storeMessages,
} from '@logged-thermal/wording'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf, useNow, useTold } from '../app/now'
import { nowLens, type Lens } from '../parts/lens'
import { useWidth } from '../parts/useWidth'
import { WhenSeen } from '../parts/WhenSeen'
import { Doors } from './Doors'
import { Inside } from './Inside'
import { ItemKeys } from './ItemKeys'
import { StoreLane } from './StoreLane'
import { StoreNav } from './StoreNav'
import { limitsOfLine, useStored, whereIs, type StoredItem } from './useStore'
import { clsx } from 'clsx'
import styles from './store.module.css'
import { speaks } from '../kit/language'

const say = speaks(storeMessages)

const ROW = 78
/** The lanes move so often, ms: by less than a pixel. */
const LANES_MOVE = 60_000

/** What is in which cold unit, what goes first and why. */
export function ColdStore() {
  const now = useNow(LANES_MOVE)
  const line = useLine()
  const { reader } = useHand(line)
  const stored = useStored(line)
  const [door, setDoor] = useState<Id | null>(null)
  const [pane, width] = useWidth<HTMLDivElement>(404)
  const limits = limitsOfLine(line, now)
  const closing = useAsOf((at) => limits !== null && isClosing(limits.practice, reader.zone, at))
  if (!line || !limits) return null
  const counts = new Map<Id, number>()
  for (const { item } of stored) {
    const unit = unitOf(item)
    if (unit) counts.set(unit, (counts.get(unit) ?? 0) + 1)
  }
  const shown = door === null ? stored : stored.filter(({ item }) => unitOf(item) === door)
  const unit = line.units.find(({ id }) => id === door) ?? null
  const lens = lensOf(width, now)
  return (
    <View
      place="store"

      spoken
      sentence={
        <>
          <StoreSentence stored={stored} closing={closing} reader={reader} />
        </>
      }
    >
      <div className={styles.store}>
        <Doors
          units={line.units}
          counts={counts}
          limits={limits}
          now={now}
          reader={reader}
          chosen={door}
          onChoose={setDoor}
        />
        <div className={styles.main}>
          <StoreNav />
          <div className={styles.rows} tabIndex={0} role="region" aria-label={say('whatHeld')}>
            {unit && <Inside unit={unit} stored={shown} limits={limits} now={now} reader={reader} page />}
            <div className={styles.axis} ref={pane}>
              {width > 0 && <Axis lens={lens} now={now} reader={reader} />}
            </div>
            <ul>
              {shown.map((one) => (
                <Row key={one.item.id} one={one} reader={reader} units={line.units} limits={limits} width={width} />
              ))}
            </ul>
            {shown.length === 0 && (
              <p className={styles.empty}>{door === null ? say('nothingHeldYetReceive') : say('nothingThere')}</p>
            )}
          </div>
        </div>
      </div>
    </View>
  )
}

function unitOf(item: StoredItem['item']): Id | null {
  return placeOf(item)?.value.unit ?? null
}

function StoreSentence({
  stored,
  closing,
  reader,
}: {
  stored: readonly StoredItem[]
  closing: boolean
  reader: Reader
}) {
  const of = (asks: StoredItem['standing']['asks']) => stored.filter(({ standing }) => standing.asks === asks)
  const bin = of('discard')
  const cold = [...of('chill again'), ...of('use now')]
  const today = of('use today')
  if (bin.length)
    return (
      <>
        <strong className="urgent">{say('binNow', { count: countWord(bin.length, reader) })}</strong>{' '}
        {cold[0]
          ? `${cold[0].item.name}: ${asksWord(cold[0].standing.asks, reader).toLowerCase()}.`
          : nextWords(today[0], reader)}
      </>
    )
  if (cold[0])
    return (
      <>
        <strong className="urgent">
          {say('oneWarm', { count: cap(countWord(cold.length, reader)), cold: cold.length })}
        </strong>{' '}
        {say('firstBefore', {
          item: cold[0].item.name,
          time: cold[0].standing.advice.by && clock(cold[0].standing.advice.by, reader),
          hasBy: Boolean(cold[0].standing.advice.by),
        })}
      </>
    )
  if (closing && today.length)
    return (
      <>
        <strong>{say('endAtMidnight', { count: cap(countWord(today.length, reader)) })}</strong>{' '}
        {nextWords(today[0], reader)}
      </>
    )
  return (
    <>
      <strong>
        {stored.length === 1
          ? say('oneThingHeld')
          : say('thingsHeld', { count: cap(countWord(stored.length, reader)) })}
      </strong>{' '}
      {nextWords(today[0] ?? of('use first')[0], reader)}
    </>
  )
}

function nextWords(one: StoredItem | undefined, reader: Reader): string {
  if (!one) return say('nothingEndsToday')
  const { item, standing } = one
  const today = standing.asks === 'use today'
  const until = standing.until === null ? null : clock(standing.until, reader)
  return say('useTodayFirstBefore', {
    item: item.name,
    today,
    hasUntil: today && until !== null,
    isMidnight: until === '00:00',
    until,
  })
}

function cap(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1)
}

/** Hours and days from now, where they lie. */
function Axis({ lens, now, reader }: { lens: Lens; now: number; reader: Reader }) {
  const marks: [hours: number, label: string][] = [
    [-6, say('n6HAgo')],
    [4, '4 h'],
    [12, '12 h'],
    [24, '1 day'],
    [72, '3 days'],
    [168, '7'],
  ]
  return (
    <>
      <span className={styles.axisNow} style={{ left: lens.nowX }}>
        {clock(now, reader)}
      </span>
      {marks.map(([hours, label]) => {
        const x = lens.x(now + hours * 3_600_000)
        return x > 24 && x < lens.width - 10 && Math.abs(x - lens.nowX) > 46 ? (
          <span key={hours} style={{ left: x }}>
            {label}
          </span>
        ) : null
      })}
    </>
  )
}

interface RowProps {
  one: StoredItem
  reader: Reader
  units: readonly UnitState[]
  limits: LimitSet
  /** Of its lane, px. */
  width: number
}

const Row = memo(function Row({ one, reader, units, limits, width }: RowProps) {
  const navigate = useNavigate()
  const { item, standing, bar } = one
  // In minutes at the shortest.
  const left = useTold((now) => leftWords(standing, now, reader), 30_000)
  const says =
    bar && standing.why === 'lineage'
      ? barSentence(bar, reader)
      : standing.why && standing.why !== 'its day'
        ? itemSentence(item, standing, reader)
        : setBy(standing, reader)
  const urgent = standing.asks === 'discard'
  const calm = ['keep', 'frozen', 'use first', 'use today', 'not ready'].includes(standing.asks)
  return (
    <li className={clsx(styles.row, urgent && 'urgent')} data-item={item.code} data-asks={standing.asks}>
      <Link className={styles.name} to={`/store/item/${item.id}`}>
        <strong>{item.name}</strong>
        <small>
          {item.code} · {measureWords(itemLeft(item), reader)} · {whereIs(item, units)}
        </small>
      </Link>
      <div className={styles.lane}>
        <WhenSeen height={ROW}>
          <Lane one={one} reader={reader} units={units} limits={limits} width={width} />
        </WhenSeen>
      </div>
      <div className={styles.left}>
        {calm ? (
          <p className={styles.big}>
            {left.big} <span>{left.small}</span>
          </p>
        ) : (
          <p className={styles.asks}>{asksWord(standing.asks, reader)}</p>
        )}
        <small title={says}>{says}</small>
      </div>
      <div className={styles.keys}>
        <ItemKeys one={one} onMore={() => void navigate(`/store/item/${item.id}`)} />
      </div>
    </li>
  )
})

function Lane({ width, ...props }: RowProps) {
  const now = useNow(LANES_MOVE)
  return <StoreLane {...props} now={now} lens={lensOf(width, now)} height={ROW} />
}

function lensOf(width: number, now: number): Lens {
  return nowLens(Math.max(120, width), now, 200, 0.3)
}
