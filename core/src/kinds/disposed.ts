import { object, oneOf, text } from '../ledger/parse'
import type { KindOf } from './kindOf'

/** The lead decides what becomes of a batch. May be decided anew: the earlier decision stays in the logbook. */
export const disposed: KindOf<'disposed'> = {
  kind: 'disposed',
  v: 1,
  about: 'batch',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { decision, reason } = object(body, ['decision', 'reason'])
    return { decision: oneOf(decision, ['hold', 'discard'] as const), reason: text(reason, 300) }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit: ({ about }, read) =>
    read('batch', about.id) ? null : { code: 'not there', field: 'about.id', what: 'batch' },
}
