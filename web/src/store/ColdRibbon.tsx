import { useId } from 'react'
import type { Instant } from '@logged-thermal/core'
import type { Lens } from '../parts/lens'
import { colourOf } from '../parts/temperatureScale'
import { coldHalf, type ColdPoint, type StoreTrace } from './storeTrace'

interface Props {
  trace: StoreTrace
  /** The level of the rails, °C; null: none to keep. */
  level: number | null
  lens: Lens
  now: Instant
  /** The middle of the lane and how far its rails stand from it, px. */
  middle: number
  rail: number
  /** Since when there is something to keep cold; left out: always. */
  from?: Instant
  /** Until when it is drawn ahead. */
  ahead: Instant | null
}

/** The cold an item stands in: solid where it was read, hatched since, dashed ahead, rails at its limit. */
export function ColdRibbon({ trace, level, lens, now, middle, rail, from = -Infinity, ahead }: Props) {
  const id = useId().replaceAll(':', '')
  const known = level ?? 5
  const half = (celsius: number) => coldHalf(celsius, known, rail)
  const goesOn = trace.unseen.find(({ to }) => to === now)
  const last = trace.read.at(-1)?.at(-1) ?? null
  const end = ahead === null ? null : Math.max(lens.nowX, Math.min(lens.width, lens.x(ahead)))
  return (
    <g>
      <defs>
        <pattern id={`hatch${id}`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.400" height="6" fill={last ? colourOf(last.celsius) : 'var(--on-glass2)'} />
        </pattern>
        {trace.read.map((piece, i) => (
          <Gradient key={i} id={`cold${id}${i}`} piece={piece} lens={lens} />
        ))}
      </defs>
      {level !== null &&
        [-1, 1].map((side) => (
          <line
            key={side}
            x1={from === -Infinity ? 0 : lens.x(from)}
            x2={end ?? lens.nowX}
            y1={middle + side * rail}
            y2={middle + side * rail}
            stroke="var(--on-glass)"
            strokeWidth="2"
            strokeDasharray="2 6"
          />
        ))}
      {trace.read.map((piece, i) => (
        <path key={i} d={band(piece, lens, middle, half)} fill={`url(#cold${id}${i})`} />
      ))}
      {trace.unseen.map(({ from: at, to, celsius }) => (
        <path
          key={at}
          d={band(
            [
              { at, celsius },
              { at: to, celsius },
            ],
            lens,
            middle,
            half,
          )}
          fill={`url(#hatch${id})`}
        />
      ))}
      {trace.out.map(({ from, to }) => (
        <line
          key={from}
          x1={Math.max(0, lens.x(from))}
          x2={lens.x(to)}
          y1={middle}
          y2={middle}
          stroke="var(--on-glass2)"
          strokeWidth="3"
          strokeDasharray="3 6"
        />
      ))}
      {goesOn && end !== null && end > lens.nowX + 2 && (
        <Ghost
          from={lens.nowX}
          to={end}
          middle={middle}
          half={half(goesOn.celsius)}
          colour={colourOf(goesOn.celsius)}
        />
      )}
    </g>
  )
}

function Ghost({
  from,
  to,
  middle,
  half,
  colour,
}: {
  from: number
  to: number
  middle: number
  half: number
  colour: string
}) {
  return (
    <>
      <rect x={from} y={middle - half} width={to - from} height={2 * half} fill={colour} opacity="0.3" />
      {[-half, half].map((dy) => (
        <line
          key={dy}
          x1={from}
          x2={to}
          y1={middle + dy}
          y2={middle + dy}
          stroke={colour}
          strokeWidth="2"
          strokeDasharray="6 4"
        />
      ))}
    </>
  )
}

function Gradient({ id, piece, lens }: { id: string; piece: ColdPoint[]; lens: Lens }) {
  const from = lens.x(piece[0]!.at)
  const to = Math.max(from + 1, lens.x(piece.at(-1)!.at))
  return (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={from} x2={to} y1="0" y2="0">
      {piece.map(({ at, celsius }, i) => (
        <stop key={i} offset={(lens.x(at) - from) / (to - from)} stopColor={colourOf(celsius)} />
      ))}
    </linearGradient>
  )
}

function band(piece: readonly ColdPoint[], lens: Lens, middle: number, half: (celsius: number) => number): string {
  const points = piece.map(({ at, celsius }) => [lens.x(at), half(celsius)] as const)
  const [first] = points
  // A single look is a sliver, so that it is seen.
  const all = points.length === 1 && first ? [first, [first[0] + 2, first[1]] as const] : points
  const top = all.map(([x, h]) => `${x.toFixed(1)} ${(middle - h).toFixed(1)}`)
  const bottom = all.map(([x, h]) => `${x.toFixed(1)} ${(middle + h).toFixed(1)}`).reverse()
  return `M${[...top, ...bottom].join('L')}Z`
}

/** Where it is thrown away. */
export function DiscardWall({ x, height, ruling = true }: { x: number; height: number; ruling?: boolean }) {
  return (
    <g fill={ruling ? 'var(--on-glass)' : 'var(--on-glass2)'}>
      <rect x={x - 5} y="6" width="3.500" height={height - 12} />
      <rect x={x + 1} y="6" width="3.500" height={height - 12} />
    </g>
  )
}
