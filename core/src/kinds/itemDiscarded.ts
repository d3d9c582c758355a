import { object, text } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'

/** An item went into the bin. */
export const itemDiscarded: KindOf<'item-discarded'> = {
  kind: 'item-discarded',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ reason: text(object(body, ['reason']).reason, 200) }),
  touches: ({ about }) => [about],
  reads: () => [],
  admit({ about }, read) {
    const item = read('item', about.id)
    if (!item) return { code: 'not there', field: 'about.id', what: 'item' }
    return item.discarded ? { code: 'item gone', field: 'about.id' } : null
  },
}
