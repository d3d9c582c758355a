import { useId } from 'react'
import { passBefore, type InstrumentCheck, type InstrumentState } from '@logged-thermal/core'
import { clock, difference, lookBackMessages, type Reader } from '@logged-thermal/wording'
import type { LookedBackBatch } from '../app/api'
import { speaks } from '../kit/language'
import { clockLens } from '../parts/lens'
import { colourOf } from '../parts/temperatureScale'
import { useWidth } from '../parts/useWidth'
import styles from './lookBack.module.css'

const say = speaks(lookBackMessages)

const HEIGHT = 88

interface Props {
  instrument: InstrumentState
  check: InstrumentCheck
  batches: readonly LookedBackBatch[]
  reader: Reader
}

/** From its last pass to the failure: a hatched ribbon, flat as it was found then, and a stroke for each batch. */
export function FailedLane({ instrument, check, batches, reader }: Props) {
  const id = useId().replaceAll(':', '')
  const [ref, width] = useWidth<HTMLDivElement>(920)
  const { code, history, tolerance } = instrument
  const passed = passBefore(history, check.at)
  const first = Math.min(check.from - 60_000, passed?.at ?? Infinity, ...batches.map(({ startedAt }) => startedAt))
  const lens = clockLens(width - 120, first, check.from, check.from)
  const y = (error: number) => 34 - Math.max(-1.5, Math.min(1.5, error / tolerance)) * 14
  const was = passed ? difference(passed.error, reader, 'told') : ''
  return (
    <div className={styles.failed}>
      <div>
        <strong>{say('failedLane', { code, how: say(`failedHow_${check.against.kind}`) })}</strong>
        <small>
          {passed ? say('passedWhen', { time: clock(passed.at, reader), degrees: was }) : say('neverPassed')}
        </small>
      </div>
      <div ref={ref}>
        <svg width={width} height={HEIGHT} role="img" aria-label={say('batchesRead', { count: batches.length })}>
          <defs>
            <pattern id={id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="3" height="7" fill={colourOf(0)} />
            </pattern>
          </defs>
          <line
            x1="0"
            x2={width - 110}
            y1={y(tolerance) - 5}
            y2={y(tolerance) - 5}
            stroke="var(--on-glass2)"
            strokeWidth="2"
            strokeDasharray="2 5"
          />
          <rect
            x={lens.x(first)}
            width={lens.nowX - lens.x(first)}
            y={y(passed?.error ?? 0) - 5}
            height="10"
            fill={`url(#${id})`}
          />
          {batches.map(({ id: of, startedAt, risk }) => (
            <line
              key={of}
              x1={lens.x(startedAt)}
              x2={lens.x(startedAt)}
              y1={risk === 'holds' ? 62 : 54}
              y2="74"
              stroke="var(--on-glass)"
              strokeWidth={risk === 'holds' ? 2.5 : 6}
            />
          ))}
          <circle cx={lens.nowX} cy={y(check.error)} r="8" fill="none" stroke="var(--on-glass)" strokeWidth="4" />
          <text x={lens.nowX + 18} y={y(check.error) + 9} className="loupe-number">
            {difference(check.error, reader, 'told')}
          </text>
          <text x={width - 2} y={HEIGHT - 14} textAnchor="end" className="loupe-word">
            {say('failedWhen', { time: clock(check.at, reader) })}
          </text>
        </svg>
      </div>
    </div>
  )
}
