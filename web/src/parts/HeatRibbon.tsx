import { useId, useMemo } from 'react'
import {
  isHeld,
  type Attention,
  type BatchState,
  type FanPoint,
  type Finding,
  type Forecast,
} from '@logged-thermal/core'
import {
  aboutDegrees,
  weekdayName,
  gateName,
  checkTitle,
  type Reader,
  partsMessages,
  standingWord,
} from '@logged-thermal/wording'
import { GateWedges, type GateSize } from './GateWedges'
import { bandPath, HeatGradient } from './heatBand'
import { GlyphShape } from './Glyph'
import type { Lens } from './lens'
import { ribbonTrace, type Bend, type RibbonGate } from './ribbonTrace'
import { colourOf, thicknessOf } from './temperatureScale'
import { speaks } from '../kit/language'

const say = speaks(partsMessages)

interface Props {
  batch: BatchState
  findings: Finding[]
  asks: Attention
  /** How it goes on cooling. */
  forecast?: Forecast | null
  now: number
  lens: Lens
  height: number
  size: GateSize
  reader: Reader
  /** Only what was read and its gates, nothing ahead: where evidence is compared. */
  evidence?: boolean
}

const FULL: Record<GateSize, number> = { quiet: 46, due: 51, rescue: 97 }

/** A batch as a band of heat: thick where hot, solid only as far as it was read, hatched since, dashed ahead. */
export function HeatRibbon(props: Props) {
  const { batch, findings, asks, forecast = null, now, lens, height, size, reader, evidence = false } = props
  const id = useId().replaceAll(':', '')
  const trace = useMemo(() => ribbonTrace(batch, findings, now, forecast), [batch, findings, now, forecast])
  const { read, gates } = trace
  const { ahead, fan, wall } = evidence ? { ahead: [], fan: [], wall: null } : trace
  const labelled = size !== 'quiet'
  const middle = labelled ? (height - 22) / 2 : height / 2
  const full = Math.min(FULL[size], height - (labelled ? 40 : 12))
  const last = read.at(-1)
  const rescueUntil = asks.kind === 'rescue' && !evidence ? asks.by : null
  const band = (bends: Bend[], from: number, to: number) => bandPath(bends, lens, from, to, middle, full)
  const held = isHeld(batch)

  return (
    <svg
      width={lens.width}
      height={height}
      role="img"
      aria-label={described(batch, gates, wall, reader)}
      style={{ display: 'block' }}
    >
      <defs>
        <HeatGradient id={`read${id}`} bends={read} lens={lens} />
        <HeatGradient id={`ahead${id}`} bends={ahead} lens={lens} />
        <pattern id={`hatch${id}`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.400" height="6" fill={last ? colourOf(last.celsius) : 'var(--on-glass2)'} />
        </pattern>
      </defs>
      {rescueUntil !== null && (
        <rect
          x={lens.nowX}
          width={Math.max(3, lens.x(rescueUntil) - lens.nowX)}
          height={height}
          fill="var(--flare)"
          opacity="0.26"
        />
      )}
      {fan.length > 1 && (
        <path
          d={fanPath(fan, lens, Math.max(now, fan[0]!.at), middle, full)}
          fill={`url(#ahead${id})`}
          fillRule="evenodd"
          opacity="0.28"
        />
      )}
      {ahead.length > 1 && (
        <g>
          <path
            d={band(ahead, Math.max(now, ahead[0]!.at), wall ?? Infinity).area}
            fill={`url(#ahead${id})`}
            opacity="0.3"
          />
          <path
            d={band(ahead, Math.max(now, ahead[0]!.at), wall ?? Infinity).edges}
            fill="none"
            stroke={`url(#ahead${id})`}
            strokeWidth="2"
            strokeDasharray="6 4"
          />
        </g>
      )}
      {last && now > last.at && !evidence && (
        <path d={band([last, { at: now, celsius: last.celsius }], last.at, now).area} fill={`url(#hatch${id})`} />
      )}
      {read.length > 0 && <path d={band(read, read[0]!.at, last!.at).area} fill={`url(#read${id})`} />}
      {read.map(({ at, celsius }) => (
        <line
          key={at}
          x1={lens.x(at)}
          x2={lens.x(at)}
          y1={middle - (thicknessOf(celsius) * full) / 2}
          y2={middle + (thicknessOf(celsius) * full) / 2}
          stroke="var(--glass)"
          strokeWidth="2.400"
        />
      ))}
      {gates.map((gate) => (
        <GateWedges
          key={gate.key}
          kind={gate.kind}
          standing={gate.standing}
          clash={gate.clash !== null}
          x={lens.x(gate.at)}
          middle={middle}
          slot={(thicknessOf(gate.celsius) * full) / 2}
          reach={middle - 4}
          size={size}
        />
      ))}
      {wall !== null && (
        <Wall x={Math.min(lens.width - 8, Math.max(8, lens.x(wall)))} height={labelled ? height - 6 : height - 8} />
      )}
      {!evidence && (
        <line x1={lens.nowX} x2={lens.nowX} y1="0" y2={height} stroke="var(--on-glass)" strokeWidth="2.500" />
      )}
      {held &&
        [-9, 9].map((dx) => (
          <rect key={dx} x={lens.nowX + dx - 3} y={middle - 24} width="6" height="48" fill="var(--on-glass)" />
        ))}
      {labelled && <Labels gates={gates} wall={wall} findings={findings} lens={lens} y={height - 10} reader={reader} />}
      {gates.map(
        (gate) => gate.clash !== null && <ClashChip key={gate.key} gate={gate} x={lens.x(gate.at)} reader={reader} />,
      )}
    </svg>
  )
}

/** Between the widest and the narrowest that the band may be. */
function fanPath(fan: FanPoint[], lens: Lens, from: number, middle: number, full: number): string {
  const side = (pick: (point: FanPoint) => number) =>
    bandPath(
      fan.map((point) => ({ at: point.at, celsius: pick(point) })),
      lens,
      from,
      Infinity,
      middle,
      full,
    ).area
  return side(({ most }) => most) + side(({ least }) => least)
}

function Wall({ x, height }: { x: number; height: number }) {
  return (
    <g fill="var(--on-glass)">
      <rect x={x - 5} y="4" width="3.500" height={height} />
      <rect x={x + 1} y="4" width="3.500" height={height} />
    </g>
  )
}

interface Label {
  key: string
  x: number
  text: string
  gate: RibbonGate | null
}

/** Glyph and words under each gate; a label that would lie on its neighbour is left out, the nearest to now first kept. */
function Labels({
  gates,
  wall,
  findings,
  lens,
  y,
  reader,
}: {
  gates: RibbonGate[]
  wall: number | null
  findings: Finding[]
  lens: Lens
  y: number
  reader: Reader
}) {
  const date = findings.find(({ because, deadline }) => 'lastDay' in because && deadline === wall)
  const nextOpen = gates.find(({ standing }) => standing === 'open')
  const labels: Label[] = gates.map((gate) => ({
    key: gate.key,
    x: lens.x(gate.at) - 24,
    text:
      gate === nextOpen && gate.kind === 'be under'
        ? checkTitle(gate.finding, reader)
        : gateName(gate.finding.check, reader),
    gate,
  }))
  if (date && 'lastDay' in date.because && wall !== null) {
    const text = say('binDay', { day: weekdayName(date.because.lastDay, reader) })
    labels.push({ key: 'wall', x: Math.min(lens.width - 20, lens.x(wall)) - width(text) - 10, text, gate: null })
  }
  return (
    <g fontFamily="var(--text)" fontWeight="600" fontSize="16" fill="var(--on-glass)">
      {apart(labels, lens).map(({ key, x, text, gate }) => (
        <g key={key}>
          {gate && (
            <g transform={`translate(${x} ${y - 14}) scale(0.75)`}>
              <GlyphShape standing={gate.standing} colour="var(--on-glass)" knocked="var(--glass)" />
            </g>
          )}
          <text x={gate ? x + 24 : x} y={y} paintOrder="stroke" stroke="var(--glass)" strokeWidth="4">
            {text}
          </text>
        </g>
      ))}
    </g>
  )
}

function width(text: string): number {
  return text.length * 8.6
}

function apart(labels: Label[], lens: Lens): Label[] {
  const kept: Label[] = []
  for (const label of [...labels].sort((a, b) => Math.abs(a.x - lens.nowX) - Math.abs(b.x - lens.nowX))) {
    const right = label.x + width(label.text) + (label.gate ? 24 : 0)
    if (right > lens.width || label.x < 0) continue
    const clear = kept.every(
      (other) => right + 6 < other.x || other.x + width(other.text) + (other.gate ? 24 : 0) + 6 < label.x,
    )
    if (clear) kept.push(label)
  }
  return kept
}

function ClashChip({ gate, x, reader }: { gate: RibbonGate; x: number; reader: Reader }) {
  const text = aboutDegrees(gate.clash!, reader)
  return (
    <g>
      <rect x={x - 25} y="2" width="50" height="25" rx="5" fill="var(--flare2)" />
      <text
        x={x}
        y="21"
        textAnchor="middle"
        fontFamily="var(--text)"
        fontWeight="700"
        fontSize="19"
        fill="var(--glass)"
      >
        {text}
      </text>
    </g>
  )
}

function described(batch: BatchState, gates: RibbonGate[], wall: number | null, reader: Reader): string {
  const said = gates.map(({ finding, standing }) =>
    say('gateCheckStanding', {
      check: checkTitle(finding, reader),
      standing: standingWord(standing, reader).toLowerCase(),
    }),
  )
  return `${batch.method.name}: ${said.join('; ')}${wall === null ? '' : say('discardWall')}`
}
