import {
  addDays,
  celsiusOf,
  dayOf,
  firstOfEachPart,
  itemLevel,
  mixtureTrace,
  startOfDay,
  type BatchState,
  type LimitSet,
  type UnitState,
} from '@logged-thermal/core'
import { clock, timeOfDay, dayName, degrees, span, type Reader, itemMessages } from '@logged-thermal/wording'
import { nowLens, type Lens } from '../parts/lens'
import { colourOf, thicknessOf } from '../parts/temperatureScale'
import { useWidth } from '../parts/useWidth'
import { ColdRibbon, DiscardWall } from './ColdRibbon'
import { storeTrace } from './storeTrace'
import type { StoredItem } from './useStore'
import { clsx } from 'clsx'
import itemStyles from './item.module.css'
import storeStyles from './store.module.css'
import { speaks } from '../kit/language'

const say = speaks(itemMessages)

interface Props {
  one: StoredItem
  /** The batch it was made of; null where it was made of none, or it is not loaded. */
  batch: BatchState | null
  units: readonly UnitState[]
  limits: LimitSet
  now: number
  reader: Reader
}

const HEIGHT = 232
/** Room for the names of what flows in; a phone has none, they stand under the pane. */
const ROOM = 210
const NARROW = 600
/** What stands beside a wall that does not rule. */
const WALL_NAME = 110
/** As wide as '33 h 19 min left' in large type. */
const LEFT_SPAN = 240
/** Within this of now the axis is nearly linear, minutes. */
const TAU = 240
const HOUR = 3_600_000

/** An item from the stove to the wall: its parts flow into it, each date stands as a wall, the ruling one full height. */
export function ItemRibbon({ one: { item, standing }, batch, units, limits, now, reader }: Props) {
  const [pane, width] = useWidth<HTMLDivElement>(1280)
  const parts = (batch?.facts['part-used'] ?? []).filter(({ void: gone }) => !gone)
  const heat = batch ? mixtureTrace(batch) : []
  const begins = Math.max(
    now - 7 * 24 * HOUR,
    Math.min(item.made, ...heat.map(({ at }) => at), ...parts.map(({ at }) => at)),
  )
  const names = width < NARROW ? 0 : ROOM
  const inner = nowLens(width - names, now, TAU, 0.5)
  // What is older than the pane is wide begins at its edge.
  const lens: Lens = { width, nowX: names + inner.nowX, x: (instant) => names + Math.max(4, inner.x(instant)) }
  const stop = now + 7.5 * 24 * HOUR
  const level = itemLevel(item, limits, dayOf(now, reader.zone))?.celsius ?? null
  const trace = storeTrace(item, units, level, now)
  const middle = HEIGHT / 2 - 6
  const placed = item.moves.find(({ void: gone }) => !gone)?.at ?? item.made
  const [first, ...others] = firstOfEachPart(standing.walls)
  // Its time without cold may end before its day does.
  const { until } = standing
  const passed = first && until !== null && first.until !== until ? [first, ...others] : others
  return (
    <div className={itemStyles.pane} ref={pane}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={say('fromItsDiscardWall', { item: item.name, time: clock(item.made, reader) })}
      >
        <DayRules from={begins} to={stop} lens={lens} reader={reader} />
        {batch && heat.length > 1 && <Heat points={heat} until={placed} lens={lens} middle={middle} />}
        {parts.map(({ at, value }, i) => {
          const y = 40 + i * ((HEIGHT - 100) / Math.max(1, parts.length - 1))
          const colour = colourOf(celsiusOf(value.typed))
          return (
            <g key={value.part.item}>
              <path
                d={`M${names} ${y}H${lens.x(at)}C${lens.x(at) + 30} ${y} ${lens.x(placed) - 30} ${middle} ${lens.x(placed) + 3} ${middle}`}
                fill="none"
                stroke="var(--on-glass2)"
                strokeWidth="3"
                strokeDasharray="3 6"
              />
              <rect x={lens.x(at) - 5} y={y - 13} width="10" height="26" fill={colour} />
              {names > 0 && (
                <>
                  <text
                    x="18"
                    y={y - 3}
                    className={clsx(storeStyles.laneText, itemStyles.laneText, storeStyles.strong)}
                  >
                    {shortly(value.part.name)} {value.part.code}
                  </text>
                  <text x="18" y={y + 16} className={clsx(storeStyles.laneText, itemStyles.laneText, itemStyles.soft)}>
                    {say('atDegreesTime', {
                      degrees: degrees(celsiusOf(value.typed), reader, 'under'),
                      time: clock(at, reader),
                    })}
                  </text>
                </>
              )}
            </g>
          )
        })}
        {parts.length === 0 && names > 0 && (
          <>
            <text x="18" y={middle - 6} className={clsx(storeStyles.laneText, itemStyles.laneText, storeStyles.strong)}>
              {item.from
                .map(({ code }) => code)
                .filter(Boolean)
                .join(', ') || say('found')}
            </text>
            <text x="18" y={middle + 15} className={clsx(storeStyles.laneText, itemStyles.laneText, itemStyles.soft)}>
              {item.what === 'package' ? say('received') : item.what === 'find' ? say('found2') : say('made')}{' '}
              {dayName(dayOf(item.made, reader.zone), reader)} {timeOfDay(item.made, reader)}
            </text>
          </>
        )}
        <ColdRibbon
          trace={trace}
          level={level}
          lens={lens}
          now={now}
          middle={middle}
          rail={38}
          from={placed}
          ahead={until}
        />
        {trace.warm.map(({ at, celsius }) => (
          <text
            key={at}
            x={lens.x(at) + 4}
            y={middle - 50}
            className={clsx(storeStyles.laneText, itemStyles.laneText, storeStyles.strong)}
          >
            {degrees(celsius, reader, 'under')}
          </text>
        ))}
        {passed.map((wall, i) =>
          wall.until === null || wall.until > stop ? null : (
            <g key={i} transform={`translate(0 ${52 + i * 48})`}>
              <DiscardWall x={lens.x(wall.until)} height={44} ruling={false} />
              <text
                x={lens.x(wall.until) + (lens.x(wall.until) > width - WALL_NAME ? -12 : 12)}
                y="28"
                textAnchor={lens.x(wall.until) > width - WALL_NAME ? 'end' : 'start'}
                className={clsx(storeStyles.laneText, itemStyles.laneText, itemStyles.soft)}
              >
                {wall.keep
                  ? `${wall.keep.force}, ${wall.keep.count} ${wall.keep.what === 'hours' ? 'h' : 'days'}`
                  : wall.ruledBy}
              </text>
            </g>
          ),
        )}
        {until !== null && (
          <g>
            <DiscardWall x={lens.x(until)} height={HEIGHT - 24} />
            <text
              x={lens.x(until) + (lens.x(until) > width - LEFT_SPAN ? -14 : 14)}
              y="30"
              textAnchor={lens.x(until) > width - LEFT_SPAN ? 'end' : 'start'}
              className={clsx(storeStyles.laneText, itemStyles.laneText, storeStyles.big, itemStyles.big)}
            >
              {until > now
                ? say('leftSpan', { span: span(until - now, reader) })
                : say('pastSpan', { span: span(now - until, reader) })}
            </text>
          </g>
        )}
        <line x1={lens.nowX} x2={lens.nowX} y1="0" y2={HEIGHT - 24} stroke="var(--on-glass)" strokeWidth="2.500" />
        <text
          x={lens.nowX - 6}
          y="18"
          textAnchor="end"
          className={clsx(storeStyles.laneText, itemStyles.laneText, storeStyles.strong)}
        >
          {say('now')}
        </text>
      </svg>
    </div>
  )
}

