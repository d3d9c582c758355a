import {
  dayOf,
  excursionsOf,
  isOutside,
  levelOf,
  LOOKS_APART,
  type Id,
  type LimitSet,
  type UnitState,
} from '@logged-thermal/core'
import { clock, degrees, levelDegrees, span, type Reader, storeRoundMessages } from '@logged-thermal/wording'
import { clockLens } from '../parts/lens'
import { ColdRibbon } from './ColdRibbon'
import type { StoreTrace } from './storeTrace'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './store.module.css'
import { speaks } from '../kit/language'

const say = speaks(storeRoundMessages)

interface Props {
  units: readonly UnitState[]
  /** How many items each holds. */
  counts: ReadonlyMap<Id, number>
  limits: LimitSet
  now: number
  reader: Reader
  chosen: Id | null
  onChoose: (unit: Id | null) => void
}

/** The units as places: what their air is, since when nobody looked, how many things are inside. A warm one has an ink handle. */
export function Doors({ units, counts, limits, now, reader, chosen, onChoose }: Props) {
  return (
    <ul className={styles.doors} aria-label={say('units')}>
      {units.map((unit) => (
        <li key={unit.id}>
          <RowKey
            className={styles.door}
            aria-pressed={unit.id === chosen}
            data-warm={warmth(unit, limits, now, reader) !== null}
            onClick={() => onChoose(unit.id === chosen ? null : unit.id)}
          >
            <DoorFace unit={unit} count={counts.get(unit.id) ?? 0} limits={limits} now={now} reader={reader} />
          </RowKey>
        </li>
      ))}
    </ul>
  )
}

function DoorFace({
  unit,
  count,
  limits,
  now,
  reader,
}: {
  unit: UnitState
  count: number
  limits: LimitSet
  now: number
  reader: Reader
}) {
  const last = unit.airs.at(-1)
  const warm = warmth(unit, limits, now, reader)
  return (
    <>
      <span className={styles.handle} aria-hidden />
      <span className={styles.doorName}>{unit.name}</span>
      <span className={styles.doorAir}>{last ? degrees(last.celsius, reader, 'under') : '–'}</span>
      <span className={warm ? clsx(styles.doorNote, styles.strong) : styles.doorNote}>
        {warm ?? (last ? say('readTime', { time: clock(last.at, reader) }) : say('neverRead'))} ·{' '}
        {count === 1 ? say('n1Thing') : say('thingsCount', { count })}
      </span>
      <AirLane unit={unit} limits={limits} now={now} reader={reader} width={172} height={32} />
    </>
  )
}

/** The air of a unit over the last half day. */
export function AirLane({
  unit,
  limits,
  now,
  reader,
  width,
  height,
}: {
  unit: UnitState
  limits: LimitSet
  now: number
  reader: Reader
  width: number
  height: number
}) {
  const from = now - 12 * 3_600_000
  const level = levelOf(unit.kind, limits, dayOf(now, reader.zone))
  const airs = unit.airs.filter(({ at }, i, all) => at >= from || (all[i + 1]?.at ?? Infinity) >= from)
  const points = airs.map(({ at, celsius }) => ({ at, celsius }))
  const last = points.at(-1)
  const unseen = last && last.at < now ? [{ from: last.at, to: now, celsius: last.celsius }] : []
  const trace: StoreTrace = { read: points.length ? [points] : [], unseen, out: [], warm: [] }
  return (
    <svg className={styles.airLane} width={width} height={height} aria-hidden>
      <ColdRibbon
        trace={trace}
        level={level?.side === 'under' ? level.celsius : null}
        lens={clockLens(width, from, now, now)}
        now={now}
        middle={height / 2}
        rail={height * 0.36}
        ahead={null}
      />
    </svg>
  )
}

/** Why a unit's air is in question, shortly; null when it is not. */
export function warmth(unit: UnitState, limits: LimitSet, now: number, reader: Reader): string | null {
  const level = levelOf(unit.kind, limits, dayOf(now, reader.zone))
  const last = unit.airs.at(-1)
  if (!level || !last || !isOutside(last.celsius, level)) return null
  const excursion = excursionsOf(unit, level, now).at(-1)
  if (!excursion) return null
  return excursion.open
    ? say('overFor', { degrees: levelDegrees(level, reader), span: span(now - excursion.since.latest, reader) })
    : say('readAgainBy', { time: clock(excursion.since.latest + LOOKS_APART, reader) })
}
