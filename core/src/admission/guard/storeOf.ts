import type { Instant } from '../../ground/instant'
import type { Subject } from '../../ledger/subject'
import type { Refusal } from './refusal'
import { limitsAt } from '../../rules/limitSet'
import type { LimitSet } from '../../rules/limit'
import type { ItemState } from '../../state/item'
import type { Read } from '../../state/state'
import type { Store } from '../../judgement/keeping/itemStanding'
import { asOf } from '../../judgement/warmth/air'
import { ancestorsOfItem } from '../../judgement/lineage/lineageBars'
import { ancestorsOf, itemShut, type Ancestry } from '../../judgement/lineage/part'
import type { Measure } from '../../ground/measure'
import type { World } from '../../judgement/world'

/** All that judging an item looks at: what it was made of, the units it was in, the kitchen's limits. */
export function aroundItem(item: ItemState | null, read: Read, { limits }: World): Subject[] {
  if (!item) return []
  const { batches, items, lots, unread } = ancestorsOfItem(item, read)
  const units = item.moves.flatMap(({ value: { unit } }) => (unit === null ? [] : [unit]))
  return [
    ...batches.map(({ id }): Subject => ({ type: 'batch', id })),
    ...items.map(({ id }): Subject => ({ type: 'item', id })),
    ...lots.map(({ id }): Subject => ({ type: 'lot', id })),
    ...unread,
    ...[...new Set(units)].map((id): Subject => ({ type: 'unit', id })),
    ...(limits === undefined ? [] : [{ type: 'limits' as const, id: limits }]),
  ]
}

/** The kitchen's limits at an instant; null where it has none. */
export function limitsNow({ limits }: World, read: Read, at: Instant): LimitSet | null {
  return limits === undefined ? null : limitsAt(read('limits', limits)?.versions ?? [], at)
}

/** What an item is judged by, as far as it was read; null where the kitchen has no limits. */
export function storeOf(
  item: ItemState,
  read: Read,
  world: World,
  at: Instant,
): { store: Store; ancestry: Ancestry } | null {
  const limits = limitsNow(world, read, at)
  if (!limits) return null
  const { batches, lots } = ancestorsOf(item)
  const units = item.moves.flatMap(({ value: { unit } }) => (unit === null ? [] : (read('unit', unit) ?? [])))
  return {
    store: { units: [...new Set(units)].map((unit) => asOf(unit, at)), limits, zone: world.zone },
    ancestry: {
      batch: batches.map((id) => read('batch', id)).find((batch) => batch !== null) ?? null,
      lots: lots.flatMap((id) => read('lot', id) ?? []),
      further: ancestorsOfItem(item, read),
    },
  }
}

/**
 * Refused where an item may not be used or moved.
 * @param shut `servingShut` where it is sold or served, frozen or not
 */
export function needsUsable(
  item: ItemState,
  measure: Measure | null,
  read: Read,
  world: World,
  at: Instant,
  shut: typeof itemShut = itemShut,
): Refusal | null {
  const around = storeOf(item, read, world, at)
  if (!around) return { code: 'not there', field: 'kitchen', what: 'limits' }
  const why = shut(item, measure, around.ancestry, around.store, at)
  return why ? { code: 'item shut', field: 'about.id', item: item.code, why } : null
}
