import { acceptedInBatch } from '../../state/batchChanges'
import { acceptedInItem } from '../../state/itemChanges'
import { acceptedAir } from '../../state/unit'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { limitsIn } from '../guard/limitsIn'
import { entriesOf, parseLate, subjectsOf, targetsIn } from './lateEntries'

/**
 * The lead lets entries count that were known too late or stood in doubt, all those of one outage in one act, with the
 * reason. What was missed without them is at most "not proven" with them.
 */
export const entriesAccepted: KindOf<'entries-accepted'> = {
  kind: 'entries-accepted',
  v: 1,
  about: 'kitchen',
  ...BY_THE_LEAD,
  parse: (body) => parseLate(body, ['batch', 'item', 'unit']),
  writes: ({ body: { entries } }) => subjectsOf(entries),
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  readsThen: (_claim, _read, world) => limitsIn(world),
  letsCount: ({ body: { entries } }, read) =>
    entries.flatMap((each) => entriesOf(each, read).flatMap(({ entry, by }) => (entry === each.entry ? [by] : []))),
  refuse({ about, kitchen, body: { entries } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const known =
      entries.length > 0 && entries.every((each) => entriesOf(each, read).some(({ entry }) => entry === each.entry))
    return known ? null : { code: 'not there', field: 'body.entries', what: 'entry' }
  },
  folds: {
    batch: (state, entry, id) => acceptedInBatch(state, targetsIn('batch', id, entry.claim), entry),
    item: (state, entry, id) => acceptedInItem(state, targetsIn('item', id, entry.claim), entry),
    unit: (state, { claim }, id) => {
      const targets = targetsIn('unit', id, claim)
      return { ...state, airs: state.airs.map((air) => (targets.includes(air.entry) ? acceptedAir(air) : air)) }
    },
  },
}
