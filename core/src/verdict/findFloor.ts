import type { Check } from '../limits/checksFor'
import type { HoldRule } from '../limits/rule'
import { rowsOf } from '../limits/ruleSets'
import type { HoldRow } from '../limits/compared'
import { SECOND, type Instant } from '../calendar/instant'
import { SAME_DEGREE } from '../quantity/temperature'
import type { Evidence, Witness } from './evidence'
import type { Because, Finding } from './finding'
import { judgeHeat, provingGap } from './judgeHeat'
import { provenBy } from './provenBy'

/** How a cook floor stands. Silence never proves it: a countdown ends in "read again". */
export function findFloor(check: Check, rule: HoldRule, { witnesses, from, to }: Evidence): Finding {
  const rows = rowsOf(rule, check.unit)
  const { standing, doubts } = provenBy(witnesses, (readings) => judgeHeat(readings, rows, to).standing)
  const { because, deciding } = reason(standing, witnesses, rows, from)
  return {
    check,
    standing,
    overdue: false,
    because: doubts.length ? { code: 'doubtful', doubts } : because,
    deciding: deciding.map(({ entry }) => entry),
    start: null,
    end: null,
    deadline: null,
    doubts,
    nextAt: null,
  }
}

/** The row that the pot is now holding, and what is still needed if it stays there; null when it is under every row. */
export function holdNow(
  witnesses: readonly Witness[],
  rows: readonly HoldRow[],
): { row: HoldRow; since: Instant; moreMs: number } | null {
  const last = witnesses.at(-1)
  if (!last) return null
  const reached = rows.filter(({ celsius }) => last.celsius >= celsius - SAME_DEGREE)
  const holds = reached.map((row) => {
    const since = runStart(witnesses, row).at
    return { row, since, moreMs: Math.max(0, row.seconds * SECOND - (last.at - since)) }
  })
  return holds.sort((a, b) => a.moreMs - b.moreMs)[0] ?? null
}

function reason(
  standing: Finding['standing'],
  witnesses: readonly Witness[],
  rows: readonly HoldRow[],
  from: Instant | null,
): { because: Because; deciding: Witness[] } {
  const last = witnesses.at(-1)
  if (!last)
    return { because: { code: 'nothing read', waitingFor: from === null ? 'combined' : 'reading' }, deciding: [] }
  const hottest = witnesses.reduce((a, b) => (b.celsius > a.celsius ? b : a))
  if (standing === 'proven') return proof(witnesses, rows)
  if (standing === 'missed')
    return { because: { code: 'closed too cold', highest: hottest.celsius }, deciding: [hottest] }
  if (standing === 'unproven')
    return { because: { code: 'closed unread', highest: hottest.celsius }, deciding: [hottest] }
  const hold = holdNow(witnesses, rows)
  return hold
    ? { because: { code: 'holding', celsius: last.celsius, ...hold }, deciding: [last] }
    : { because: { code: 'not there yet', celsius: last.celsius, at: last.at }, deciding: [last] }
}

/** The first readings that close any row. */
function proof(witnesses: readonly Witness[], rows: readonly HoldRow[]): { because: Because; deciding: Witness[] } {
  for (let end = 1; end <= witnesses.length; end++) {
    const upTo = witnesses.slice(0, end)
    const { row } = judgeHeat(upTo, rows, null)
    if (!row) continue
    const last = upTo.at(-1)!
    if (row.seconds === 0)
      return { because: { code: 'reached', celsius: last.celsius, at: last.at, row }, deciding: [last] }
    const run = upTo.slice(upTo.indexOf(runStart(upTo, row)))
    const celsius = run.map((reading) => reading.celsius)
    const bounds = { lowest: Math.min(...celsius), highest: Math.max(...celsius) }
    return { because: { code: 'held', ...bounds, heldMs: last.at - run[0]!.at, row }, deciding: run }
  }
  return { because: { code: 'nothing read', waitingFor: 'reading' }, deciding: [] }
}

/** The first reading of the unbroken run at the row's temperature that the last reading belongs to. */
function runStart(witnesses: readonly Witness[], row: HoldRow): Witness {
  let first = witnesses.length - 1
  while (first > 0) {
    const before = witnesses[first - 1]!
    const blind = witnesses[first]!.at - before.at > provingGap(row.seconds)
    if (blind || before.celsius < row.celsius - SAME_DEGREE) break
    first--
  }
  return witnesses[first]!
}
