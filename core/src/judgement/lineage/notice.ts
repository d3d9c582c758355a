import type { Allergen } from '../../recipe/ingredient/ingredient'
import type { ItemCard } from './card'
import { sorted } from './contents'

/** What is said of one thing in writing, where it is sold or served unpacked. */
export interface NoticeRow {
  name: string
  contains: Allergen[]
  mayContain: Allergen[]
  /** What in it nobody read the allergens of. */
  unknown: string[]
}

/**
 * Everything made here that is held, by name, with the allergens that are to be told of: of one name what any of it holds.
 * @param told the allergens that the rule set names
 */
export function allergenNotice(cards: readonly ItemCard[], told: readonly Allergen[]): NoticeRow[] {
  const rows = new Map<string, NoticeRow>()
  for (const { name, what, gone, allergens, mayContain, unknown } of cards) {
    if (what !== 'portion' || gone) continue
    const row = rows.get(name) ?? { name, contains: [], mayContain: [], unknown: [] }
    const contains = sorted([...row.contains, ...allergens.filter((each) => told.includes(each))])
    const may = [...row.mayContain, ...mayContain.allergens.filter((each) => told.includes(each))]
    rows.set(name, {
      name,
      contains,
      mayContain: sorted(may.filter((each) => !contains.includes(each))),
      unknown: [...new Set([...row.unknown, ...unknown, ...mayContain.unknown])].sort(),
    })
  }
  return [...rows.values()].sort((a, b) => (a.name < b.name ? -1 : 1))
}
