import { object, oneOf } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'

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
  touches: ({ about }) => [about],
  reads: () => [],
  admit: needsOpenBatch,
}
