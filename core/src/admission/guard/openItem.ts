import type { Claim, Kind } from '../../ledger/entry'
import type { Refusal } from './refusal'
import { isGone, type ItemState } from '../../state/item'
import type { Read } from '../../state/state'

/** The item a claim is about, whatever became of it since; else why it is refused. */
export function madeItem({ about }: Pick<Claim<Kind>, 'about'>, read: Read): ItemState | Refusal {
  const item = read('item', about.id)
  return item && !item.undone ? item : { code: 'not there', field: 'about.id', what: 'item' }
}

/** The item a claim is about, while anything of it is left; else why it is refused. */
export function openItem({ about }: Pick<Claim<Kind>, 'about'>, read: Read): ItemState | Refusal {
  const item = read('item', about.id)
  if (!item) return { code: 'not there', field: 'about.id', what: 'item' }
  return isGone(item) ? { code: 'item gone', field: 'about.id' } : item
}

export function isRefusal(found: ItemState | Refusal): found is Refusal {
  return 'field' in found
}
