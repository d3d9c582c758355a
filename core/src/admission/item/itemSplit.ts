import type { ItemSplit, Inherited } from '../../ledger/storeEntries'
import { splitOff, inheritedOf } from '../../state/newItem'
import { withItemFact } from '../../state/itemChanges'
import { id, object, nameOf } from '../../ground/field'
import { itemLeft } from '../../state/item'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'
import { parseMeasure } from '../guard/parseStore'

/** At first nobody said which lot's recall a hold was of: it is the kitchen's own, and the lead ends it. */
function ofItsOwn(as: Inherited): Inherited {
  return { ...as, holds: as.holds.map((hold) => ({ ...hold, recall: null })) }
}

declare module '../../ledger/entry' {
  interface Bodies {
    'item-split': ItemSplit
  }
}

/** Some of an item becomes one of its own: the same dates, the same history. */
export const itemSplit: KindOf<'item-split'> = {
  kind: 'item-split',
  v: 2,
  upcast: (body) => ({ ...body, as: ofItsOwn(body.as as Inherited) }),
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { into, code, measure, as } = object(body, ['into', 'code', 'measure', 'as'])
    // What it takes over needs no parsing: admit takes only the very one that core finds.
    return { into: id(into), code: nameOf(code, 24), measure: parseMeasure(measure), as: as.value as Inherited }
  },
  writes: ({ about, body: { into } }) => [about, { type: 'item', id: into }],
  reads: () => [],
  refuse(claim, read) {
    const { into, code, measure } = claim.body
    const item = openItem(claim, read)
    if (isRefusal(item)) return item
    if (read('item', into)) return { code: 'already there', field: 'body.into', what: 'item' }
    if (item.splits.some(({ value }) => value.code === code))
      return { code: 'code taken', field: 'body.code', taken: code }
    const left = itemLeft(item)
    if (measure.unit !== left.unit || measure.value >= left.value)
      return { code: 'item shut', field: 'body.measure', item: item.code, why: { code: 'more than is left', left } }
    return null
  },
  derive({ about, body: { measure } }, read) {
    const item = read('item', about.id)!
    return { as: inheritedOf(item, measure.value / item.measure.value) }
  },
  begins: { item: (entry) => splitOff(entry, entry.claim.body) },
  folds: {
    item: (state, entry) => withItemFact(state, 'splits', entry, entry.claim.body),
  },
}
