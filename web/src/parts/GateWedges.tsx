import type { Standing } from '@logged-thermal/core'

export type GateSize = 'quiet' | 'due' | 'rescue'

const HALF: Record<GateSize, number> = { quiet: 10, due: 12, rescue: 17 }

interface Props {
  kind: 'reach' | 'be under'
  standing: Standing
  clash: boolean
  x: number
  middle: number
  /** Half the thickness that the limit leaves, px. */
  slot: number
  /** How far the wedges stand out from the middle, px. */
  reach: number
  size: GateSize
}

/** A gate on a ribbon. Points face in: be under. Flats face in: reach. Missed has slipped or cracked. */
export function GateWedges({ kind, standing, clash, x, middle, slot, reach, size }: Props) {
  const half = HALF[size]
  const solid = standing === 'proven' || standing === 'missed'
  const colour = clash ? 'var(--flare2)' : 'var(--on-glass)'
  const drawn = {
    fill: solid ? colour : 'none',
    stroke: colour,
    strokeWidth: solid ? 0 : 2.4,
    strokeDasharray: standing === 'unproven' ? '4 3' : undefined,
    strokeLinejoin: 'round' as const,
  }
  const wedge = kind === 'be under' ? underWedge : reachWedge
  const slip = standing === 'missed' ? half * 0.45 : 0
  // A missed be-under gate is shut: its wedges have slipped past each other across the band.
  const inner = standing === 'missed' && kind === 'be under' ? -3 : slot
  return (
    <g {...drawn}>
      {([-1, 1] as const).map((side) => (
        <path key={side} d={wedge(x + side * slip, middle, side, inner, reach, half)} />
      ))}
    </g>
  )
}

function underWedge(x: number, middle: number, side: 1 | -1, slot: number, reach: number, half: number): string {
  const [point, base] = [middle + side * slot, middle + side * Math.max(reach, slot + 12)]
  return `M${x - half} ${base}L${x + half} ${base}L${x + 2} ${point}L${x - 2} ${point}Z`
}

function reachWedge(x: number, middle: number, side: 1 | -1, slot: number, _reach: number, half: number): string {
  const [flat, tip] = [middle + side * slot, middle + side * (slot + half)]
  return `M${x - half} ${flat}L${x + half} ${flat}L${x + 4} ${tip}L${x - 4} ${tip}Z`
}
