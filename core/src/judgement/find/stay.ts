import type { Check } from '../../recipe/checks/checksFor'
import type { StayRule } from '../../rules/rule'
import { comparedAs } from '../../ground/temperature'
import { HeatWatch } from '../watch/heatWatch'
import { StayWatch, type Stayed } from '../watch/stayWatch'
import type { Because, Finding } from '../finding'
import type { Standing } from '../../ledger/standing'
import { findingOf, type CheckWatch, type Span } from './checkWatch'

/**
 * How a level that must not be passed stands, counted from the first reading on its right side.
 * With `closes` it ends with that heat: the ceiling of a cook step. Without, it goes on as long as the batch does.
 */
export function watchStay(check: Check, rule: StayRule, span: Span, closes: boolean): CheckWatch {
  const side = rule.side === 'under' ? 'under' : 'reach'
  const level = comparedAs(rule.level, check.unit, side) + (rule.side === 'under' ? -1 : 1) * check.guard
  const { grace } = boundedOf(check, rule, closes)
  const watch = new StayWatch({ side: rule.side, level, grace }, span.window, closes ? null : span.heat)
  const heat = closes && span.heat ? new HeatWatch(span.heat, span.window) : null
  return {
    take(trace, from, to) {
      heat?.take(trace, from, to)
      watch.take(trace, from, to)
    },
    find(now): Finding {
      const stayed = watch.stayed(now)
      const standing = standingOf(stayed, heat !== null && heat.endedAt() !== null)
      const { worst, exceedsAt, mayExceed } = stayed
      return findingOf(check, span, {
        standing,
        overdue: standing === 'unproven' && exceedsAt !== null && mayExceed,
        because: reason(stayed, standing),
        need: stayed.counted && exceedsAt === null ? null : { code: 'under now', celsius: level },
        deciding: worst ? [worst.at] : [],
        nextAt: exceedsAt !== null && grace && now <= exceedsAt ? exceedsAt + 1 : null,
      })
    },
  }
}

/** Where a rule set prints no time above the cold limit, as the items of the store are judged: four hours, added up. */
const COLD_HOURS = 4

/** A batch that is kept cold is judged as what was made of it is: by how long it was warm, not by a moment. */
function boundedOf({ limit }: Check, rule: StayRule, closes: boolean): Pick<StayRule, 'grace'> {
  if (rule.grace || closes || limit.key !== 'cold-holding') return rule
  return { grace: { minutes: COLD_HOURS * 60, count: 'total' } }
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