/** What it was on the stove and while it cooled, thick where hot. */
function Heat({
  points,
  until,
  lens,
  middle,
}: {
  points: { at: number; celsius: number }[]
  until: number
  lens: Lens
  middle: number
}) {
  const shown = points.filter(({ at }) => at <= until)
  if (shown.length < 2) return null
  const half = (celsius: number) => Math.max(26, thicknessOf(celsius) * 110) / 1
  const edge = (side: 1 | -1) =>
    shown.map(({ at, celsius }) => `${lens.x(at).toFixed(1)} ${(middle + (side * half(celsius)) / 1.4).toFixed(1)}`)
  const [from, to] = [lens.x(shown[0]!.at), Math.max(lens.x(shown[0]!.at) + 1, lens.x(shown.at(-1)!.at))]
  return (
    <>
      <defs>
        <linearGradient id="item-heat" gradientUnits="userSpaceOnUse" x1={from} x2={to} y1="0" y2="0">
          {shown.map(({ at, celsius }) => (
            <stop key={at} offset={(lens.x(at) - from) / (to - from)} stopColor={colourOf(celsius)} />
          ))}
        </linearGradient>
      </defs>
      <path d={`M${edge(-1).join('L')}L${edge(1).reverse().join('L')}Z`} fill="url(#item-heat)" />
    </>
  )
}

function DayRules({ from, to, lens, reader }: { from: number; to: number; lens: Lens; reader: Reader }) {
  const days: number[] = []
  for (let day = dayOf(from, reader.zone); startOfDay(day, reader.zone) <= to; day = addDays(day, 1))
    days.push(startOfDay(day, reader.zone))
  let right = 0
  return (
    <g>
      {days.map((at) => {
        const x = lens.x(at)
        const clear = x > right
        if (clear) right = x + 92
        return (
          <g key={at}>
            <line x1={x} x2={x} y1="0" y2={HEIGHT - 24} stroke="var(--glass2)" />
            {clear && x < lens.width - 60 && (
              <text
                x={x + 5}
                y={HEIGHT - 7}
                className={clsx(storeStyles.laneText, itemStyles.laneText, itemStyles.soft)}
              >
                {dayName(dayOf(at, reader.zone), reader)}
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}

function shortly(name: string): string {
  return name.length > 19 ? `${name.slice(0, 18)}…` : name
}
