import { acceptedInBatch, batchFacts } from '../../state/batchChanges'
import { acceptedInItem } from '../../state/itemChanges'
import { acceptedAir } from '../../state/unit'
import { type EntryOf, BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { id, list, object, oneOf, text } from '../../ground/field'
import type { Id } from '../../ledger/subject'
import type { Accepted } from '../../ledger/entry'
import type { Fact } from '../../state/fact'
import { tapsOf } from '../../state/item'
import type { Read } from '../../state/state'
import { limitsIn } from '../guard/limitsIn'

/**
 * The lead lets entries count that were known too late or stood in doubt, all those of one outage in one act, with the
 * reason. What was missed without them is at most "not proven" with them.
 */
export const entriesAccepted: KindOf<'entries-accepted'> = {
  kind: 'entries-accepted',
  v: 1,
  about: 'kitchen',
  ...BY_THE_LEAD,
  parse(body) {
    const { entries, reason } = object(body, ['entries', 'reason'])
    return {
      entries: list(entries, (field): Accepted => {
        const { type, id: of, entry } = object(field, ['type', 'id', 'entry'])
        return { type: oneOf(type, ['batch', 'item', 'unit'] as const), id: id(of), entry: id(entry) }
      }),
      reason: text(reason, 300),
    }
  },
  writes: ({ body: { entries } }) => {
    const seen = new Set<Id>()
    return entries.filter(({ id: of }) => !seen.has(of) && seen.add(of)).map(({ type, id: of }) => ({ type, id: of }))
  },
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
    batch: (state, entry, id) => acceptedInBatch(state, targetsIn('batch', id, entry), entry),
    item: (state, entry, id) => acceptedInItem(state, targetsIn('item', id, entry), entry),
    unit: (state, entry, id) => {
      const targets = targetsIn('unit', id, entry)
      return { ...state, airs: state.airs.map((air) => (targets.includes(air.entry) ? acceptedAir(air) : air)) }
    },
  },
}

/**
 * What may be accepted of a subject, each with who entered it, and once more with whose shift it was entered in: a name is
 * tapped without a PIN. A correction by itself.
 */
function entriesOf({ type, id: of }: Accepted, read: Read): { entry: Id; by: Id }[] {
  const all = (facts: readonly Fact<unknown>[]) =>
    facts.flatMap(({ entry, by, postedBy, waiting }) => [
      { entry, by },
      ...(postedBy === null ? [] : [{ entry, by: postedBy }]),
      ...waiting.map((each) => ({ entry: each.entry, by: each.by })),
    ])
  if (type === 'batch') return all(batchFacts(read('batch', of)))
  if (type === 'unit') return read('unit', of)?.airs.map(({ entry, by }) => ({ entry, by })) ?? []
  const item = read('item', of)
  return item ? all(tapsOf(item)) : []
}

function targetsIn(type: Accepted['type'], id: Id, { claim }: EntryOf<'entries-accepted'>): Id[] {
  return claim.body.entries.filter((each) => each.type === type && each.id === id).map(({ entry }) => entry)
}
