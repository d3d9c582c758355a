import type { Source } from '../../rules/source'
import { ALLERGENS } from './own'
import type { Allergen } from './ingredient'

/** What a rule set asks to be said of the allergens in what is sold straight to who eats it. */
export interface Labelling {
  /** Packed here: every ingredient with the allergens emphasised, or the allergens alone. */
  packed: { says: 'every ingredient' | 'allergens'; source: Source }
  /** Sold or served unpacked: in writing, of which allergens; null: told on request. */
  unpacked: { allergens: readonly Allergen[]; source: Source } | null
}

/** Crustaceans, the ninth, go into no pastry: nothing here can hold them. */
const US_NINE: Allergen[] = ['milk', 'egg', 'fish', 'tree nuts', 'wheat', 'peanut', 'soy', 'sesame']

const source = (document: string, section: string, edition: string): Source => ({
  document,
  section,
  edition,
  confidence: 'medium',
})

const us: Labelling = {
  packed: { says: 'every ingredient', source: source('FDA Food Code', '3-602.11(B)', '2022') },
  unpacked: { allergens: US_NINE, source: source('FDA Food Code', '3-602.12(C)', '2022') },
}

function uk(document: string, edition: string): Labelling {
  return {
    packed: { says: 'every ingredient', source: source(document, 'prepacked for direct sale', edition) },
    unpacked: { allergens: ALLERGENS, source: source('Food Information Regulations', 'regulation 5', '2014') },
  }
}

const england = uk('Food Information (Amendment) (England) Regulations', '2019')

const onRequest = (document: string, section: string, edition: string): Labelling => ({
  packed: { says: 'allergens', source: source(document, section, edition) },
  unpacked: null,
})

const BY_RULE_SET: Record<string, Labelling> = {
  'us-food-code-2022': us,
  'uk-2013': england,
  'uk-wales-2006': uk('Food Information (Wales) (Amendment) Regulations', '2020'),
  'uk-ni-2006': uk('Food Information (Amendment No. 2) Regulations (Northern Ireland)', '2020'),
  'anz-3-2-2': onRequest('Food Standards Code', '1.2.3', 'current'),
  'nz-2014': onRequest('Food Standards Code', '1.2.3', 'current'),
  'ca-retail': onRequest('Food and Drug Regulations', 'B.01.010.1', 'current'),
  'fr-2009': {
    packed: { says: 'allergens', source: source('Décret 2015-447', 'R. 412-12 to 412-14', '2015') },
    unpacked: { allergens: ALLERGENS, source: source('Regulation (EU) 1169/2011', 'article 44', '2011') },
  },
}

/** Where no labelling is known: every ingredient, and all allergens in writing. */
const STRICTEST = england

/** How food is labelled under a rule set, by its key. A starting point, like every source here: check it where you are. */
export function labellingOf(ruleSetKey: string): Labelling {
  return BY_RULE_SET[ruleSetKey] ?? STRICTEST
}
