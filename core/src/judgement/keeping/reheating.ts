import { MINUTE, SECOND, type Instant } from '../../ground/instant'
import type { Day } from '../../ground/zone'
import { limitsOf } from '../../recipe/checks/checksFor'
import { rowsOf, stageOf, type HoldRow } from '../../rules/compared'
import type { Limit, LimitSet } from '../../rules/limit'
import { SAME_DEGREE } from '../../ground/temperature'
import { judgeHeat } from '../watch/judgeHeat'
import { provingGap } from '../watch/holdWatch'
import type { Course } from './course'
import type { StoreUnit } from '../warmth/air'
import { isCold } from '../../recipe/checks/unitKind'

/** How the way from the cold into the hot well stands: food that was cold goes through the heat first. */
export interface Reheating {
  /** The hottest of its floors, as printed: any one row. */
  rows: HoldRow[]
  /** Until when; null: the rule set prints no time. */
  by: Instant | null
  /** The reading that proved it; null: none has. */
  doneAt: Instant | null
  /** It was just read hot enough: the time in which another such reading proves the hold; null: it was not. */
  again: { from: Instant; to: Instant } | null
  limit: Limit
}

/** What law and house ask of reheating, looked up once for a whole store. */
export interface ReheatLines {
  floors: { rows: HoldRow[]; limit: Limit }[]
  withinMinutes: number | null
}

/** A time within which a heat is reached is a floor too: its target, read once. */
export function reheatLines(limits: LimitSet, day: Day): ReheatLines {
  const comparing = { unit: limits.unit, guard: 0 }
  const binding = (limit: Limit) => limit.force === 'law' || limit.force === 'house'
  const holds = limitsOf(limits, 'reheat', day).filter(binding)
  const times = limitsOf(limits, 'reheat-time', day).filter(binding)
  const stages = times.flatMap((limit) =>
    limit.rule.kind === 'reach' ? [{ limit, stage: stageOf(limit.key, limit.rule, comparing) }] : [],
  )
  const floors = [
    ...holds.flatMap((limit) => (limit.rule.kind === 'hold' ? [{ limit, rows: rowsOf(limit.rule, comparing) }] : [])),
    ...stages.map(({ limit, stage }) => ({ limit, rows: [{ celsius: stage.to, seconds: 0 }] })),
  ]
  return {
    floors: floors.sort((a, b) => coolest(b.rows) - coolest(a.rows) || longest(b.rows) - longest(a.rows)),
    withinMinutes: stages.length ? Math.min(...stages.map(({ stage }) => stage.withinMinutes)) : null,
  }
}

/**
 * Every floor has to be proven by readings of a probe in its core, taken since it left the cold and in time. null where it
 * never was cold, as what comes from the stove, and where the rule set prints no floor: then the hot line alone counts.
 * @param since when it went into the well
 */
export function reheatingOf(
  { moves, reads, coldAt }: Pick<Course, 'moves' | 'reads' | 'coldAt'>,
  since: Instant,
  units: readonly StoreUnit[],
  { floors, withinMinutes }: ReheatLines,
  now: Instant,
): Reheating | null {
  const before = moves.filter(({ at }) => at < since)
  const last = before.findLastIndex(({ unit: id }) => {
    const unit = units.find((each) => each.id === id)
    return unit !== undefined && isCold(unit.kind)
  })
  const wasCold = last >= 0 || (coldAt !== null && coldAt < since)
  const [first] = floors
  if (!wasCold || !first) return null
  const left = before[last + 1]?.at ?? since
  const by = withinMinutes === null ? null : left + withinMinutes * MINUTE
  const heated = reads
    .filter((read) => read.by === 'probe' && read.at >= left && read.at <= (by ?? Infinity))
    .map(({ at, celsius }) => ({ at, celsius, where: 'core' as const }))
  const doneAt = heated.find((_, i) =>
    floors.every(({ rows }) => judgeHeat(heated.slice(0, i + 1), rows, null).standing === 'proven'),
  )?.at
  const again = doneAt === undefined ? secondLook(heated, first.rows, now) : null
  return { rows: first.rows, by, doneAt: doneAt ?? null, again, limit: first.limit }
}

/** When another reading as hot closes the hold of a row that the last readings are at. */
function secondLook(
  heated: readonly { at: Instant; celsius: number }[],
  rows: readonly HoldRow[],
  now: Instant,
): Reheating['again'] {
  const last = heated.at(-1)
  const row = rows.find(({ celsius }) => last !== undefined && last.celsius >= celsius - SAME_DEGREE)
  const gap = row ? provingGap(row.seconds) : 0
  if (!last || !row || now > last.at + gap) return null
  let since = last.at
  for (const { at, celsius } of heated.toReversed()) {
    if (celsius < row.celsius - SAME_DEGREE || since - at > gap) break
    since = at
  }
  return { from: since + row.seconds * SECOND, to: last.at + gap }
}

function coolest(rows: readonly HoldRow[]): number {
  return Math.min(...rows.map(({ celsius }) => celsius))
}

function longest(rows: readonly HoldRow[]): number {
  return Math.max(...rows.map(({ seconds }) => seconds))
}
