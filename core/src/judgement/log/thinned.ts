import type { Instant } from '../../ground/instant'

/**
 * A trace in short: the first, the warmest, the coldest and the last reading of each of `most / 4` stretches of time alike.
 * @param most a multiple of 4; a trace with no more readings is left as it is
 */
export function thinned<R extends { at: Instant; celsius: number }>(trace: readonly R[], most: number): R[] {
  const [first, last] = [trace[0], trace.at(-1)]
  if (!first || !last || trace.length <= most) return [...trace]
  const stretches = most / 4
  const length = (last.at - first.at) / stretches
  const kept = new Set<R>()
  for (let stretch = 0, from = 0; stretch < stretches; stretch++) {
    const end = stretch === stretches - 1 ? Infinity : first.at + (stretch + 1) * length
    let to = from
    while (to < trace.length && trace[to]!.at <= end) to++
    const own = trace.slice(from, to)
    from = to
    if (own.length === 0) continue
    const warmest = own.reduce((a, b) => (b.celsius > a.celsius ? b : a))
    const coldest = own.reduce((a, b) => (b.celsius < a.celsius ? b : a))
    for (const reading of [own[0]!, warmest, coldest, own.at(-1)!]) kept.add(reading)
  }
  return trace.filter((reading) => kept.has(reading))
}
