import type { ItemUse } from '../../ledger/storeEntries'
import { servingShut } from '../../judgement/lineage/part'
import { openedBy, withItemFact } from '../../state/itemChanges'
import { object, oneOf } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, madeItem, openItem } from '../guard/openItem'
import { parseMeasure } from '../guard/parseStore'
import { aroundItem, needsUsable } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-used': ItemUse
  }
}

/** Some of an item went to people. */
export const itemUsed: KindOf<'item-used'> = {
  kind: 'item-used',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { measure, then, happened } = object(body, ['measure', 'then', 'happened'])
    return {
      measure: parseMeasure(measure),
      then: oneOf(then, ['sold', 'served', 'tasted'] as const),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    // As a plan it is refused; what has happened can always be entered, and betters nothing.
    const item = claim.body.happened ? madeItem(claim, read) : openItem(claim, read)
    if (isRefusal(item)) return item
    return claim.body.happened ? null : needsUsable(item, claim.body.measure, read, world, claim.at, servingShut)
  },
  folds: {
    item: (state, entry) => openedBy(withItemFact(state, 'uses', entry, entry.claim.body), entry),
  },
}
