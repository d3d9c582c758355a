import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { object, oneOf } from '../../ground/field'
import { batchStanding, judgeBatch } from '../../judgement/batch/judgeBatch'
import { timelineOf } from '../../judgement/timeline/timeline'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    /** Proven and cold, it went into the warmth again. */
    rewarmed: { how: 'melted again' | 'baked again' | 'warmed again' }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    rewarmed: Bodies['rewarmed']
  }
}

const REWARMED_HOW = ['melted again', 'baked again', 'warmed again'] as const

/**
 * A batch that is proven and kept goes into the warmth once more, to be moulded or glazed: a thermal event of its own,
 * with its own way back to the cold. What is not proven is the lead's to rework; the house says how often.
 */
export const rewarmed: KindOf<'rewarmed'> = {
  kind: 'rewarmed',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ how: oneOf(object(body, ['how']).how, REWARMED_HOW) }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read, world) {
    const shut = needsOpenBatch(claim, read)
    if (shut) return shut
    const batch = read('batch', claim.about.id)!
    const { rewarmings: most } = batch.terms
    if (timelineOf(batch).warmings.all.length >= most) return { code: 'rewarmed enough', field: 'about.id', most }
    return batchStanding(judgeBatch(batch, world, claim.at)) === 'proven'
      ? null
      : { code: 'not proven to rewarm', field: 'about.id' }
  },
  lateAfter: 15 * MINUTE,
  fact: asEntered,
}
