import { withItemFact } from '../../state/itemChanges'
import { MINUTE } from '../../ground/instant'
import { object } from '../../ground/field'
import { openedAt } from '../../state/item'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'
import { aroundItem, needsUsable } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-opened': Record<string, never>
  }
}

/** A package is opened: from that day on its opened days count. */
export const itemOpened: KindOf<'item-opened'> = {
  kind: 'item-opened',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => object(body, []),
  writes: ({ about }) => [about],
  reads: () => [],
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    if (item.what !== 'package' || openedAt(item) !== null)
      return { code: 'not to open', field: 'about.id', item: item.code }
    return needsUsable(item, null, read, world, claim.at)
  },
  lateAfter: 30 * MINUTE,
  folds: {
    item: (state, entry) => withItemFact(state, 'opened', entry, entry.claim.body),
  },
}
