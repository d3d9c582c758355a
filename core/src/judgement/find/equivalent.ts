import { MINUTE } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import type { EquivalentRule } from '../../rules/rule'
import { EquivalentWatch, type Accrued } from '../watch/equivalentWatch'
import type { Because, Finding } from '../finding'
import type { Standing } from '../../ledger/standing'
import { findingOf, type CheckWatch, type Span } from './checkWatch'
import { silentFrom } from './silence'

/** How a floor stands that is counted in equivalent minutes, in a rule set that publishes them. */
export function watchEquivalent(check: Check, rule: EquivalentRule, span: Span): CheckWatch {
  const { reference, minutes: target } = rule
  // A guard makes the pot count as so much colder.
  const guarded = { ...reference, atCelsius: reference.atCelsius + check.guard, ...shifted(reference, check.guard) }
  const watch = new EquivalentWatch(guarded, target, span.window, span.heat)
  return {
    take: (trace, from, to) => watch.take(trace, from, to),
    provenAt: () => watch.reachedAt,
    find(now): Finding {
      const { accrued, closedAt } = watch.closed()
      const { last, highest, minutes } = accrued
      const silentAt = silentFrom(span, last?.at ?? null, target * MINUTE)
      const silent = closedAt === null && now > silentAt
      const found = standingOf(accrued, closedAt !== null, target)
      const standing = found === 'open' && silent ? 'unproven' : found
      const because: Because =
        last && highest
          ? {
              code: 'accrued',
              minutes,
              target,
              ...last,
              moreMs: moreAt(watch, target - minutes.least, last.celsius),
            }
          : standing === 'unproven'
            ? { code: 'never read' }
            : { code: 'nothing read', waitingFor: span.begun ? 'reading' : 'combined' }
      return findingOf(check, span, {
        standing,
        because,
        deciding: last && highest ? [highest.at, last.at] : [],
        nextAt: standing === 'open' ? silentAt + 1 : null,
      })
    },
  }
}

function standingOf({ minutes, last }: Accrued, closed: boolean, target: number): Standing {
  if (digits(minutes.least) >= target) return 'proven'
  if (!closed) return 'open'
  return last && digits(minutes.most) < target ? 'missed' : 'unproven'
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
