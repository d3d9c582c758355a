import { id, list, object, oneOf, text, type Field } from '../../ground/field'
import type { Accepted, Claim } from '../../ledger/entry'
import type { Id, Subject } from '../../ledger/subject'
import { batchFacts } from '../../state/batchChanges'
import { isWaiting, type Fact } from '../../state/fact'
import { tapsOf } from '../../state/item'
import type { Read } from '../../state/state'

/** What the lead decides of entries that were known too late is told of many at once, with one reason. */
export function parseLate<T extends Accepted['type']>(body: Field, types: readonly T[]) {
  const { entries, reason } = object(body, ['entries', 'reason'])
  return {
    entries: list(entries, (field): Accepted & { type: T } => {
      const { type, id: of, entry } = object(field, ['type', 'id', 'entry'])
      return { type: oneOf(type, types), id: id(of), entry: id(entry) }
    }),
    reason: text(reason, 300),
  }
}

/** What those entries are told of, each once. */
export function subjectsOf(entries: readonly Accepted[]): Subject[] {
  return [...new Map(entries.map(({ type, id: of }) => [of, { type, id: of }])).values()]
}

/** Which of the entries are told of one subject. */
export function targetsIn(
  type: Accepted['type'],
  of: Id,
  { body }: Claim<'entries-accepted' | 'entries-refused'>,
): Id[] {
  return body.entries.filter((each) => each.type === type && each.id === of).map(({ entry }) => entry)
}

/**
 * What may be accepted of a subject, each with who entered it, and once more with whose shift it was entered in: a name is
 * tapped without a PIN. A correction by itself.
 */
export function entriesOf(subject: Accepted, read: Read): { entry: Id; by: Id }[] {
  if (subject.type === 'unit') return read('unit', subject.id)?.airs.map(({ entry, by }) => ({ entry, by })) ?? []
  return factsOf(subject, read).flatMap(({ entry, by, postedBy, waiting }) => [
    { entry, by },
    ...(postedBy === null ? [] : [{ entry, by: postedBy }]),
    ...waiting.map((each) => ({ entry: each.entry, by: each.by })),
  ])
}

/** What waits for the lead of a subject. */
export function waitingOf(subject: Accepted, read: Read): Id[] {
  return factsOf(subject, read).flatMap((fact) => [
    ...(isWaiting(fact) && !fact.refused ? [fact.entry] : []),
    ...fact.waiting.filter(({ refused }) => !refused).map(({ entry }) => entry),
  ])
}

function factsOf({ type, id: of }: Accepted, read: Read): Fact<unknown>[] {
  if (type === 'batch') return batchFacts(read('batch', of))
  const item = type === 'item' ? read('item', of) : null
  return item ? tapsOf(item) : []
}
