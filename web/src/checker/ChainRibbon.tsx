import { digitsOf } from '@logged-thermal/wording'

const BLOCK = 18
const GAP = 4
const UNIT = 2.2
const MIDDLE = 15 * UNIT
const HEIGHT = 2 * MIDDLE

/** A hash to look at: a block a byte, its high digit up and its low digit down. An aid to the eye; the signs decide. */
export function ChainRibbon({ hash }: { hash: string }) {
  const bytes = digitsOf(hash)
  return (
    <svg viewBox={`0 0 ${bytes.length * (BLOCK + GAP)} ${HEIGHT}`} width="100%" role="img" aria-label={hash}>
      {bytes.map(([high, low], i) => {
        const [up, down] = [high * UNIT, low * UNIT]
        return (
          <rect
            key={i}
            x={i * (BLOCK + GAP)}
            y={MIDDLE - up}
            width={BLOCK}
            height={Math.max(up + down, 1)}
            fill="currentColor"
          />
        )
      })}
    </svg>
  )
}
