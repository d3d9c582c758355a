import type { Degrees } from '../../ground/temperature'
import type { Force, Limit, LimitKey, RuleSet } from '../limit'
import type { Source } from '../source'
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

/** A document in place of another. */
interface Elsewhere extends Pick<RuleSet, 'key' | 'name' | 'edition'>, Pick<Source, 'document' | 'confidence'> {
  /** Where the first one's guidance is not of this place either; left out: it is. */
  guidance?: string
}

/** The figures of one set as another nation's own law prints them: its documents stand in place of the first one's. */
export function printedElsewhere(set: RuleSet, { document, confidence, guidance, ...named }: Elsewhere): RuleSet {
  const sourceOf = ({ force, source }: Limit): Source => {
    if (force === 'law' && source.edition !== '') return { ...source, document, edition: named.edition, confidence }
    return guidance === undefined ? source : { ...source, document: guidance, edition: '', confidence }
  }
  const limits = set.limits.map((limit): Limit => ({ ...limit, origin: named.key, source: sourceOf(limit) }))
  return { ...set, ...named, limits }
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
