import type { Id, Subject } from '../ledger/entry'
import type { BatchState } from '../state/batch'
import type { ItemState } from '../state/item'

/** What an item was made of. */
export function parentsOfItem({ from }: Pick<ItemState, 'from'>): Subject[] {
  return distinct(from.map(({ type, id }) => ({ type, id })))
}

/** What went into a batch: lots of eggs, and items. */
export function parentsOfBatch({ eggs, parts }: Pick<BatchState, 'eggs' | 'parts'>): Subject[] {
  const standing = <T extends { void: boolean }>(facts: readonly T[]) => facts.filter(({ void: gone }) => !gone)
  return distinct([
    ...standing(eggs).map(({ value }): Subject => ({ type: 'lot', id: value.lot })),
    ...standing(parts).map(({ value }): Subject => ({ type: 'item', id: value.part.item })),
  ])
}

function distinct(subjects: readonly Subject[]): Subject[] {
  const seen = new Set<Id>()
  return subjects.filter(({ id }) => !seen.has(id) && seen.add(id))
}
