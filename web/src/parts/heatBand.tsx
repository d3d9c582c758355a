import type { Lens } from './lens'
import type { Bend } from './ribbonTrace'
import { colourOf, thicknessOf } from './temperatureScale'

/** The colours of what was read, along the band. */
export function HeatGradient({ id, bends, lens }: { id: string; bends: readonly Bend[]; lens: Lens }) {
  const first = bends[0]
  const last = bends.at(-1)
  if (!first || !last) return null
  const [from, to] = [lens.x(first.at), Math.max(lens.x(first.at) + 1, lens.x(last.at))]
  const count = Math.max(2, Math.ceil((to - from) / 7))
  const stops = sampled(bends, lens, from, to, count)
  return (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={from} x2={to} y1="0" y2="0">
      {stops.map(({ x, celsius }, i) => (
        <stop key={i} offset={(x - from) / (to - from)} stopColor={colourOf(celsius)} />
      ))}
    </linearGradient>
  )
}

/** Temperatures along the band, evenly spaced in pixels, linear in time between bends. */
function sampled(
  bends: readonly Bend[],
  lens: Lens,
  from: number,
  to: number,
  count: number,
): { x: number; celsius: number }[] {
  const points = bends.map(({ at, celsius }) => ({ x: lens.x(at), celsius }))
  return Array.from({ length: count + 1 }, (_, i) => {
    const x = from + ((to - from) * i) / count
    const next = points.findIndex((point) => point.x >= x)
    const right = next < 0 ? points.at(-1)! : points[next]!
    const left = points[Math.max(0, next < 0 ? points.length - 1 : next - 1)]!
    const share = right.x > left.x ? Math.max(0, Math.min(1, (x - left.x) / (right.x - left.x))) : 1
    return { x, celsius: left.celsius + share * (right.celsius - left.celsius) }
  })
}

/** The band between two instants: its area, and its edges alone. */
export function bandPath(
  bends: readonly Bend[],
  lens: Lens,
  fromAt: number,
  toAt: number,
  middle: number,
  full: number,
): { area: string; edges: string } {
  const last = bends.at(-1)!
  const from = lens.x(fromAt)
  const to = Math.max(from + 2, lens.x(Math.min(toAt, last.at)))
  const points = sampled(bends, lens, from, to, Math.max(2, Math.ceil((to - from) / 2)))
  const edge = (side: 1 | -1) =>
    points.map(({ x, celsius }) => `${x.toFixed(1)} ${(middle + (side * thicknessOf(celsius) * full) / 2).toFixed(1)}`)
  const [top, bottom] = [edge(-1), edge(1)]
  return {
    area: `M${top.join('L')}L${[...bottom].reverse().join('L')}Z`,
    edges: `M${top.join('L')}M${bottom.join('L')}`,
  }
}
