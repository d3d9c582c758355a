import { useId } from 'react'
import { dayOf, type InstrumentCheck, type Instant } from '@logged-thermal/core'
import { dayName, errorWords, instrumentsMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { colourOf } from '../parts/temperatureScale'
import type { Lane } from './lanes'
import type { WeeksLens } from './weeksLens'

const say = speaks(instrumentsMessages)

/** Half the ribbon, px; the rails stand at the tolerance and half a ribbon more: touching the rail is the limit itself. */
const HALF = 6
const TOLERANCE_PX = 16
/** What is further out is drawn at the edge, and its number says how far. */
const MOST = 1.5

interface Props {
  lane: Lane
  lens: WeeksLens
  now: Instant
  height: number
  reader: Reader
}

/**
 * The errors that were found of an instrument, as a ribbon of ice between two rails: flat from one check to the next,
 * hatched where no check stands behind it, dashed until the next is due. Nothing is drawn where nothing was found.
 */
export function IceLane({ lane, lens, now, height, reader }: Props) {
  const id = useId().replaceAll(':', '')
  const { instrument, standing } = lane
  const { history, tolerance, kind } = instrument
  const middle = height / 2
  const y = (error: number) => middle - Math.max(-MOST, Math.min(MOST, error / tolerance)) * TOLERANCE_PX
  const rail = TOLERANCE_PX + HALF
  const ice = kind === 'ph' ? 'var(--on-glass2)' : colourOf(0)
  const last = history.at(-1)
  const due = standing.due
  return (
    <svg width={lens.width} height={height} aria-hidden="true" style={{ display: 'block' }}>
      <defs>
        <pattern id={`doubt${id}`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="3" height="7" fill={ice} />
        </pattern>
      </defs>
      {[-rail, rail].map((at) => (
        <line
          key={at}
          x1="0"
          x2={lens.width}
          y1={middle + at}
          y2={middle + at}
          stroke="var(--on-glass2)"
          strokeWidth="2"
          strokeDasharray="2 5"
        />
      ))}
      {!last && (
        <NothingFound
          {...{ lens, middle, ice }}
          words={say(standing.backing === 'not asked' ? 'notAskedToDraw' : 'nothingToDraw')}
        />
      )}
      {history.map((check, i) => (
        <Found
          key={check.entry}
          {...{ check, lens, now, y, ice }}
          next={history[i + 1]}
          due={check === last ? due : null}
          hatch={`url(#doubt${id})`}
        />
      ))}
      {last?.passed && due !== null && due > now && !instrument.gone && (
        <rect
          x={lens.nowX}
          width={Math.max(0, lens.x(due) - lens.nowX)}
          y={y(last.error) - HALF}
          height={HALF * 2}
          fill="none"
          stroke={ice}
          strokeWidth="2"
          strokeDasharray="5 4"
        />
      )}
      {due !== null && !instrument.gone && (
        <line x1={lens.x(due)} x2={lens.x(due)} y1="6" y2={height - 6} stroke="var(--on-glass)" strokeWidth="3.500" />
      )}
      <line x1={lens.nowX} x2={lens.nowX} y1="0" y2={height} stroke="var(--on-glass)" strokeWidth="2" />
      {last && <Told {...{ last, lens, y, height }} words={errorWords(kind, last.error, reader)} />}
      {due !== null && due < now && !instrument.gone && (
        <text x={lens.x(due) - 8} y={height - 8} textAnchor="end" className="lane-word">
          {say('wasDue', { day: dayName(dayOf(due, reader.zone), reader) })}
        </text>
      )}
    </svg>
  )
}

/** One check: what it found holds until the next. After a failure the span before it is in doubt. */
function Found({
  check,
  next,
  due,
  lens,
  now,
  y,
  ice,
  hatch,
}: {
  check: InstrumentCheck
  next: InstrumentCheck | undefined
  due: Instant | null
  lens: WeeksLens
  now: Instant
  y: (error: number) => number
  ice: string
  hatch: string
}) {
  if (!check.passed)
    return (
      <circle cx={lens.x(check.from)} cy={y(check.error)} r="8" fill="none" stroke="var(--on-glass)" strokeWidth="4" />
    )
  const from = lens.x(check.from)
  const end = next?.from ?? now
  const covered = Math.min(end, due ?? end)
  const inDoubt = next && !next.passed
  const bar = (x1: number, x2: number, fill: string) =>
    x2 > x1 && <rect x={x1} width={x2 - x1} y={y(check.error) - HALF} height={HALF * 2} fill={fill} />
  return (
    <g>
      {bar(from, lens.x(covered) - 2, inDoubt ? hatch : ice)}
      {covered < end && bar(lens.x(covered), lens.x(end), hatch)}
    </g>
  )
}

function NothingFound({ lens, middle, ice, words }: { lens: WeeksLens; middle: number; ice: string; words: string }) {
  return (
    <g>
      {[-6, 6].map((at) => (
        <line
          key={at}
          x1="16"
          x2={lens.width - 16}
          y1={middle + at}
          y2={middle + at}
          stroke={ice}
          strokeWidth="2"
          strokeDasharray="9 6"
        />
      ))}
      <text x={lens.width / 2} y={middle + 6} textAnchor="middle" className="lane-word over">
        {words}
      </text>
    </g>
  )
}

/** The error as it was found last, beside its place. */
function Told({
  last,
  lens,
  y,
  height,
  words,
}: {
  last: InstrumentCheck
  lens: WeeksLens
  y: (error: number) => number
  height: number
  words: string
}) {
  const at = y(last.error)
  const x = Math.min(lens.x(last.from), lens.nowX)
  const under = at < height / 2
  const crowded = lens.nowX - lens.x(last.from) < 80 && lens.nowX - lens.x(last.from) > 4
  if (!last.passed)
    return (
      <text
        x={lens.x(last.from) + (crowded ? -16 : 16)}
        y={at + 8}
        textAnchor={crowded ? 'end' : 'start'}
        className="lane-word found"
      >
        {words}
      </text>
    )
  return (
    <text x={Math.max(x, 70)} y={under ? at + 26 : at - 14} textAnchor="end" className="lane-word">
      {words}
    </text>
  )
}
