import { useId } from 'react'
import {
  yOf,
  type BatchState,
  type Finding,
  type Gate,
  type Standing,
  type TraceFrame,
  type Witness,
} from '@logged-thermal/core'
import { limitDegreesOf, logMessages, timeOfDay, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { clockLens, type Lens } from '../parts/lens'
import { HeatGradient } from '../parts/heatBand'
import { GlyphShape } from '../parts/Glyph'
import { clockMarks } from './clockMarks'
import { traceValues, type TraceValue } from './traceValues'
import styles from './batch.module.css'

const say = speaks(logMessages)
const FOOT = 28
/** The words beside a stretch that nobody read are about so wide, px. */
const WORDS = 240

export interface StoodGate extends Gate {
  key: string
  standing: Standing
}

interface Props {
  batch: BatchState
  trace: readonly Witness[]
  gates: readonly StoodGate[]
  findings: readonly Finding[]
  /** Instants of readings that prove what is looked at. */
  ringed: readonly number[]
  frame: TraceFrame
  width: number
  height: number
  now: number
  reader: Reader
}

/** A batch on one clock: what was read, filled by its heat, its gates, and the readings that they rest on, ringed. */
export function TracePane({ batch, trace, gates, findings, ringed, frame, width, height, now, reader }: Props) {
  const id = useId().replaceAll(':', '')
  const floor = height - FOOT
  const lens = clockLens(width, frame.from, frame.to, now)
  const y = (celsius: number) => yOf(celsius, frame, floor)
  const area = trace.map(({ at, celsius }) => `${lens.x(at).toFixed(1)} ${y(celsius).toFixed(1)}`)
  const [first, last] = [trace[0], trace.at(-1)]
  const laid = trace.map((witness) => ({ witness, x: lens.x(witness.at), y: y(witness.celsius) }))
  const under = gates.filter(({ kind }) => kind === 'be under').map(({ at }) => lens.x(at))
  return (
    <svg
      className={styles.trace}
      width={width}
      height={height}
      role="img"
      aria-label={say('trace', { name: batch.method.name, code: batch.code })}
    >
      <defs>
        <HeatGradient id={`read${id}`} bends={[...trace]} lens={lens} />
        <pattern id={`blind${id}`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="4" height="8" fill="var(--glass)" />
        </pattern>
      </defs>
      <Grid frame={frame} lens={lens} y={y} floor={floor} reader={reader} />
      {first && last && (
        <path
          d={`M${lens.x(first.at)} ${floor}L${area.join('L')}L${lens.x(last.at)} ${floor}Z`}
          fill={`url(#read${id})`}
        />
      )}
      {findings.map((finding) => (
        <Blind
          key={finding.check.key}
          finding={finding}
          lens={lens}
          floor={floor}
          fill={`url(#blind${id})`}
          reader={reader}
        />
      ))}
      {gates.map((gate) => (
        <StandingGate key={gate.key} gate={gate} x={lens.x(gate.at)} y={y(gate.celsius)} floor={floor} />
      ))}
      {trace.map((witness) => (
        <line
          key={`${witness.entry} ${witness.at}`}
          x1={lens.x(witness.at)}
          x2={lens.x(witness.at)}
          y1={y(witness.celsius)}
          y2={floor}
          stroke="var(--glass)"
          strokeWidth="2"
        />
      ))}
      {trace.map((witness) => (
        <Reading
          key={`${witness.entry} ${witness.at}`}
          witness={witness}
          ringed={ringed.includes(witness.at)}
          x={lens.x(witness.at)}
          y={y(witness.celsius)}
        />
      ))}
      <Values values={traceValues(batch, laid, ringed, under, width, reader)} />
      {now > frame.from && now < frame.to && (
        <line x1={lens.nowX} x2={lens.nowX} y1="0" y2={floor} stroke="var(--on-glass)" strokeWidth="2.500" />
      )}
    </svg>
  )
}

function Grid({
  frame,
  lens,
  y,
  floor,
  reader,
}: {
  frame: TraceFrame
  lens: Lens
  y: (celsius: number) => number
  floor: number
  reader: Reader
}) {
  const named = apart(frame.levels.map(y), 17)
  return (
    <g>
      {frame.levels.map((celsius) => {
        const at = y(celsius)
        return (
          <g key={celsius}>
            <line x1="0" x2={lens.width} y1={at} y2={at} stroke="var(--glass2)" strokeWidth="1.500" />
            {named.has(at) && (
              <text x="8" y={at - 4} className={styles.quiet}>
                {limitDegreesOf(celsius, reader)}
              </text>
            )}
          </g>
        )
      })}
      {clockMarks(frame.from, frame.to, reader).map(({ at, words }) => (
        <g key={at}>
          <line x1={lens.x(at)} x2={lens.x(at)} y1="0" y2={floor} stroke="var(--glass2)" strokeWidth="1" />
          <text x={lens.x(at)} y={floor + 20} textAnchor="middle" className={styles.quiet}>
            {words}
          </text>
        </g>
      ))}
    </g>
  )
}

/** Those of several places, from the top down, that stand so far from the one named before. */
function apart(places: readonly number[], least: number): Set<number> {
  const named = new Set<number>()
  for (const place of places) if (place - Math.max(-Infinity, ...named) > least) named.add(place)
  return named
}

/** Proving: a double ring. Late and not let count: a hollow diamond. In doubt: a ring. */
function Reading({ witness: { doubts }, ringed, x, y }: { witness: Witness; ringed: boolean; x: number; y: number }) {
  if (doubts.includes('late'))
    return <path d={`M${x} ${y - 9}L${x + 9} ${y}L${x} ${y + 9}L${x - 9} ${y}Z`} className={styles.late} />
  if (ringed)
    return (
      <g className={styles.ring}>
        <circle cx={x} cy={y} r="10" />
        <circle cx={x} cy={y} r="5" />
      </g>
    )
  return <circle cx={x} cy={y} r="5" className={doubts.length ? styles.doubted : styles.dot} />
}

/** What was put right stands struck through beside what it is now. */
function Values({ values }: { values: readonly TraceValue[] }) {
  return values.map(({ entry, x, y, strong, was, text }) => (
    <text key={`${entry} ${x}`} x={x} y={y} textAnchor="middle" className={strong ? styles.strong : styles.value}>
      {was.map((each, i) => (
        <tspan key={i} textDecoration="line-through" className={styles.quiet}>
          {each}{' '}
        </tspan>
      ))}
      {text}
    </text>
  ))
}

/** Under a limit by then: a wedge from above whose point is on it. Reached: one from below whose flat is. */
function StandingGate({
  gate: { kind, standing },
  x,
  y,
  floor,
}: {
  gate: StoodGate
  x: number
  y: number
  floor: number
}) {
  const solid = standing === 'proven' || standing === 'missed'
  const slip = standing === 'missed' ? 8 : 0
  const under = kind === 'be under'
  const d = under
    ? `M${x - 17 + slip} 0H${x + 17 + slip}L${x + 3} ${y}H${x - 3}Z`
    : `M${x - 9} ${y}H${x + 9}L${x + 4} ${floor}H${x - 4}Z`
  return (
    <g>
      <path
        d={d}
        fill={solid ? 'var(--on-glass)' : 'none'}
        stroke="var(--on-glass)"
        strokeWidth="2.200"
        strokeDasharray={standing === 'unproven' ? '6 4' : undefined}
        fillOpacity={under ? 1 : 0.9}
      />
      <g transform={`translate(${x + (under ? slip : 0) - 10} ${under ? 8 : Math.min(floor - 26, y + 8)}) scale(0.83)`}>
        <GlyphShape
          standing={standing}
          colour={solid ? 'var(--glass)' : 'var(--on-glass)'}
          knocked={solid ? 'var(--on-glass)' : 'var(--glass)'}
        />
      </g>
    </g>
  )
}

/** Nobody read while it passed: the stretch in which it did. */
function Blind({
  finding: { standing, because },
  lens,
  floor,
  fill,
  reader,
}: {
  finding: Finding
  lens: Lens
  floor: number
  fill: string
  reader: Reader
}) {
  if (standing !== 'unproven' || because.code !== 'somewhere between' || because.from === null) return null
  const [from, to] = [lens.x(because.from), lens.x(because.to)]
  return (
    <g>
      <rect x={from} y="0" width={Math.max(2, to - from)} height={floor} fill={fill} opacity="0.75" />
      <text
        x={to + WORDS > lens.width ? from - 8 : to + 8}
        y="52"
        textAnchor={to + WORDS > lens.width ? 'end' : 'start'}
        className={styles.quiet}
      >
        {say('nobodyReadBetween', { from: timeOfDay(because.from, reader), to: timeOfDay(because.to, reader) })}
      </text>
    </g>
  )
}
