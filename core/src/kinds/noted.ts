import { object, text } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { needsOpenBatch } from './openBatch'

/** A remark about a batch. It moves no standing. */
export const noted: KindOf<'noted'> = {
  kind: 'noted',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ text: text(object(body, ['text']).text, 500) }),
  touches: ({ about }) => [about],
  reads: () => [],
  admit: needsOpenBatch,
}
