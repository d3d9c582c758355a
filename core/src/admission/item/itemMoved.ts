import { type Moved, MOVES } from '../../ledger/storeEntries'
import { withItemFact } from '../../state/itemChanges'
import { MINUTE } from '../../ground/instant'
import type { Refusal } from '../guard/refusal'
import { object, oneOf } from '../../ground/field'
import { isFrozen } from '../../state/item'
import { moveShut } from '../../judgement/keeping/moveShut'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'
import { parseSpot } from '../guard/parseStore'
import { aroundItem, needsUsable } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-moved': Moved
  }
}

/** An item goes somewhere else: to another unit, into the frost, out of it, to the bench, to the guests, into the hot well. */
export const itemMoved: KindOf<'item-moved'> = {
  kind: 'item-moved',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { how, unit, shelf } = object(body, ['how', 'unit', 'shelf'])
    return { how: oneOf(how, MOVES), ...parseSpot({ unit, shelf }) }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { unit } }) => (unit === null ? [] : [{ type: 'unit', id: unit }]),
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    const { body, at } = claim
    const unit = body.unit === null ? null : read('unit', body.unit)
    if (body.unit !== null && !unit) return { code: 'not there', field: 'body.unit', what: 'unit' }
    const why = moveShut(item, body, unit)
    if (why) return { code: 'move shut', field: 'body.how', item: item.code, why }
    // Held food and food that asks for a reading may go into the cold: that harms nobody.
    const usable = needsUsable(item, null, read, world, at)
    const intoCold = body.how === 'move' && usable?.code === 'item shut' && usable.why.code !== 'to discard'
    return intoCold || body.how === 'thaw' || isFrozen(item) ? onlyDate(usable) : usable
  },
  lateAfter: 30 * MINUTE,
  folds: {
    item: (state, entry) => withItemFact(state, 'moves', entry, entry.claim.body),
  },
}

function onlyDate(refusal: Refusal | null): Refusal | null {
  return refusal?.code === 'item shut' && refusal.why.code === 'to discard' ? refusal : null
}
