import type { Unfounded } from '../../ledger/instrumentEntries'
import type { Subject } from '../../ledger/subject'
import type { Read } from '../../state/state'

/** What was split off something inherits its readings: it stands in the same doubt. */
export function withSplitOff(doubted: readonly Subject[], read: Read): Subject[] {
  const all = new Map(doubted.map((subject) => [subject.id, subject]))
  // A map goes on to what is put into it meanwhile: pieces of pieces too.
  for (const { type, id: of } of all.values()) {
    if (type !== 'item') continue
    for (const { value } of read('item', of)?.splits ?? []) all.set(value.into, { type: 'item', id: value.into })
  }
  return [...all.values()]
}

export function throughWithSplitOff(through: readonly Unfounded[], read: Read): Unfounded[] {
  return through.map((each) => ({ ...each, doubted: withSplitOff(each.doubted, read) }))
}

/** All that is in doubt through others, and those. */
export function reachedThrough(through: readonly Unfounded[] = []): Subject[] {
  return through.flatMap(({ instrument, doubted }): Subject[] => [{ type: 'instrument', id: instrument }, ...doubted])
}
