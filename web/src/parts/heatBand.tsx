import type { Lens } from './lens'
import type { Bend } from './ribbonTrace'
import { colourOf, coloursBetween, thicknessOf } from './temperatureScale'

/** The colours of what was read, along the band. */
export function HeatGradient({ id, bends, lens }: { id: string; bends: readonly Bend[]; lens: Lens }) {
  const first = bends[0]
  const last = bends.at(-1)
  if (!first || !last) return null
  const [from, to] = [lens.x(first.at), Math.max(lens.x(first.at) + 1, lens.x(last.at))]
  return (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={from} x2={to} y1="0" y2="0">
      {gradientStops(bends, lens).map(({ x, celsius }, i) => (
        <stop key={i} offset={(x - from) / (to - from)} stopColor={colourOf(celsius)} />
      ))}
    </linearGradient>
  )
}

interface Point {
  x: number
  celsius: number
}

/** Where the colour bends, pixels and °C: at each bend of the band, and at each stop of the colour scale that it passes between two. */
export function gradientStops(bends: readonly Bend[], lens: Lens): Point[] {
  return bends.flatMap(({ at, celsius }, i) => {
    const here = { x: lens.x(at), celsius }
    const before = bends[i - 1]
    if (!before) return [here]
    const from = lens.x(before.at)
    const passed = coloursBetween(before.celsius, celsius).map((stop) => ({
      x: from + ((here.x - from) * (stop - before.celsius)) / (celsius - before.celsius),
      celsius: stop,
    }))
    return [...passed, here]
  })
}

/** Temperatures along the band, evenly spaced in pixels, linear between bends. */
function sampled(bends: readonly Bend[], lens: Lens, from: number, to: number, count: number): Point[] {
  const points = bends.map(({ at, celsius }) => ({ x: lens.x(at), celsius }))
  let next = 0
  return Array.from({ length: count + 1 }, (_, i) => {
    const x = from + ((to - from) * i) / count
    while (next < points.length - 1 && points[next]!.x < x) next++
    const right = points[next]!
    const left = points[Math.max(0, next - 1)]!
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
  const points = sampled(bends, lens, from, to, Math.max(2, Math.ceil((to - from) / STEP))).map(({ x, celsius }) => ({
    x: x.toFixed(1),
    half: (thicknessOf(celsius) * full) / 2,
  }))
  const edge = (side: 1 | -1) => points.map(({ x, half }) => `${x} ${(middle + side * half).toFixed(1)}`)
  const [top, bottom] = [edge(-1), edge(1)]
  return {
    area: `M${top.join('L')}L${[...bottom].reverse().join('L')}Z`,
    edges: `M${top.join('L')}M${bottom.join('L')}`,
  }
}

/** Its edge bends so often, px. */
const STEP = 3
