import type { Instant } from '../../ground/instant'
import type { Id, Subject, SubjectType } from '../../ledger/subject'
import type { ItemCard } from './card'
import type { BatchState } from '../../state/batch'
import { isId } from '../../ground/field'
import { valid } from '../../state/fact'
import { isRecalledBy, type ItemState } from '../../state/item'

/** Something in a lineage: a lot, a batch or an item, with what stands on it. */
export interface LineageNode {
  type: SubjectType
  id: Id
  code: string
  name: string
  /** How many steps from what was asked about: negative up to what it was made of, positive down to what became of it. */
  generation: number
  at: Instant
  /** An item in short; null for lots and batches. */
  card: ItemCard | null
  /** A batch that is still on the Line. */
  running: boolean
}

/** Everything that something was made of, and everything that became of it. */
export interface Lineage {
  of: Subject
  nodes: LineageNode[]
  edges: { parent: Id; child: Id }[]
  /** There are more than are shown. */
  cut: boolean
}

/** What a recall holds: items and batches. */
export interface CalledBack {
  items: Id[]
  batches: Id[]
}

/** All that is left of what a lot went into: items that are held, and batches on the Line. */
export function leftOfLot({ nodes }: Pick<Lineage, 'nodes'>): CalledBack {
  const after = nodes.filter(({ generation }) => generation > 0)
  return {
    items: after.filter(({ card }) => card && !card.gone).map(({ id }) => id),
    batches: after.filter(({ type, running }) => type === 'batch' && running).map(({ id }) => id),
  }
}

/** What of it the recall of a lot does not hold yet: put away in the same minute, or by a tablet that was away. */
export function missedBy(
  lot: Id,
  { items, batches }: CalledBack,
  known: { items: readonly ItemState[]; batches: readonly BatchState[] },
): CalledBack {
  const free = {
    items: known.items.filter((item) => !isRecalledBy(item, lot)).map(({ id }) => id),
    batches: known.batches.filter(({ recalls }) => !recalls.some(({ value }) => value.lot === lot)).map(({ id }) => id),
  }
  return {
    items: items.filter((id) => free.items.includes(id)),
    batches: batches.filter((id) => free.batches.includes(id)),
  }
}

/** What an item was made of. */
export function parentsOfItem({ from }: Pick<ItemState, 'from'>): Subject[] {
  return distinct(from.map(({ type, id }) => ({ type, id })))
}

/** What went into a batch: lots, and items. */
export function parentsOfBatch(batch: Pick<BatchState, 'facts'>): Subject[] {
  const { 'part-used': parts } = batch.facts
  return distinct([
    ...lotsIn(batch).map((id): Subject => ({ type: 'lot', id })),
    ...valid(parts).map(({ value }): Subject => ({ type: 'item', id: value.part.item })),
  ])
}

/** The received lots that went into a batch, by whatever entry. What was only written off a package is none. */
export function lotsIn({ facts: { 'eggs-taken': eggs, added, 'lots-used': named } }: Pick<BatchState, 'facts'>): Id[] {
  return [
    ...valid(eggs).map(({ value }) => value.lot),
    ...valid(added).flatMap(({ value }) => (value.lot !== null && isId(value.lot) ? [value.lot] : [])),
    ...valid(named).flatMap(({ value }) => value.uses.map(({ lot }) => lot)),
  ]
}

function distinct(subjects: readonly Subject[]): Subject[] {
  const seen = new Set<Id>()
  return subjects.filter(({ id }) => !seen.has(id) && seen.add(id))
}
