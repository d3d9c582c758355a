import { id, nameOf, object, oneOf, typedTemperature } from '../../ground/field'
import { MINUTE } from '../../ground/instant'
import { DISPATCHED_TO, type Dispatched } from '../../ledger/storeEntries'
import { dispatchShut } from '../../judgement/lineage/dispatch'
import { itemLeft } from '../../state/item'
import { openedBy, withItemFact } from '../../state/itemChanges'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, madeItem, openItem } from '../guard/openItem'
import { parseMeasure } from '../guard/parseStore'
import { probeRefusal } from '../guard/probeRefusal'
import { aroundItem, storeOf } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-dispatched': Omit<Dispatched, 'then'>
  }
}

/** Some of an item leaves the kitchen: to whom, how cold, in what. Nothing of it comes back into stock. */
export const itemDispatched: KindOf<'item-dispatched'> = {
  kind: 'item-dispatched',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const names = ['measure', 'to', 'name', 'typed', 'instrument', 'box', 'vehicle', 'happened'] as const
    const { measure, to, name, typed, instrument, box, vehicle, happened } = object(body, names)
    return {
      measure: parseMeasure(measure),
      to: oneOf(to, DISPATCHED_TO),
      name: nameOf(name, 120),
      typed: typed.value === null ? null : typedTemperature(typed),
      instrument: instrument.value === null ? null : id(instrument),
      box: nameOf(box, 120),
      vehicle: vehicle.value === null ? null : nameOf(vehicle, 120),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { instrument } }) => (instrument === null ? [] : [{ type: 'instrument', id: instrument }]),
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    const { body, at } = claim
    // As a plan it is refused; what has left already can always be entered, and betters nothing.
    const item = body.happened ? madeItem(claim, read) : openItem(claim, read)
    if (isRefusal(item)) return item
    const left = itemLeft(item)
    if (body.measure.unit !== left.unit)
      return { code: 'item shut', field: 'body.measure', item: item.code, why: { code: 'more than is left', left } }
    const probe = probeRefusal(body, read, at, body.happened === true)
    if (probe || body.happened) return probe
    const around = storeOf(item, read, world, at)
    if (!around) return { code: 'not there', field: 'kitchen', what: 'limits' }
    const why = dispatchShut(item, body, around.ancestry, around.store, at)
    return why && { code: 'item shut', field: 'about.id', item: item.code, why }
  },
  lateAfter: 30 * MINUTE,
  folds: {
    item: (state, entry) =>
      openedBy(withItemFact(state, 'uses', entry, { ...entry.claim.body, then: 'dispatched' as const }), entry),
  },
}
