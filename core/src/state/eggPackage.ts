import { outOfPackage } from './gramsTaken'
import type { Id } from '../ledger/subject'
import type { EggsTaken } from '../ledger/entry'
import { isGone, itemLeft, type ItemState } from './item'

/** Whether that weighs more than the package holds, within what a scale is off by; a count of shells is no measure. */
export function isMoreThanLeft(item: ItemState, taken: EggsTaken): boolean {
  const out = taken.form === 'pasteurized' ? outOfPackage(taken, item.measure.unit) : null
  return out !== null && out.value > itemLeft(item).value * 1.1 + 1
}

/** The packages that are held of a lot, the one with the least left first: it was begun. */
export function packagesOf(lot: Id, items: readonly ItemState[]): ItemState[] {
  return items
    .filter((item) => isPackageOf(lot, item) && !isGone(item))
    .sort((a, b) => itemLeft(a).value - itemLeft(b).value)
}

export function isPackageOf(lot: Id, { what, from }: Pick<ItemState, 'what' | 'from'>): boolean {
  return what === 'package' && from.some(({ id }) => id === lot)
}
