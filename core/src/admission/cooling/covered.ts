import type { Cover } from '../../physics/cooling/faces'
import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { object, oneOf } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    covered: { cover: Cover }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    covered: Bodies['covered']
  }
}

/** How it stands to cool: open, film on the surface, or under a lid. */
export const covered: KindOf<'covered'> = {
  kind: 'covered',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({
    cover: oneOf(object(body, ['cover']).cover, ['open', 'film on the surface', 'lid'] as const),
  }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: needsOpenBatch,
  fact: asEntered,
}
