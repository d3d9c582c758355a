import type { Standing } from '@logged-thermal/core'

/** The mark of a standing: ring, ticked disc, broken diamond, crossed square. Shape alone tells it. */
export function Glyph({
  standing,
  size = 24,
  on = 'ink',
}: {
  standing: Standing
  size?: number
  on?: 'ink' | 'glass'
}) {
  const colour = on === 'ink' ? 'var(--ink)' : 'var(--on-glass)'
  const knocked = on === 'ink' ? 'var(--milk)' : 'var(--glass)'
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true" style={{ flex: 'none' }}>
      <GlyphShape standing={standing} colour={colour} knocked={knocked} />
    </svg>
  )
}

/** The same inside another drawing, in a box of 24 by 24. */
export function GlyphShape({ standing, colour, knocked }: { standing: Standing; colour: string; knocked: string }) {
  switch (standing) {
    case 'open':
      return <circle cx="12" cy="12" r="8.500" fill="none" stroke={colour} strokeWidth="3.600" />
    case 'proven':
      return (
        <g>
          <circle cx="12" cy="12" r="11" fill={colour} />
          <path d="M6.500 12.500 L10.500 16.500 L17.500 8" fill="none" stroke={knocked} strokeWidth="3" />
        </g>
      )
    case 'missed':
      return (
        <g>
          <rect x="2" y="2" width="20" height="20" fill={colour} />
          <path d="M7 7 L17 17 M17 7 L7 17" stroke={knocked} strokeWidth="3" />
        </g>
      )
    case 'unproven':
      return (
        <g>
          <path
            d="M12 1.500 L22.500 12 L12 22.500 L1.500 12 Z"
            fill="none"
            stroke={colour}
            strokeWidth="2.200"
            strokeDasharray="4 2.600"
          />
          <text x="12" y="17" textAnchor="middle" fontSize="14" fontWeight="800" fill={colour} fontFamily="var(--text)">
            ?
          </text>
        </g>
      )
  }
}
