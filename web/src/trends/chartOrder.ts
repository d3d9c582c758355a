import type { ChartPoint, Trend } from '@logged-thermal/core'

/**
 * The points of the control chart beside the batches they are of: what is not proven has none, and the chart goes on over it.
 */
export function chartOrder({ points, chart }: Pick<Trend, 'points' | 'chart'>): {
  charted: (ChartPoint | null)[]
  ranges: (number | null)[]
} {
  let next = 0
  const charted = points.map(({ drawn }) => (drawn === null ? null : (chart.points[next++] ?? null)))
  return { charted, ranges: charted.map((point) => point?.range ?? null) }
}
