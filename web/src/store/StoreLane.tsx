import { dayOf, itemLevel, type LimitSet, type UnitState } from '@logged-thermal/core'
import { asksWord, dayName, degrees, shortDate, span, type Reader, storeMessages } from '@logged-thermal/wording'
import type { Lens } from '../parts/lens'
import { ColdRibbon, DiscardWall } from './ColdRibbon'
import { storeTrace } from './storeTrace'
import type { StoredItem } from './useStore'
import { clsx } from 'clsx'
import styles from './store.module.css'
import { speaks } from '../kit/language'

const say = speaks(storeMessages)

interface Props {
  one: StoredItem
  units: readonly UnitState[]
  limits: LimitSet
  now: number
  lens: Lens
  height: number
  reader: Reader
}

/** An item's lane in the Cold Store: the cold behind it, the wall ahead. */
export function StoreLane({ one: { item, standing }, units, limits, now, lens, height, reader }: Props) {
  const level = itemLevel(item, limits, dayOf(now, reader.zone))?.celsius ?? null
  const trace = storeTrace(item, units, level, now)
  const { asks, until, walls } = standing
  const [wall] = walls
  const middle = height / 2
  const wallX = until === null ? null : Math.max(6, Math.min(lens.width - 8, lens.x(until)))
  const over = asks === 'discard' && wallX !== null
  const frozen =
    asks === 'frozen' ? item.moves.findLast(({ value, void: gone }) => !gone && value.how === 'freeze') : null
  return (
    <svg
      width={lens.width}
      height={height}
      role="img"
      aria-label={described(item.name, standing, reader)}
      style={{ display: 'block' }}
    >
      <defs>
        <pattern
          id={`over-${item.id}`}
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="3.500" height="8" fill="var(--flare2)" />
        </pattern>
      </defs>
      <ColdRibbon
        trace={trace}
        level={level}
        lens={lens}
        now={now}
        middle={middle}
        rail={height * 0.29}
        ahead={frozen ? Infinity : until}
      />
      {over && (
        <rect
          x={wallX + 8}
          y={middle - height * 0.26}
          width={Math.max(0, lens.nowX - wallX - 8)}
          height={height * 0.52}
          fill={`url(#over-${item.id})`}
          stroke="var(--flare2)"
          strokeWidth="2"
        />
      )}
      {wallX !== null && <DiscardWall x={wallX} height={height} />}
      <line x1={lens.nowX} x2={lens.nowX} y1="0" y2={height} stroke="var(--on-glass)" strokeWidth="2.500" />
      {trace.warm.map(({ at, celsius }) => {
        const x = lens.x(at)
        const atNow = x + 58 > lens.nowX
        return x > 20 && x < lens.nowX + 4 ? (
          <text
            key={at}
            x={atNow ? lens.nowX - 5 : x + 5}
            y="16"
            textAnchor={atNow ? 'end' : 'start'}
            className={clsx(styles.laneText, styles.strong)}
          >
            {degrees(celsius, reader, 'under')}
          </text>
        ) : null
      })}
      <text
        x={lens.nowX + 14}
        y={over || frozen || wall === undefined ? middle + 6 : -20}
        className={clsx(styles.laneText, over && styles.flare)}
      >
        {frozen
          ? say('dateClockStopped', { date: shortDate(dayOf(frozen.at, reader.zone), reader) })
          : over && until !== null
            ? say('pastItsTime', { span: span(now - until, reader) })
            : wall === undefined
              ? say('noDateGoesDiscard')
              : ''}
      </text>
    </svg>
  )
}

function described(name: string, { asks, until, walls }: StoredItem['standing'], reader: Reader): string {
  const [wall] = walls
  const end =
    until === null
      ? say('noWall')
      : say('discardWall', {
          value: wall?.lastDay ? dayName(wall.lastDay, reader) : dayName(dayOf(until, reader.zone), reader),
        })
  return `${name}: ${asksWord(asks, reader)}, ${end}`
}
