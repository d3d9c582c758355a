import { withItemFact } from '../../state/itemChanges'
import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-held': { reason: string }
  }
}

/** An item is kept apart until the lead decides: anybody may stop it. */
export const itemHeld: KindOf<'item-held'> = {
  kind: 'item-held',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ reason: text(object(body, ['reason']).reason, 300) }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read) {
    const item = openItem(claim, read)
    return isRefusal(item) ? item : null
  },
  folds: {
    item: (state, entry) =>
      withItemFact(state, 'holds', entry, { held: true, reason: entry.claim.body.reason, recall: null }),
  },
}
