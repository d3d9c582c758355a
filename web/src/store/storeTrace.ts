import type { Instant, ItemState, UnitState } from '@logged-thermal/core'

export interface ColdPoint {
  at: Instant
  celsius: number
}

/** What is known of the cold around an item: pieces that were read, and since when nobody looked. */
export interface StoreTrace {
  /** Unbroken pieces in one unit each, straight between looks. */
  read: ColdPoint[][]
  /** From the last look of each stay to its end, where no later look tells; the last one may go on. */
  unseen: { from: Instant; to: Instant; celsius: number }[]
  /** Times out on the bench or with the guests: nothing was read there. */
  out: { from: Instant; to: Instant }[]
  /** The worst of each time above the level, with when. */
  warm: ColdPoint[]
}

/** The air an item stood in, from the units it was in. */
export function storeTrace(
  item: ItemState,
  units: readonly UnitState[],
  level: number | null,
  now: Instant,
): StoreTrace {
  const moves = item.moves.filter(({ void: gone }) => !gone).sort((a, b) => a.at - b.at)
  const trace: StoreTrace = { read: [], unseen: [], out: [], warm: [] }
  moves.forEach(({ at, value }, i) => {
    const from = at
    const to = moves[i + 1]?.at ?? now
    if (to <= from) return
    const unit = units.find(({ id }) => id === value.unit)
    if (!unit) {
      trace.out.push({ from, to })
      return
    }
    const piece = airWithin(unit, from, to)
    if (piece.length > 0) trace.read.push(piece)
    if (level !== null) trace.warm.push(...worstOf(piece, level))
    const last = piece.at(-1)
    if (last && last.at < to) trace.unseen.push({ from: last.at, to, celsius: last.celsius })
  })
  return trace
}

/** The looks within a stay, with the air at its beginning where looks lie round it. */
function airWithin({ airs }: UnitState, from: Instant, to: Instant): ColdPoint[] {
  const inside = airs.filter(({ at }) => at >= from && at <= to)
  const points: ColdPoint[] = inside.map(({ at, celsius }) => ({ at, celsius }))
  const before = airs.findLast(({ at }) => at < from)
  const after = airs.find(({ at }) => at > to)
  const first = inside[0] ?? after
  if (before && first) points.unshift({ at: from, celsius: between(before, first, from) })
  else if (before) points.unshift({ at: from, celsius: before.celsius })
  const last = inside.at(-1) ?? before
  if (after && last) points.push({ at: to, celsius: between(last, after, to) })
  return points
}

function between(a: ColdPoint, b: ColdPoint, at: Instant): number {
  return b.at === a.at ? a.celsius : a.celsius + ((b.celsius - a.celsius) * (at - a.at)) / (b.at - a.at)
}

function worstOf(points: readonly ColdPoint[], level: number): ColdPoint[] {
  const found: ColdPoint[] = []
  let worst: ColdPoint | null = null
  for (const point of points) {
    if (point.celsius > level) worst = worst && worst.celsius >= point.celsius ? worst : point
    else if (worst) {
      found.push(worst)
      worst = null
    }
  }
  return worst ? [...found, worst] : found
}

/** Half the thickness of a cold ribbon, px: at its level it touches the rails, over it it bulges. */
export function coldHalf(celsius: number, level: number, rail: number): number {
  if (celsius > level) return Math.min(rail * 1.5, rail + (celsius - level) * rail * 0.14)
  if (celsius > 0) return rail * (0.7 + (0.3 * celsius) / Math.max(level, 1))
  return Math.max(rail * 0.28, rail * (0.7 + (0.42 * celsius) / 20))
}
