import type { Degrees } from '../../ground/temperature'
import type { Force, Limit, LimitKey } from '../limit'
import type { HoldRule, ReachRule, Rule, StayRule } from '../rule'

/** Both figures as printed. */
export const both = (c: number, f: number): Degrees => ({ c, f })

/** A document that prints °C alone: °F is the exact conversion, to a tenth. */
export const celsius = (c: number): Degrees => ({ c, f: Math.round(c * 18 + 320) / 10 })

/** Makes the limits of one document. */
export function limitsOf(origin: string, document: string, edition: string) {
  return (
    key: LimitKey,
    section: string,
    rule: Rule,
    {
      force = 'law',
      confidence = 'high',
      from = document,
      alternative,
    }: { force?: Force; confidence?: 'high' | 'medium'; from?: string; alternative?: true } = {},
  ): Limit => {
    const source = { document: from, section, edition: from === document ? edition : '', confidence }
    return { key, origin, rule, force, source, ...(alternative ? { alternative } : {}) }
  }
}

export const hold = (...rows: [at: Degrees, seconds: number][]): HoldRule => ({
  kind: 'hold',
  rows: rows.map(([at, seconds]) => ({ at, seconds })),
})

export const fall = (clock: ReachRule['clock'], to: Degrees, withinMinutes: number): ReachRule => ({
  kind: 'reach',
  clock,
  to,
  direction: 'falling',
  withinMinutes,
})

export const stay = (side: StayRule['side'], level: Degrees, grace: StayRule['grace'] = null): StayRule => ({
  kind: 'stay',
  side,
  level,
  grace,
})

export const HOURS = 60
export const MINUTES = 60
