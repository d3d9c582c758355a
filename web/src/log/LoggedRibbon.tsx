import { useId } from 'react'
import type { LoggedBatch, LoggedStand } from '@logged-thermal/core'
import { GateWedges } from '../parts/GateWedges'
import { bandPath, HeatGradient } from '../parts/heatBand'
import type { Lens } from '../parts/lens'
import { thicknessOf } from '../parts/temperatureScale'

interface Props {
  batch: LoggedBatch
  stand: LoggedStand
  lens: Lens
  height: number
  /** What it is and how it stands, for who cannot see it; left out: it is said beside it. */
  words?: string
}

/** A batch as a band of heat on a clock: what was read, with its gates as they stood. A reading in doubt is a ring. */
export function LoggedRibbon({ batch: { trace, doubted }, stand, lens, height, words }: Props) {
  const id = useId().replaceAll(':', '')
  const read = trace.map(([at, celsius]) => ({ at, celsius }))
  const [first, last] = [read[0], read.at(-1)]
  const middle = height / 2
  const full = Math.max(4, height - 10)
  const half = (celsius: number) => (thicknessOf(celsius) * full) / 2
  return (
    <svg
      width={lens.width}
      height={height}
      style={{ display: 'block' }}
      {...(words === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': words })}
    >
      {first && last && (
        <>
          <defs>
            <HeatGradient id={`read${id}`} bends={read} lens={lens} />
          </defs>
          <path d={bandPath(read, lens, first.at, last.at, middle, full).area} fill={`url(#read${id})`} />
        </>
      )}
      {read.map(({ at, celsius }) =>
        doubted.includes(at) ? (
          <circle key={at} cx={lens.x(at)} cy={middle} r="4" fill="none" stroke="var(--glass)" strokeWidth="2.200" />
        ) : (
          <line
            key={at}
            x1={lens.x(at)}
            x2={lens.x(at)}
            y1={middle - half(celsius)}
            y2={middle + half(celsius)}
            stroke="var(--glass)"
            strokeWidth="2"
          />
        ),
      )}
      {height > 20 &&
        stand.gates.map(({ key, kind, at, celsius, standing }) => (
          <GateWedges
            key={key}
            kind={kind}
            standing={standing}
            clash={false}
            x={lens.x(at)}
            middle={middle}
            slot={half(celsius)}
            reach={middle - 3}
            size="quiet"
          />
        ))}
    </svg>
  )
}
