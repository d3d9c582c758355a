import { SECOND, type Instant } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import { rowsOf, type HoldRow } from '../../rules/compared'
import type { HoldRule } from '../../rules/rule'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Because, Finding, Rung } from '../finding'
import { heatOf } from '../watch/judgeHeat'
import { HoldWatch, provingGap, type Held } from '../watch/holdWatch'
import { findingOf, type CheckWatch, type Span } from './checkWatch'
import { silentFrom } from './silence'

/** A hold is read so long before the longest gap that counts: hands need it, ms. House figure. */
export const READ_BEFORE = 8 * SECOND
/** A reading at the very end of a hold would miss it by how far two tablets' clocks are apart. */
const CLOCKS_APART = SECOND

/**
 * How a cook floor stands. Silence never proves it: a countdown ends in "read again".
 * @param ceiling above this it spoils, °C: rows over it are no way; null: it has none
 */
export function watchFloor(check: Check, rule: HoldRule, span: Span, ceiling: number | null): CheckWatch {
  const rows = rowsOf(rule, check)
  const quality = check.limit.force === 'quality'
  const watch = new HoldWatch(rows, span.window, span.heat, quality)
  const longest = Math.max(0, ...rows.map(({ seconds }) => seconds)) * SECOND
  return {
    take: (trace, from, to) => watch.take(trace, from, to),
    provenAt: () => watch.closed().held.proof?.to ?? Infinity,
    find(now): Finding {
      const { held, closedAt } = watch.closed()
      const silentAt = silentFrom(span, held.last?.at ?? null, longest)
      const found = heatOf(held, closedAt).standing
      const standing = found === 'open' && now > silentAt ? 'unproven' : found
      const ladder = rungs(held, quality)
      const lead = standing === 'open' ? leadOf(ladder, ceiling) : null
      const { because, deciding } = reason(standing, held, span.begun, lead, quality)
      return findingOf(check, span, {
        standing,
        because,
        need:
          standing === 'proven' || standing === 'missed'
            ? null
            : { code: 'hold', rows: rows.map((row) => ({ row, everyMs: provingGap(row.seconds, quality) })) },
        ladder,
        deciding,
        readBy: lead ? readByOf(lead, quality) : null,
        nextAt: standing === 'open' ? silentAt + 1 : null,
      })
    },
  }
}

/** How many readings a row takes from the first at it, the last one at its end; a row that is at once takes one. */
export function readingsOf({ seconds }: Pick<HoldRow, 'seconds'>, quality = false): number {
  return seconds === 0 ? 1 : 1 + Math.ceil((seconds * SECOND) / (provingGap(seconds, quality) - READ_BEFORE))
}

function rungs({ rows, last }: Held, quality: boolean): Rung[] {
  if (!last) return []
  return rows.map(({ row, since }) => {
    const heldMs = since === null ? 0 : last.at - since
    const moreMs = Math.max(0, row.seconds * SECOND - heldMs)
    const gap = provingGap(row.seconds, quality) - READ_BEFORE
    const readings = since === null ? readingsOf(row, quality) : Math.ceil(moreMs / gap)
    return { row, since, lastAt: last.at, moreMs, readings }
  })
}

/** Of the rows that the pot is at, and that do not spoil it, the one with the fewest readings left; null while it is under all. */
function leadOf(ladder: readonly Rung[], ceiling: number | null): Rung | null {
  const held = ladder.filter(({ since }) => since !== null)
  const kept = held.filter(({ row }) => ceiling === null || row.celsius <= ceiling + SAME_DEGREE)
  const [lead] = (kept.length ? kept : held).sort((a, b) => a.readings - b.readings || a.moreMs - b.moreMs)
  return lead ?? null
}

/** By when a hold has to be read for it to count on: at its end, or before the longest gap that counts is over. */
function readByOf({ row, lastAt, moreMs }: Rung, quality: boolean): Instant {
  return lastAt + Math.min(moreMs + CLOCKS_APART, provingGap(row.seconds, quality) - READ_BEFORE)
}

function reason(
  standing: Finding['standing'],
  held: Held,
  begun: boolean,
  lead: Rung | null,
  quality: boolean,
): { because: Because; deciding: number[] } {
  const { last, highest, proof } = held
  if (!last || !highest) {
    if (standing === 'unproven') return { because: { code: 'never read' }, deciding: [] }
    return { because: { code: 'nothing read', waitingFor: begun ? 'reading' : 'combined' }, deciding: [] }
  }
  if (standing === 'proven' && proof) {
    const { row, from, to, lowest, highest: warmest } = proof
    return row.seconds === 0
      ? { because: { code: 'reached', celsius: lowest, at: to, row }, deciding: [to] }
      : { because: { code: 'held', lowest, highest: warmest, heldMs: to - from, row }, deciding: [from, to] }
  }
  if (standing === 'missed')
    return { because: { code: 'closed too cold', highest: highest.celsius }, deciding: [highest.at] }
  if (standing === 'unproven')
    return {
      because: { code: 'closed unread', highest: highest.celsius, unread: unreadOf(held, quality) },
      deciding: [highest.at],
    }
  if (lead?.since != null) {
    const { row, since, moreMs } = lead
    return { because: { code: 'holding', celsius: last.celsius, row, since, moreMs }, deciding: [last.at] }
  }
  return { because: { code: 'not there yet', celsius: last.celsius, at: last.at }, deciding: [last.at] }
}

/** The row that was held without a look for too long: the shortest such stretch, which a reading more would have proven. */
function unreadOf({ rows }: Held, quality: boolean): { row: HoldRow; ms: number; atMostMs: number } | null {
  const [row] = rows.filter(({ unread }) => unread > 0).sort((a, b) => a.unread - b.unread)
  return row ? { row: row.row, ms: row.unread, atMostMs: provingGap(row.row.seconds, quality) } : null
}
