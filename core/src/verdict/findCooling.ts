import type { Instant } from '../calendar/instant'
import type { Check } from '../limits/checksFor'
import type { ReachRule } from '../limits/rule'
import { stageOf } from '../limits/ruleSets'
import type { CoolingStage } from '../limits/compared'
import type { Evidence, Witness } from './evidence'
import type { Because, Finding } from './finding'
import { judgeCooling, type CoolingStanding } from './judgeCooling'
import { provenBy } from './provenBy'

/** How one cooling gate stands. */
export function findCooling(check: Check, rule: ReachRule, { witnesses, from }: Evidence, now: Instant): Finding {
  const stage = stageOf(check.key, rule, check.unit)
  const judge = (readings: readonly Witness[]): CoolingStanding =>
    judgeCooling(readings, [stage], now, { after: from ?? now })[0]!
  if (from === null) return finding(check, { code: 'on the heat' }, [], null, [], null)

  const judged = judge(witnesses)
  const { standing, doubts } = provenBy(witnesses, (readings) => judge(readings).standing)
  const because: Because = doubts.length ? { code: 'doubtful', doubts } : reason(judged, stage, witnesses)
  const ends = [judged.end?.earliest, judged.end?.latest, judged.start?.earliest, judged.start?.latest]
  const deciding = witnesses.filter(({ at }) => ends.includes(at) || at === witnesses.at(-1)?.at)
  const settled = { ...judged, standing, overdue: judged.overdue && standing !== 'missed' }
  return finding(
    check,
    because,
    deciding,
    settled,
    doubts,
    standing === 'open' && judged.deadline !== null ? judged.deadline + 1 : null,
  )
}

function finding(
  check: Check,
  because: Because,
  deciding: Witness[],
  judged: CoolingStanding | null,
  doubts: Finding['doubts'],
  nextAt: Instant | null,
): Finding {
  return {
    check,
    standing: judged?.standing ?? 'open',
    overdue: judged?.overdue ?? false,
    because,
    deciding: deciding.map(({ entry }) => entry),
    start: judged?.start ?? null,
    end: judged?.end ?? null,
    deadline: judged?.deadline ?? null,
    doubts,
    nextAt,
  }
}

function reason(
  { standing, start, end, deadline }: CoolingStanding,
  stage: CoolingStage,
  witnesses: readonly Witness[],
): Because {
  const last = witnesses.at(-1)
  if (!start || !last) return { code: 'on the heat' }
  const asRead = { celsius: last.celsius, at: last.at }
  if (standing === 'missed') {
    const limit = start.latest! + stage.withinMinutes * 60_000
    const warm = witnesses.find(({ at, celsius }) => at > limit && celsius > stage.to)
    return { code: 'read too warm', ...(warm ? { celsius: warm.celsius, at: warm.at } : asRead) }
  }
  if (start.earliest === null) return { code: 'start not read' }
  if (standing === 'proven' && end?.latest != null && deadline !== null) {
    const closing = witnesses.find(({ at }) => at === end.latest) ?? last
    return { code: 'in time', celsius: closing.celsius, at: closing.at, spareMs: deadline - end.latest }
  }
  if (end?.latest != null) return { code: 'somewhere between', from: end.earliest, to: end.latest }
  if (standing === 'unproven') return { code: 'not read in time', ...asRead }
  return start.latest === null ? { code: 'not cooling yet', ...asRead } : { code: 'cooling', ...asRead }
}
