import type { Inside } from '@logged-thermal/core'

const HEIGHT = 72
const WIDTH = 130
/** Metres across the picture: vessels stand beside each other at one scale. */
const ACROSS = 0.6

/** A vessel from the side with what is in it, to scale: depth is what decides. */
export function VesselPicture({ inside, depth, colour }: { inside: Inside; depth: number; colour: string }) {
  const scale = WIDTH / ACROSS
  const width = scale * (inside.kind === 'round' ? inside.diameter : inside.length)
  const high = Math.min(HEIGHT - 6, scale * inside.height)
  const filled = Math.min(high, scale * depth)
  const left = (WIDTH - width) / 2
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden="true" style={{ flex: 'none' }}>
      <rect x={left} y={HEIGHT - 3 - filled} width={width} height={filled} fill={colour} />
      <path
        d={`M${left - 7} ${HEIGHT - 3 - high}h7v${high}h${width}v${-high}h7`}
        fill="none"
        stroke="currentColor"
        strokeWidth="4"
        strokeLinejoin="round"
      />
    </svg>
  )
}
