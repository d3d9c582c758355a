import { factOf } from '../../state/fact'
import { object, oneOf, whole } from '../../ground/field'
import { judgeBatch, rulingDate } from '../../judgement/batch/judgeBatch'
import { isCleared } from '../../judgement/lineage/cleared'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    /** Served at once; what was left went to discard. */
    served: Served
  }
}

/** What is served at once went out; what was left went to discard. Only of a method that is not kept. */
export const served: KindOf<'served'> = {
  kind: 'served',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { discarded, happened } = object(body, ['discarded', 'happened'])
    return {
      discarded: discarded.value === null ? null : whole(discarded, 0, 100_000),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read, { zone }) {
    const refusal = needsOpenBatch(claim, read)
    if (refusal) return refusal
    const batch = read('batch', claim.about.id)!
    if (batch.method.cooling !== 'none') return { code: 'kept, not served', field: 'about.id' }
    // As a plan it is refused; what has happened can always be entered, and betters nothing.
    if (claim.body.happened) return null
    if (rulingDate(judgeBatch(batch, { zone }, claim.at))?.standing === 'missed')
      return { code: 'time to serve is up', field: 'about.id', batch: batch.code }
    return isCleared(batch, zone, claim.at)
      ? null
      : { code: 'not proven to serve', field: 'about.id', batch: batch.code }
  },
  folds: { batch: (state, entry) => ({ ...state, served: factOf(entry, entry.claim.at, entry.claim.body) }) },
}
