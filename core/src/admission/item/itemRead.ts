import type { Typed } from '../../ground/temperature'
import type { Id } from '../../ledger/subject'
import { withItemFact } from '../../state/itemChanges'
import { MINUTE } from '../../ground/instant'
import { id, object, typedTemperature } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-read': { typed: Typed; instrument: Id | null }
  }
}

/** The temperature of an item itself, by a probe between or in the food: it decides where air only asks. */
export const itemRead: KindOf<'item-read'> = {
  kind: 'item-read',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { typed, instrument } = object(body, ['typed', 'instrument'])
    return { typed: typedTemperature(typed), instrument: instrument.value === null ? null : id(instrument) }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { instrument } }) => (instrument === null ? [] : [{ type: 'instrument', id: instrument }]),
  refuse(claim, read) {
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    const { instrument } = claim.body
    if (instrument === null) return null
    const known = read('instrument', instrument)
    if (!known) return { code: 'not there', field: 'body.instrument', what: 'instrument' }
    return known.kind === 'probe' ? null : { code: 'cannot measure that', field: 'body.where', instrument: known.code }
  },
  lateAfter: 15 * MINUTE,
  folds: {
    item: (state, entry) => withItemFact(state, 'readings', entry, entry.claim.body),
  },
}
