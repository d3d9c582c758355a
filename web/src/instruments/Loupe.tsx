import type { LookedBack } from '@logged-thermal/core'
import { degrees, limitDegreesOf, lookBackMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { colourOf } from '../parts/temperatureScale'

const say = speaks(lookBackMessages)

const WIDTH = 200
const HEIGHT = 72
/** Pixels a degree. */
const DEGREE = 13.5

/** One reading under a glass: as it was shown, as it may have been, and the limit it hangs on. */
export function Loupe({
  reading,
  limit,
  reader,
}: {
  reading: NonNullable<LookedBack['reading']>
  limit: number
  reader: Reader
}) {
  const { shown, shifted } = reading
  const middle = HEIGHT / 2
  const y = (celsius: number) => Math.max(10, Math.min(HEIGHT - 10, middle - (celsius - limit) * DEGREE))
  const sense = shifted > shown ? 'under' : 'reach'
  const words = { shown: degrees(shown, reader, sense), shifted: degrees(shifted, reader, sense) }
  const x = 108
  const above = shifted > shown
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say('shownAs', { shown: words.shown, shifted: words.shifted, limit: limitDegreesOf(limit, reader) })}
    >
      <rect width={WIDTH} height={HEIGHT} rx="8" fill="var(--glass)" />
      <line x1="48" x2="138" y1={middle} y2={middle} stroke="var(--on-glass)" strokeWidth="3" />
      <text x="42" y={middle + 6} textAnchor="end" className="loupe-word">
        {limitDegreesOf(limit, reader)}
      </text>
      <line x1={x} x2={x} y1={y(shown)} y2={y(shifted)} stroke={colourOf(shifted)} strokeWidth="9" />
      <circle cx={x} cy={y(shown)} r="6.500" fill="var(--glass)" stroke="var(--on-glass)" strokeWidth="3" />
      <line x1={x - 13} x2={x + 13} y1={y(shifted)} y2={y(shifted)} stroke="var(--on-glass)" strokeWidth="4" />
      <text x={WIDTH - 8} y={above ? 24 : HEIGHT - 10} textAnchor="end" className="loupe-number">
        {words.shifted}
      </text>
      <text x={WIDTH - 8} y={above ? HEIGHT - 12 : 22} textAnchor="end" className="loupe-word">
        {words.shown}
      </text>
    </svg>
  )
}
