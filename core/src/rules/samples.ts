import type { Source } from './source'

/** A sample of each dish is kept, so that it can be looked into if somebody falls ill. */
export interface SampleRule {
  /** So many days after the last day on which it may be served. */
  days: number
  source: Source
}

const FR: SampleRule = {
  days: 5,
  source: {
    document: 'Arrêté of 21 December 2009',
    section: 'art. 32: kitchens that serve communities',
    edition: '2009',
    confidence: 'medium',
  },
}

/** Whether a rule set asks for samples, and for how long they are kept; null: it does not, as far as we know. */
export function sampleRule(ruleSetKey: string): SampleRule | null {
  return ruleSetKey === 'fr-2009' || ruleSetKey === 'strictest' ? FR : null
}
