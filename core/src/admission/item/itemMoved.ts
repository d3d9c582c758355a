import { type Moved, MOVES } from '../../ledger/storeEntries'
import { withItemFact } from '../../state/itemChanges'
import { MINUTE } from '../../ground/instant'
import type { MoveShut, Refusal } from '../guard/refusal'
import { object, oneOf } from '../../ground/field'
import { isFrozen, placeOf, type ItemState } from '../../state/item'
import type { UnitState } from '../../state/unit'
import { isCold } from '../../recipe/checks/unitKind'
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
    const shut = moveShut(item, body, unit)
    if (shut) return shut
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

/** Why an item cannot be moved so, whatever its state of keeping; null when it can. */
export function moveShut(item: ItemState, { how, unit: to }: Moved, unit: UnitState | null): Refusal | null {
  const place = placeOf(item)?.value
  const shut = (why: MoveShut): Refusal => ({ code: 'move shut', field: 'body.how', item: item.code, why })
  if (place?.how === 'serve' && how !== 'serve') return shut('went out for good')
  if (place?.how === 'hot' && how !== 'hot' && how !== 'serve') return shut('went hot for good')
  if (how === 'freeze') {
    if (unit?.kind !== 'freezer') return shut('not a freezer')
    return isFrozen(item) ? shut('frozen already') : null
  }
  if (how === 'thaw') {
    if (!isFrozen(item)) return shut('not frozen')
    return unit && isCold(unit.kind) && unit.kind !== 'freezer' ? null : shut('thaws in the cold')
  }
  if (how === 'hot') return unit?.kind === 'hot well' ? null : shut('not a hot well')
  if (how === 'out' || how === 'serve') {
    if (isFrozen(item)) return shut('frozen already')
    return how === 'out' && to !== null ? shut('out is no unit') : null
  }
  if (!unit) return shut('no unit')
  if (unit.kind === 'hot well') return shut('not a cold unit')
  if (unit.kind === 'freezer' && !isFrozen(item)) return shut('that is freezing')
  if (unit.kind !== 'freezer' && isFrozen(item)) return shut('that is thawing')
  return item.facts.needsCold && !isCold(unit.kind) ? shut('not a cold unit') : null
}
