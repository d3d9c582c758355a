import type { Instant } from '../../calendar/instant'
import { MINUTE } from '../../calendar/instant'
import type { Check } from '../../limits/checksFor'
import { stageOf, type CoolingStage } from '../../limits/compared'
import type { ReachRule } from '../../limits/rule'
import { CoolingWatch, type CoolingStanding, type Start } from '../watch/coolingWatch'
import { Twice } from '../watch/twice'
import { doubtsOf } from '../doubt'
import type { Because, Finding, Need } from '../finding'
import { worse } from '../standing'
import { findingOf, proofDenied, type CheckWatch, type Span } from './checkWatch'

/** A cooling gate that another may follow. */
export interface CoolingCheckWatch extends CheckWatch {
  watch: Twice<CoolingWatch>
  judge(watch: CoolingWatch, now: Instant): CoolingStanding
}

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
  const starts = (trusted: boolean): Start => {
    if (stage.clock === 'event') return { kind: 'event', at: eventAt }
    if (stage.clock === 'previous') {
      const { all, trusted: beyondDoubt } = before?.watch ?? { all: null, trusted: null }
      return { kind: 'previous', stage: trusted ? (beyondDoubt ?? all) : all }
    }
    return span.heat ? { kind: 'heat', heat: span.heat } : { kind: 'from', after: span.window.from }
  }
  const watch = new Twice(
    (trusted) => new CoolingWatch(stage, starts(trusted), { ...span.window, trusted }, rule.direction),
  )
  const judge = (one: CoolingWatch, now: Instant): CoolingStanding => {
    const previous = one === watch.trusted ? (before?.watch.trusted ?? before?.watch.all) : before?.watch.all
    return one.judge(now, previous && before ? before.judge(previous, now) : null)
  }
  return {
    watch,
    judge,
    take: (trace, from, to) => watch.take(trace, from, to),
    find(now): Finding {
      const judged = judge(watch.all, now)
      const standing = watch.trusted ? worse(judged.standing, judge(watch.trusted, now).standing) : judged.standing
      const doubts = proofDenied(judged.standing, standing) ? doubtsOf(watch.all.doubt) : []
      const { start, end, deadline } = judged
      const ends = [start?.earliest, start?.latest, end?.earliest, end?.latest, watch.all.last?.at]
      return findingOf(check, span, {
        standing,
        overdue: judged.overdue && standing !== 'missed',
        because: doubts.length ? { code: 'doubtful', doubts } : reason({ ...judged, standing }, watch.all),
        need: needed(judged, stage),
        deciding: [...new Set(ends.filter((at) => at != null))],
        start,
        end,
        deadline,
        doubts,
        nextAt: standing === 'open' && deadline !== null ? deadline + 1 : null,
      })
    },
  }
}

function reason({ standing, start, end, deadline }: CoolingStanding, watch: CoolingWatch): Because {
  const { last } = watch
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
