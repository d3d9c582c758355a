import { flag, id, object, typedTemperature } from '../../ground/field'
import { MINUTE } from '../../ground/instant'
import type { Arrived } from '../../ledger/storeEntries'
import { isOverLimit } from '../../judgement/lineage/dispatch'
import { dispatchesOf } from '../../state/item'
import { withItemFact } from '../../state/itemChanges'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, madeItem } from '../guard/openItem'
import { aroundItem, storeOf } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-arrived': Arrived
  }
}

/** What left the kitchen is read as it arrives, or whoever got it says what they read. Too warm, the lead answers for it. */
export const itemArrived: KindOf<'item-arrived'> = {
  kind: 'item-arrived',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { target, typed, instrument, warm } = object(body, ['target', 'typed', 'instrument', 'warm'])
    return {
      target: id(target),
      typed: typedTemperature(typed),
      instrument: instrument.value === null ? null : id(instrument),
      warm: flag(warm),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { instrument } }) => (instrument === null ? [] : [{ type: 'instrument', id: instrument }]),
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    const item = madeItem(claim, read)
    if (isRefusal(item)) return item
    const { target, instrument } = claim.body
    if (!dispatchesOf(item).some(({ out }) => out.entry === target))
      return { code: 'not there', field: 'body.target', what: 'entry' }
    if (instrument !== null && !read('instrument', instrument))
      return { code: 'not there', field: 'body.instrument', what: 'instrument' }
    return storeOf(item, read, world, claim.at) ? null : { code: 'not there', field: 'kitchen', what: 'limits' }
  },
  derive({ about, at, body: { typed } }, read, world) {
    const item = read('item', about.id)!
    const { store } = storeOf(item, read, world, at)!
    return { warm: isOverLimit(item, typed, store, at) !== null }
  },
  lateAfter: 30 * MINUTE,
  folds: {
    item: (state, entry) => withItemFact(state, 'arrivals', entry, entry.claim.body),
  },
}
