import type { Instant } from '../../calendar/instant'
import type { Check } from '../../limits/checksFor'
import type { StayRule } from '../../limits/rule'
import { comparedAs } from '../../quantity/temperature'
import { HeatWatch } from '../watch/heatWatch'
import { StayWatch, type Stayed } from '../watch/stayWatch'
import { Twice } from '../watch/twice'
import { doubtsOf } from '../doubt'
import type { Because, Finding } from '../finding'
import { worse, type Standing } from '../standing'
import { findingOf, proofDenied, type CheckWatch, type Span } from './checkWatch'

/**
 * How a level that must not be passed stands, counted from the first reading on its right side.
 * With `closes` it ends with that heat: the ceiling of a cook step. Without, it goes on as long as the batch does.
 */
export function watchStay(check: Check, rule: StayRule, span: Span, closes: boolean): CheckWatch {
  const side = rule.side === 'under' ? 'under' : 'reach'
  const level = comparedAs(rule.level, check.unit, side) + (rule.side === 'under' ? -1 : 1) * check.guard
  const watch = new Twice(
    (trusted) =>
      new StayWatch(
        { side: rule.side, level, grace: rule.grace },
        { ...span.window, trusted },
        closes ? null : span.heat,
      ),
  )
  const heat = closes && span.heat ? new HeatWatch(span.heat, { ...span.window, trusted: false }) : null
  const stand = (one: StayWatch, now: Instant): { stayed: Stayed; standing: Standing } => {
    const stayed = one.stayed(now)
    return { stayed, standing: standingOf(stayed, heat !== null && heat.endedAt() !== null) }
  }
  return {
    take(trace, from, to) {
      heat?.take(trace, from, to)
      watch.take(trace, from, to)
    },
    find(now): Finding {
      const { stayed, standing: all } = stand(watch.all, now)
      const standing = watch.trusted ? worse(all, stand(watch.trusted, now).standing) : all
      const doubts = proofDenied(all, standing) ? doubtsOf(watch.all.doubt) : []
      const { worst, exceedsAt, mayExceed } = stayed
      return findingOf(check, span, {
        standing,
        overdue: standing === 'unproven' && exceedsAt !== null && mayExceed,
        because: doubts.length ? { code: 'doubtful', doubts } : reason(stayed, standing),
        need: stayed.counted && exceedsAt === null ? null : { code: 'under now', celsius: level },
        deciding: worst ? [worst.at] : [],
        doubts,
        nextAt: exceedsAt !== null && rule.grace && now <= exceedsAt ? exceedsAt + 1 : null,
      })
    },
  }
}

function standingOf({ counted, exceeds, mayExceed }: Stayed, closed: boolean): Standing {
  if (exceeds) return 'missed'
  if (mayExceed) return 'unproven'
  if (!closed) return 'open'
  return counted ? 'proven' : 'unproven'
}

function reason({ worst, passed, exceedsAt }: Stayed, standing: Standing): Because {
  if (!worst) return { code: 'not there to stay' }
  const { celsius, at } = worst
  if (!passed) return { code: 'stayed', worst: celsius, at }
  if (standing === 'missed') return { code: 'passed', celsius, at }
  if (standing === 'unproven') return { code: 'passed perhaps too long', celsius, at }
  return { code: 'passed within grace', celsius, at, until: exceedsAt }
}
