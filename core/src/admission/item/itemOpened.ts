import { object } from '../../ground/field'
import { openedAt } from '../../state/item'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'
import { aroundItem, needsUsable } from '../guard/storeOf'

/** A package is opened: from that day on its opened days count. */
export const itemOpened: KindOf<'item-opened'> = {
  kind: 'item-opened',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => object(body, []),
  touches: ({ about }) => [about],
  reads: () => [],
  follows: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  admit(claim, read, world) {
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    if (item.what !== 'package' || openedAt(item) !== null)
      return { code: 'not to open', field: 'about.id', item: item.code }
    return needsUsable(item, null, read, world, claim.at)
  },
}
