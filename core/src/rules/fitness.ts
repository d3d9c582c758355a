import { HOUR, type Instant } from '../ground/instant'
import type { Source } from './source'

/** What makes somebody unfit to work with open food. No diagnosis: what they themselves can tell. */
export const SYMPTOMS = ['vomiting', 'diarrhoea', 'jaundice', 'throat', 'wound'] as const

/** `throat`: sore, with fever. `wound`: infected: a boil, a cut with pus, weeping skin. */
export type Symptom = (typeof SYMPTOMS)[number]

/** `away`: out of the kitchen. `from food`: at work, but not with open food, clean tools or bare hands on them. */
export type KeptFrom = 'away' | 'from food'

/** What ends it: so many hours without it, or a paper of the doctor or the authority, or a cover that keeps tight. */
export type FitAgain = { when: 'free of it'; hours: number } | { when: 'doctor' | 'authority' | 'covered' }

export interface FitnessRule {
  keeps: KeptFrom
  until: FitAgain
  /** null: no document that this program knows prints it; the house keeps to the strictest that does. */
  source: Source | null
}

/** What somebody said of themselves, as the lead wrote it down. */
export interface Unfit {
  symptoms: readonly Symptom[]
  /** When the first of it began. */
  onset: Instant
  /** Since when they are free of all of it; null: they are not, or have not said so. */
  freeSince: Instant | null
}

/** What the rules ask of somebody who is unfit. */
export interface Unfitness {
  keeps: KeptFrom
  rules: { symptom: Symptom; rule: FitnessRule }[]
  /** The first instant at which the hours without it are over; null: they are not free of it, so nobody can say. */
  backFrom: Instant | null
  /** Of whom a paper is needed. */
  papers: ('doctor' | 'authority')[]
  /** It stays covered while they work. */
  covered: boolean
}

/**
 * What a rule set asks for one symptom.
 * @param susceptible whether the kitchen serves highly susceptible people
 */
export function fitnessRule(ruleSetKey: string, symptom: Symptom, susceptible: boolean): FitnessRule {
  const printed = PRINTED[ruleSetKey]?.[symptom]
  if (!printed) return house(symptom)
  return susceptible && printed.susceptible ? { ...printed.rule, keeps: printed.susceptible } : printed.rule
}

/** What all of somebody's symptoms ask together: the strictest of each. */
export function unfitness({ symptoms, onset, freeSince }: Unfit, ruleSetKey: string, susceptible: boolean): Unfitness {
  const rules = symptoms.map((symptom) => ({ symptom, rule: fitnessRule(ruleSetKey, symptom, susceptible) }))
  const ends = rules.map(({ rule }) => rule.until)
  const hours = Math.max(0, ...ends.map((until) => (until.when === 'free of it' ? until.hours : 0)))
  return {
    keeps: rules.some(({ rule }) => rule.keeps === 'away') ? 'away' : 'from food',
    rules,
    // Under a cover a wound need not be gone, and a paper says it better than hours.
    backFrom: hours === 0 ? onset : freeSince === null ? null : freeSince + hours * HOUR,
    papers: (['doctor', 'authority'] as const).filter((whose) => ends.some(({ when }) => when === whose)),
    covered: ends.some(({ when }) => when === 'covered'),
  }
}

/** Why somebody may not come back to food at an instant; null when they may. */
export function backShut(asked: Unfitness, at: Instant, seen: { papers: string; covered: boolean }): BackShut | null {
  if (asked.backFrom === null) return { code: 'not free of it' }
  if (at < asked.backFrom) return { code: 'too soon', from: asked.backFrom }
  if (asked.papers.length > 0 && seen.papers.trim() === '') return { code: 'no paper', of: asked.papers }
  return asked.covered && !seen.covered ? { code: 'not covered' } : null
}

export type BackShut =
  | { code: 'not free of it' }
  | { code: 'too soon'; from: Instant }
  | { code: 'no paper'; of: Unfitness['papers'] }
  | { code: 'not covered' }

interface Printed {
  rule: FitnessRule
  /** Kept from more where those who eat are highly susceptible. */
  susceptible?: KeptFrom
}
type Row = Partial<Record<Symptom, Printed>>

const free = (hours: number): FitAgain => ({ when: 'free of it', hours })

function rowOf(document: string, edition: string, confidence: Source['confidence']) {
  return (section: string, keeps: KeptFrom, until: FitAgain, susceptible?: KeptFrom): Printed => ({
    rule: { keeps, until, source: { document, section, edition, confidence } },
    ...(susceptible ? { susceptible } : {}),
  })
}

const us = rowOf('Food Code', '2022', 'high')
const usRow: Row = {
  vomiting: us('2-201.12(A), 2-201.13(A)', 'away', free(24)),
  diarrhoea: us('2-201.12(A), 2-201.13(A)', 'away', free(24)),
  jaundice: us('2-201.12(B), 2-201.13(B)', 'away', { when: 'authority' }),
  throat: us('2-201.12(G), 2-201.13(G)', 'from food', { when: 'doctor' }, 'away'),
  wound: us('2-201.12(H), 2-201.13(H)', 'from food', { when: 'covered' }),
}

const uk = rowOf('Food handlers: fitness to work', '2009', 'medium')
const ukRow: Row = {
  vomiting: uk('exclusion', 'away', free(48)),
  diarrhoea: uk('exclusion', 'away', free(48)),
  jaundice: uk('hepatitis A', 'away', { when: 'doctor' }),
  wound: uk('skin infections', 'from food', { when: 'covered' }),
}

const anz = rowOf('Standard 3.2.2', '3.2.2', 'medium')
const anzRow: Row = {
  vomiting: anz('cl. 14, 16 and its guide', 'away', free(48)),
  diarrhoea: anz('cl. 14, 16 and its guide', 'away', free(48)),
  jaundice: anz('cl. 14, 16', 'away', { when: 'doctor' }),
  throat: anz('cl. 14, 16', 'away', { when: 'doctor' }),
  wound: anz('cl. 14, 16', 'from food', { when: 'covered' }),
}

/** The regulation forbids to handle food; for how long after it does not say. */
const eu = rowOf('Regulation (EC) 852/2004', 'annex II', 'medium')
const euRow: Row = {
  vomiting: eu('chapter VIII, 2; hours: house', 'away', free(48)),
  diarrhoea: eu('chapter VIII, 2; hours: house', 'away', free(48)),
  jaundice: eu('chapter VIII, 2; paper: house', 'away', { when: 'doctor' }),
  wound: eu('chapter VIII, 2', 'from food', { when: 'covered' }),
}

const PRINTED: Record<string, Row> = {
  'us-food-code-2022': usRow,
  'uk-2013': ukRow,
  'uk-wales-2006': ukRow,
  'uk-ni-2006': ukRow,
  'anz-3-2-2': anzRow,
  'fr-2009': euRow,
}

/** What stands where no document is known: the strictest of those that are. */
function house(symptom: Symptom): FitnessRule {
  const known = [usRow, ukRow, anzRow].flatMap((row) => row[symptom]?.rule ?? [])
  const strictest = known.reduce((one, other) => (isStricter(other, one) ? other : one))
  return { ...strictest, source: null }
}

const ASKS = { covered: 0, 'free of it': 1, doctor: 2, authority: 3 }

function isStricter(a: FitnessRule, b: FitnessRule): boolean {
  if (a.keeps !== b.keeps) return a.keeps === 'away'
  if (a.until.when !== b.until.when) return ASKS[a.until.when] > ASKS[b.until.when]
  return a.until.when === 'free of it' && b.until.when === 'free of it' && a.until.hours > b.until.hours
}
