import { celsiusOf, type Typed } from '@logged-thermal/core'
import { difference, instrumentCheckMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { colourOf } from '../parts/temperatureScale'

const say = speaks(instrumentCheckMessages)

const WIDTH = 360
const HEIGHT = 260
const X = [90, 180, 270]
const MIDDLE = 128
const RAIL = 62
const HALF = 7

interface Props {
  shown: readonly Typed[]
  /** What it should show, °C. */
  reference: number
  tolerance: number
  reader: Reader
}

/** The three readings as errors between the lines that it passes between. */
export function ErrorScale({ shown, reference, tolerance, reader }: Props) {
  const errors = shown.map((typed) => celsiusOf(typed) - reference)
  const y = (error: number) => MIDDLE - Math.max(-1.7, Math.min(1.7, error / tolerance)) * (RAIL - HALF)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say('scaleOf', { list: errors.map((error) => difference(error, reader, 'told')).join(', ') })}
      style={{ width: '100%', height: '100%' }}
    >
      {[-1, 1].map((side) => (
        <g key={side}>
          <line
            x1="50"
            x2={WIDTH - 10}
            y1={MIDDLE - side * RAIL}
            y2={MIDDLE - side * RAIL}
            stroke="var(--on-glass)"
            strokeWidth="2"
            strokeDasharray="2 5"
          />
          <text x="42" y={MIDDLE - side * RAIL + 6} textAnchor="end" className="picture-small">
            {difference(side * tolerance, reader, 'told')}
          </text>
        </g>
      ))}
      <line x1="50" x2={WIDTH - 10} y1={MIDDLE} y2={MIDDLE} stroke="var(--pane-rule)" strokeWidth="1.500" />
      <text x="42" y={MIDDLE + 6} textAnchor="end" className="picture-small">
        0°
      </text>
      <text x="200" y={MIDDLE + RAIL - 10} textAnchor="middle" className="picture-small">
        {say('passesBetween')}
      </text>
      {X.map((x, i) => {
        const error = errors[i]
        if (error === undefined)
          return (
            <line
              key={x}
              x1={x}
              x2={x}
              y1={MIDDLE - RAIL}
              y2={MIDDLE + RAIL}
              stroke="var(--on-glass2)"
              strokeWidth="2"
              strokeDasharray={i === errors.length ? '' : '3 5'}
            />
          )
        const at = y(error)
        return (
          <g key={x}>
            <rect x={x - 40} width="80" y={at - HALF} height={HALF * 2} fill={colourOf(0)} />
            <text x={x} y={at < MIDDLE ? at + 32 : at - 16} textAnchor="middle" className="picture-number">
              {difference(error, reader, 'told')}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
