import { MINUTE } from '../../calendar/instant'
import type { Check } from '../../limits/checksFor'
import type { EquivalentRule } from '../../limits/rule'
import { EquivalentWatch } from '../watch/equivalentWatch'
import { Twice } from '../watch/twice'
import { doubtsOf } from '../doubt'
import type { Because, Finding } from '../finding'
import { worse, type Standing } from '../standing'
import { findingOf, proofDenied, type CheckWatch, type Span } from './checkWatch'

/** How a floor stands that is counted in equivalent minutes, in a rule set that publishes them. */
export function watchEquivalent(check: Check, rule: EquivalentRule, span: Span): CheckWatch {
  const { reference, minutes: target } = rule
  // A guard makes the pot count as so much colder.
  const guarded = { ...reference, atCelsius: reference.atCelsius + check.guard, ...shifted(reference, check.guard) }
  const watch = new Twice((trusted) => new EquivalentWatch(guarded, target, { ...span.window, trusted }, span.heat))
  const stand = ({ accrued, closedAt }: ReturnType<EquivalentWatch['closed']>): Standing => {
    if (digits(accrued.minutes.least) >= target) return 'proven'
    if (closedAt === null) return 'open'
    return accrued.last && digits(accrued.minutes.most) < target ? 'missed' : 'unproven'
  }
  return {
    take: (trace, from, to) => watch.take(trace, from, to),
    find(): Finding {
      const closed = watch.all.closed()
      const all = stand(closed)
      const standing = watch.trusted ? worse(all, stand(watch.trusted.closed())) : all
      const doubts = proofDenied(all, standing) ? doubtsOf(watch.all.doubt) : []
      const { last, highest, minutes } = closed.accrued
      const because: Because =
        last && highest
          ? {
              code: 'accrued',
              minutes,
              target,
              ...last,
              moreMs: moreAt(watch.all, target - minutes.least, last.celsius),
            }
          : { code: 'nothing read', waitingFor: span.begun ? 'reading' : 'combined' }
      return findingOf(check, span, {
        standing,
        because: doubts.length ? { code: 'doubtful', doubts } : because,
        deciding: last && highest ? [highest.at, last.at] : [],
        doubts,
      })
    },
  }
}

/** To nine significant digits: exp differs in the last bit between engines, and a standing must not. */
function digits(minutes: number): number {
  return minutes === Infinity ? Infinity : Number(minutes.toPrecision(9))
}

/** How long it takes at a temperature, ms; null where it earns nothing. */
function moreAt(watch: EquivalentWatch, minutes: number, celsius: number): number | null {
  const more = watch.minutesMore(minutes, celsius)
  return Number.isFinite(more) ? more * MINUTE : null
}

function shifted({ from, to }: EquivalentRule['reference'], guard: number): { from?: number; to?: number } {
  return { ...(from === undefined ? {} : { from: from + guard }), ...(to === undefined ? {} : { to: to + guard }) }
}
