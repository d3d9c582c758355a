import { MINUTE } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import type { ExposureRule } from '../../rules/rule'
import { comparedAs } from '../../ground/temperature'
import { ExposureWatch } from './exposureWatch'
import type { Finding } from '../finding'
import type { Standing } from '../../ledger/standing'
import { findingOf, type CheckWatch, type Span } from '../find/checkWatch'

/** How the time in a band stands. To be discarded, the least that is proven has to exceed it; doubt asks for a reading. */
export function watchExposure(check: Check, rule: ExposureRule, span: Span): CheckWatch {
  const low = comparedAs(rule.low, check.unit, 'under') - check.guard
  const high = comparedAs(rule.high, check.unit, 'reach') + check.guard
  const watch = new ExposureWatch(low, high, span.window, span.heat)
  const discard = rule.bands.find(({ then }) => then === 'discard')?.fromMinutes ?? Infinity
  return {
    take: (trace, from, to) => watch.take(trace, from, to),
    find(now): Finding {
      const { counted, time, sinceMs, goesOn, last } = watch.exposed(now)
      const standing: Standing =
        time.least >= discard * MINUTE ? 'missed' : time.most >= discard * MINUTE ? 'unproven' : 'open'
      const reached = rule.bands.filter(({ fromMinutes }) => time.least >= fromMinutes * MINUTE).at(-1)
      return findingOf(check, span, {
        standing,
        overdue: standing === 'unproven' && sinceMs > 0,
        because: counted
          ? { code: 'exposed', time, then: reached?.then ?? 'use or chill' }
          : { code: 'not there to stay' },
        need: { code: 'under now', celsius: low },
        deciding: last ? [last.at] : [],
        nextAt: standing === 'open' && goesOn ? now + (discard * MINUTE - time.most) : null,
      })
    },
  }
}
