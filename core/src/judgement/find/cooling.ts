import { MINUTE, type Instant } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import { stageOf, type CoolingStage } from '../../rules/compared'
import type { ReachRule } from '../../rules/rule'
import type { Because, Finding, Need } from '../finding'
import { mayWarm } from '../evidence/plausible'
import { CoolingWatch, type CoolingStanding, type Rebound, type Start } from '../watch/coolingWatch'
import { findingOf, type CheckWatch, type Span } from './checkWatch'

/** A cooling gate that another may follow. */
export interface CoolingCheckWatch extends CheckWatch {
  watch: CoolingWatch
  judge(now: Instant): CoolingStanding
}

/** A thermometer may be out by so much, each way, °C: what comes back up by less was not proven wrong. */
const TOLERANCE = 1
const REBOUND: Rebound = { tolerance: TOLERANCE, mayWarm }

/**
 * How one gate with a clock stands.
 * @param eventAt when the clock starts, for a clock that an event starts
 * @param before the stage that ends where this one starts, for a clock that follows another
 */
export function watchCooling(
  check: Check,
  rule: ReachRule,
  span: Span,
  eventAt: Instant | null,
  before: CoolingCheckWatch | null,
): CoolingCheckWatch {
  const stage = stageOf(check.key, rule, check)
  const watch = new CoolingWatch(stage, startOf(stage, span, eventAt, before), span.window, REBOUND, rule.direction)
  const judge = (now: Instant): CoolingStanding => watch.judge(now, before ? before.judge(now) : null)
  return {
    watch,
    judge,
    take: (trace, from, to) => watch.take(trace, from, to),
    find(now): Finding {
      const judged = judge(now)
      const { standing, start, end, deadline, overdue, silentAt } = judged
      const ends = [start?.earliest, start?.latest, end?.earliest, end?.latest, watch.last?.at]
      const changesAt = deadline ?? silentAt
      return findingOf(check, span, {
        standing,
        overdue: overdue && standing !== 'missed',
        because: reason(judged, watch),
        need: needed(judged, stage),
        deciding: [...new Set(ends.filter((at) => at != null))],
        start,
        end,
        deadline,
        nextAt: standing === 'open' && changesAt !== null ? changesAt + 1 : null,
      })
    },
  }
}

function startOf(stage: CoolingStage, span: Span, eventAt: Instant | null, before: CoolingCheckWatch | null): Start {
  if (stage.clock === 'event') return { kind: 'event', at: eventAt, since: span.since }
  if (stage.clock === 'previous') return { kind: 'previous', stage: before?.watch ?? null }
  const { heat, window, since } = span
  return heat ? { kind: 'heat', heat, since: Math.max(since, window.from) } : { kind: 'from', after: window.from }
}

function reason({ standing, start, end, deadline }: CoolingStanding, watch: CoolingWatch): Because {
  const { last } = watch
  if (standing === 'unproven' && (!start || !last)) return { code: 'never read' }
  if (!start || !last) return { code: 'on the heat' }
  if (standing === 'missed') return { code: 'read too warm', ...(watch.tooLate ?? last) }
  if (start.earliest === null) return { code: 'start not read' }
  if (standing === 'proven' && end?.latest != null && deadline !== null) {
    return {
      code: 'in time',
      celsius: watch.closing?.celsius ?? last.celsius,
      at: end.latest,
      spareMs: deadline - end.latest,
    }
  }
  if (end?.latest != null) return { code: 'somewhere between', from: end.earliest, to: end.latest }
  if (standing === 'unproven') return { code: 'not read in time', ...last }
  return start.latest === null ? { code: 'not cooling yet', ...last } : { code: 'cooling', ...last }
}

/** The reading that would settle it: at or under the level by the deadline; its start, where nobody read that. */
function needed({ standing, start, deadline }: CoolingStanding, stage: CoolingStage): Need | null {
  if (standing === 'proven' || standing === 'missed' || !start) return null
  if (start.earliest === null || deadline === null) return { code: 'start', celsius: stage.from }
  return { code: 'under', celsius: stage.to, by: deadline, after: deadline - stage.withinMinutes * MINUTE }
}
