import { acceptedInBatch } from '../../state/batchChanges'
import { id, object, text } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'
import { limitsIn } from '../guard/limitsIn'
import { needsOpenBatch } from '../guard/openBatch'

/** The lead lets a reading count that was entered long after it was taken, with the reason. The record says both. */
export const readingAccepted: KindOf<'reading-accepted'> = {
  kind: 'reading-accepted',
  v: 1,
  about: 'batch',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { target, reason } = object(body, ['target', 'reason'])
    return { target: id(target), reason: text(reason, 300) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  readsThen: (_claim, _read, world) => limitsIn(world),
  letsCount: ({ about, body }, read) =>
    (read('batch', about.id)?.facts['reading-taken'] ?? [])
      .filter(({ entry }) => entry === body.target)
      .flatMap(({ by, postedBy }) => (postedBy === null ? [by] : [by, postedBy])),
  refuse(claim, read) {
    const refusal = needsOpenBatch(claim, read)
    if (refusal) return refusal
    const known = read('batch', claim.about.id)?.facts['reading-taken'].some(({ entry }) => entry === claim.body.target)
    return known ? null : { code: 'not there', field: 'body.target', what: 'entry' }
  },
  folds: { batch: (state, entry) => acceptedInBatch(state, [entry.claim.body.target], entry) },
}
