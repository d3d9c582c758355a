import type { FamilyKey } from '../method/method'
import type { Degrees } from '../quantity/temperature'
import type { LimitKey } from './limit'

/** A kind of process with its own hazards: which limits of the rule set it carries, and its quality ceiling. */
export interface Family {
  key: FamilyKey
  heat: LimitKey
  /** Above this it spoils as a dessert: quality, never law. A house default. */
  ceiling: Degrees
}

export const families: Record<FamilyKey, Family> = {
  'poured-custard': family('poured-custard', { c: 85, f: 185 }),
  'fruit-curd': family('fruit-curd', { c: 88, f: 190 }),
  'heated-nog': family('heated-nog', { c: 82, f: 180 }),
}

function family(key: FamilyKey, ceiling: Degrees): Family {
  return { key, heat: 'egg', ceiling }
}
