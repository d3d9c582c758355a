import { itemShut, packagesOf, type Id, type ItemState } from '@logged-thermal/core'
import { partShutSentence, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { ancestryIn, storeOfLine } from '../store/useStore'

/** What eggs of a lot are taken out of: the package that was begun; null where none is held. `shut`: why none may be. */
export function eggPackage(
  line: LineData,
  lot: Id,
  reader: Reader,
  now: number,
): { item: ItemState | null; shut: string | null } {
  const store = storeOfLine(line, now)
  const packages = packagesOf(lot, line.items)
  if (!store || packages.length === 0) return { item: null, shut: null }
  const shutOf = (item: ItemState) => itemShut(item, null, ancestryIn(line, item), store, now)
  const open = packages.find((item) => shutOf(item) === null)
  return open
    ? { item: open, shut: null }
    : { item: packages[0]!, shut: partShutSentence(shutOf(packages[0]!)!, reader) }
}
