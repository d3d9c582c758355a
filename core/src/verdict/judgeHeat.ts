import { MINUTE, SECOND, type Instant } from '../calendar/instant'
import type { HoldRow } from '../limits/compared'
import { requireTemperature } from '../quantity/temperature'
import { isAtOrAbove, longestOf } from '../trace/longestAtOrAbove'
import { inOrder, type Bounded, type Point, type Reading } from '../trace/reading'
import type { Standing } from './standing'

export interface RowStanding {
  row: HoldRow
  held: Bounded
  standing: Standing
}

export interface HeatStanding {
  standing: Standing
  /** The row that is proven, the hottest first; null while none is. */
  row: HoldRow | null
  rows: RowStanding[]
}

/** Longer than this between two readings, and the pot may have been anywhere meanwhile, ms. */
export const BLIND_MS = 2 * MINUTE

/**
 * Whether a heat limit is met. Any one row is enough; rows are never interpolated; a row needs a continuous hold.
 * @param readings all instruments and places; only `core` counts
 * @param rows the published rows, °C and s
 * @param closedAt when the step ended; null while it runs
 */
export function judgeHeat(
  readings: readonly Reading[],
  rows: readonly HoldRow[],
  closedAt: Instant | null,
): HeatStanding {
  for (const [i, row] of rows.entries()) {
    requireTemperature(`rows[${i}].celsius`, row.celsius)
    if (!(row.seconds >= 0)) throw new RangeError(`rows[${i}].seconds: ${row.seconds} is not a duration`)
  }
  if (closedAt !== null && !Number.isFinite(closedAt)) throw new RangeError(`closedAt: ${closedAt} is not an instant`)
  const points = inOrder(
    readings.filter((reading) => reading.where === 'core'),
    'colder',
  )
  const judged = rows.map((row) => judgeRow(points, row, closedAt))
  const proven = judged.filter(({ standing }) => standing === 'proven').sort((a, b) => b.row.celsius - a.row.celsius)[0]
  return { standing: standingOf(judged, points.length, closedAt), row: proven?.row ?? null, rows: judged }
}

/** The longest interval between readings that still proves a hold of this length, ms. */
export function provingGap(holdSeconds: number): number {
  return Math.max(30 * SECOND, Math.min((holdSeconds * SECOND) / 2, 5 * MINUTE))
}

function standingOf(rows: RowStanding[], readings: number, closedAt: Instant | null): Standing {
  if (rows.some(({ standing }) => standing === 'proven')) return 'proven'
  if (closedAt === null) return 'open'
  if (rows.length === 0 || readings === 0) return 'unproven'
  return rows.every(({ standing }) => standing === 'missed') ? 'missed' : 'unproven'
}

function judgeRow(points: readonly Point[], row: HoldRow, closedAt: Instant | null): RowStanding {
  const { least, likely } = longestOf(points, row.celsius, provingGap(row.seconds))
  const most = longestPossible(points, row.celsius, closedAt)
  const held = { least, likely: Math.max(least, likely), most: Math.max(least, likely, most) }
  const reached = points.some((point) => isAtOrAbove(point, row.celsius))
  const proven = row.seconds === 0 ? reached : held.least >= row.seconds * SECOND
  if (proven) return { row, held, standing: 'proven' }
  if (closedAt === null) return { row, held, standing: 'open' }
  if (points.length === 0) return { row, held, standing: 'unproven' }
  const possible = row.seconds === 0 ? hasBlindStretch(points, closedAt) : held.most >= row.seconds * SECOND
  return { row, held, standing: possible ? 'unproven' : 'missed' }
}

/** At most: blind intervals count whole, and so does the stretch from the last reading to the close. */
function longestPossible(points: readonly Point[], level: number, closedAt: Instant | null): number {
  const last = points.at(-1)
  if (!last || closedAt === null || closedAt <= last.at) return longestOf(points, level, BLIND_MS).most
  // Taken to be at the level at the close, the last stretch counts whole whichever side it began on.
  return longestOf([...points, { at: closedAt, celsius: level }], level, BLIND_MS).most
}

function hasBlindStretch(points: readonly Point[], closedAt: Instant): boolean {
  const times = [...points.map(({ at }) => at).filter((at) => at <= closedAt), closedAt]
  return times.some((at, i) => i > 0 && at - times[i - 1]! > BLIND_MS)
}
