import type { Moved } from '../../ledger/storeEntries'
import { isCold } from '../../recipe/checks/unitKind'
import { isFrozen, placeOf, type ItemState } from '../../state/item'
import type { UnitState } from '../../state/unit'

export type MoveShut =
  | 'went out for good'
  | 'went hot for good'
  | 'not a freezer'
  | 'frozen already'
  | 'not frozen'
  | 'thaws in the cold'
  | 'not a hot well'
  | 'out is no unit'
  | 'no unit'
  | 'not a cold unit'
  | 'that is freezing'
  | 'that is thawing'

/** Why an item cannot be moved so, whatever its state of keeping; null when it can. */
export function moveShut(item: ItemState, { how, unit: to }: Moved, unit: UnitState | null): MoveShut | null {
  const place = placeOf(item)?.value
  if (place?.how === 'serve' && how !== 'serve') return 'went out for good'
  if (place?.how === 'hot' && how !== 'hot' && how !== 'serve') return 'went hot for good'
  if (how === 'freeze') {
    if (unit?.kind !== 'freezer') return 'not a freezer'
    return isFrozen(item) ? 'frozen already' : null
  }
  if (how === 'thaw') {
    if (!isFrozen(item)) return 'not frozen'
    return unit && isCold(unit.kind) && unit.kind !== 'freezer' ? null : 'thaws in the cold'
  }
  if (how === 'hot') return unit?.kind === 'hot well' ? null : 'not a hot well'
  if (how === 'out' || how === 'serve') {
    if (isFrozen(item)) return 'frozen already'
    return how === 'out' && to !== null ? 'out is no unit' : null
  }
  if (!unit) return 'no unit'
  if (unit.kind === 'hot well') return 'not a cold unit'
  if (unit.kind === 'freezer' && !isFrozen(item)) return 'that is freezing'
  if (unit.kind !== 'freezer' && isFrozen(item)) return 'that is thawing'
  return item.facts.needsCold && !isCold(unit.kind) ? 'not a cold unit' : null
}
