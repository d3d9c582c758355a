import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'

/** An item is kept apart until the lead decides: anybody may stop it. */
export const itemHeld: KindOf<'item-held'> = {
  kind: 'item-held',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ reason: text(object(body, ['reason']).reason, 300) }),
  touches: ({ about }) => [about],
  reads: () => [],
  admit(claim, read) {
    const item = openItem(claim, read)
    return isRefusal(item) ? item : null
  },
}
