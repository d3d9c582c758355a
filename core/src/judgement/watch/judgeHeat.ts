import { SECOND, type Instant } from '../../ground/instant'
import type { HoldRow } from '../../rules/compared'
import { requireTemperature, SAME_DEGREE } from '../../ground/temperature'
import type { Bounded, Reading } from '../../physics/trace/reading'
import type { Trace } from '../../physics/trace/trace'
import { tracksOf, type Track } from '../../physics/trace/tracks'
import { BLIND_MS, HoldWatch, type Held } from './holdWatch'
import { worse, worst, type Standing } from '../../ledger/standing'

export interface RowStanding {
  row: HoldRow
  held: Bounded
  standing: Standing
}

export interface HeatStanding {
  standing: Standing
  /** The hottest row that is proven; null while none is. */
  row: HoldRow | null
  rows: RowStanding[]
}

/**
 * Whether a heat limit is met. Any one row is enough; rows are never interpolated; a row needs a continuous hold. Two
 * probes in one pot, and the portions of a split batch, are judged apart, and the worst counts.
 * @param readings all instruments and places; only `core` counts, and none after `closedAt`
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
  return worst(tracksOf(readings).map((track) => heatOfTrack(track, rows, closedAt)))
}

/** How a floor stands from what is known of its rows. */
export function heatOf(held: Held, closedAt: Instant | null): HeatStanding {
  const atMost = closedAt === null ? null : held.mostAt(closedAt)
  const rows = held.rows.map(({ row, held: bounds }, i): RowStanding => {
    const most = atMost ? Math.max(bounds.most, atMost[i]!) : bounds.most
    const reached = held.highest !== null && held.highest.celsius >= row.celsius - SAME_DEGREE
    return {
      row,
      held: { ...bounds, most },
      standing: standingOfRow(row, { ...bounds, most }, reached, held, closedAt),
    }
  })
  const proven = rows.filter(({ standing }) => standing === 'proven').sort((a, b) => b.row.celsius - a.row.celsius)[0]
  return { standing: standingOf(rows, held, closedAt), row: proven?.row ?? null, rows }
}

function heatOfTrack({ all, sure }: Track, rows: readonly HoldRow[], closedAt: Instant | null): HeatStanding {
  const judge = (trace: Trace): HeatStanding => {
    const watch = new HoldWatch(rows, { from: -Infinity, to: closedAt ?? Infinity })
    watch.take(trace, 0, trace.length)
    return heatOf(watch.closed().held, closedAt)
  }
  const judged = judge(all)
  if (all === sure) return judged
  const beyondDoubt = judge(sure)
  return worse(judged.standing, beyondDoubt.standing) === judged.standing ? judged : beyondDoubt
}

function standingOf(rows: readonly RowStanding[], { last }: Held, closedAt: Instant | null): Standing {
  if (rows.some(({ standing }) => standing === 'proven')) return 'proven'
  if (closedAt === null) return 'open'
  if (rows.length === 0 || last === null) return 'unproven'
  return rows.every(({ standing }) => standing === 'missed') ? 'missed' : 'unproven'
}

function standingOfRow(
  { seconds }: HoldRow,
  { least, most }: Bounded,
  reached: boolean,
  { last, longestGap }: Held,
  closedAt: Instant | null,
): Standing {
  if (seconds === 0 ? reached : least >= seconds * SECOND) return 'proven'
  if (closedAt === null) return 'open'
  if (last === null) return 'unproven'
  const blind = Math.max(longestGap, closedAt - last.at) > BLIND_MS
  return (seconds === 0 ? blind : most >= seconds * SECOND) ? 'unproven' : 'missed'
}
