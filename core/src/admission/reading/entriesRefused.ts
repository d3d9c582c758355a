import { refusedInBatch } from '../../state/batchChanges'
import { refusedInItem } from '../../state/itemChanges'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { limitsIn } from '../guard/limitsIn'
import { parseLate, subjectsOf, targetsIn, waitingOf } from './lateEntries'

/**
 * The lead looked at entries that wait and does not let them count, with the reason. They go on denying what they denied
 * and better nothing, as before; they no longer wait. What the lead refused may be let count later.
 */
export const entriesRefused: KindOf<'entries-refused'> = {
  kind: 'entries-refused',
  v: 1,
  about: 'kitchen',
  ...BY_THE_LEAD,
  parse: (body) => parseLate(body, ['batch', 'item']),
  writes: ({ body: { entries } }) => subjectsOf(entries),
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  readsThen: (_claim, _read, world) => limitsIn(world),
  refuse({ about, kitchen, body: { entries } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const waits = entries.length > 0 && entries.every((each) => waitingOf(each, read).includes(each.entry))
    return waits ? null : { code: 'not there', field: 'body.entries', what: 'entry' }
  },
  folds: {
    batch: (state, entry, id) => refusedInBatch(state, targetsIn('batch', id, entry.claim), entry),
    item: (state, entry, id) => refusedInItem(state, targetsIn('item', id, entry.claim), entry),
  },
}
