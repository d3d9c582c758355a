import { SECOND } from '../../calendar/instant'
import type { Check } from '../../limits/checksFor'
import { rowsOf } from '../../limits/compared'
import type { HoldRule } from '../../limits/rule'
import { HoldWatch, provingGap, type Held } from '../watch/holdWatch'
import { Twice } from '../watch/twice'
import { doubtsOf } from '../doubt'
import type { Because, Finding, Rung } from '../finding'
import { heatOf } from '../judgeHeat'
import { worse } from '../standing'
import { findingOf, proofDenied, type CheckWatch, type Span } from './checkWatch'

/** How a cook floor stands. Silence never proves it: a countdown ends in "read again". */
export function watchFloor(check: Check, rule: HoldRule, span: Span): CheckWatch {
  const rows = rowsOf(rule, check)
  const quality = check.limit.force === 'quality'
  const watch = new Twice((trusted) => new HoldWatch(rows, { ...span.window, trusted }, span.heat, quality))
  const stand = ({ held, closedAt }: ReturnType<HoldWatch['closed']>) => heatOf(held, closedAt).standing
  return {
    take: (trace, from, to) => watch.take(trace, from, to),
    find(): Finding {
      const closed = watch.all.closed()
      const all = stand(closed)
      const standing = watch.trusted ? worse(all, stand(watch.trusted.closed())) : all
      const doubts = proofDenied(all, standing) ? doubtsOf(watch.all.doubt) : []
      const { because, deciding } = reason(standing, closed.held, span.begun)
      return findingOf(check, span, {
        standing,
        because: doubts.length ? { code: 'doubtful', doubts } : because,
        need:
          standing === 'proven' || standing === 'missed'
            ? null
            : { code: 'hold', rows: rows.map((row) => ({ row, everyMs: provingGap(row.seconds, quality) })) },
        ladder: rungs(closed.held),
        deciding,
        doubts,
      })
    },
  }
}

function rungs({ rows, last }: Held): Rung[] {
  if (!last) return []
  return rows.map(({ row, since }) => {
    const heldMs = since === null ? 0 : last.at - since
    return { row, since, lastAt: last.at, moreMs: Math.max(0, row.seconds * SECOND - heldMs) }
  })
}

/** The row that closes first if the pot stays as it is, and what it still needs; null while it is under every row. */
function holding(held: Held): (Because & { code: 'holding' }) | null {
  const [next] = rungs(held)
    .filter(({ since }) => since !== null)
    .sort((a, b) => a.moreMs - b.moreMs)
  if (!next || next.since === null || !held.last) return null
  const { row, since, moreMs } = next
  return { code: 'holding', celsius: held.last.celsius, row, since, moreMs }
}

function reason(standing: Finding['standing'], held: Held, begun: boolean): { because: Because; deciding: number[] } {
  const { last, highest, proof } = held
  if (!last || !highest)
    return { because: { code: 'nothing read', waitingFor: begun ? 'reading' : 'combined' }, deciding: [] }
  if (standing === 'proven' && proof) {
    const { row, from, to, lowest, highest: warmest } = proof
    return row.seconds === 0
      ? { because: { code: 'reached', celsius: lowest, at: to, row }, deciding: [to] }
      : { because: { code: 'held', lowest, highest: warmest, heldMs: to - from, row }, deciding: [from, to] }
  }
  if (standing === 'missed')
    return { because: { code: 'closed too cold', highest: highest.celsius }, deciding: [highest.at] }
  if (standing === 'unproven')
    return { because: { code: 'closed unread', highest: highest.celsius }, deciding: [highest.at] }
  const because = holding(held) ?? { code: 'not there yet', celsius: last.celsius, at: last.at }
  return { because, deciding: [last.at] }
}
