import type { Typed } from '../../ground/temperature'
import type { Id } from '../../ledger/subject'
import { withItemFact } from '../../state/itemChanges'
import { MINUTE } from '../../ground/instant'
import { id, object, typedTemperature } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import type { ReadBy } from '../../ledger/instrumentEntries'
import { withUse } from '../../state/instrument'
import { isRefusal, openItem } from '../guard/openItem'
import { backed, instrumentOf, parseReadBy } from '../reading/readingTaken'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-read': { typed: Typed; instrument: Id | null; readBy?: ReadBy }
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
    const { typed, instrument, readBy } = object(body, ['typed', 'instrument', 'readBy'])
    return {
      typed: typedTemperature(typed),
      instrument: instrument.value === null ? null : id(instrument),
      ...parseReadBy(readBy, instrument),
    }
  },
  writes: ({ about, body }) => [about, ...instrumentOf(body)],
  reads: () => [],
  refuse(claim, read) {
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    const { instrument } = claim.body
    if (instrument === null) return null
    const known = read('instrument', instrument)
    if (!known) return { code: 'not there', field: 'body.instrument', what: 'instrument' }
    if (known.gone && known.gone.at <= claim.at)
      return { code: 'instrument gone', field: 'body.instrument', instrument: known.code }
    return known.kind === 'probe' ? null : { code: 'cannot measure that', field: 'body.where', instrument: known.code }
  },
  derive: ({ at, body }, read) => backed(body, at, read),
  lateAfter: 15 * MINUTE,
  folds: {
    item: (state, entry) => withItemFact(state, 'readings', entry, entry.claim.body),
    instrument: (state, { claim: { at, about } }) => withUse(state, about, at),
  },
}
