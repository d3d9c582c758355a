import { type ItemDiscarded, DISCARD_REASONS } from '../../ledger/storeEntries'
import { factOf } from '../../state/fact'
import { number, object, oneOf, text, whole } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, openItem } from '../guard/openItem'
import { parseMeasure } from '../guard/parseStore'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-discarded': ItemDiscarded
  }
}

/** What was left of an item went into the bin, with why, how much it weighed and what it cost. */
export const itemDiscarded: KindOf<'item-discarded'> = {
  kind: 'item-discarded',
  v: 2,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  upcast: ({ reason }) => ({ reason: 'other', note: reason, measure: null, grams: null, cost: null }),
  parse(body) {
    const { reason, note, measure, grams, cost } = object(body, ['reason', 'note', 'measure', 'grams', 'cost'])
    return {
      reason: oneOf(reason, DISCARD_REASONS),
      note: note.value === null ? null : text(note, 200),
      measure: measure.value === null ? null : parseMeasure(measure),
      grams: grams.value === null ? null : number(grams, 0, 1_000_000),
      cost: cost.value === null ? null : whole(cost, 0, 100_000_000),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read) {
    const item = openItem(claim, read)
    return isRefusal(item) ? item : null
  },
  folds: { item: (state, entry) => ({ ...state, discarded: factOf(entry, entry.claim.at, entry.claim.body) }) },
}
