import type { Id } from '../../ledger/subject'
import type { Bodies } from '../../ledger/entry'
import { asEntered, BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { id, object, text } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    'already-in': { target: Id; reason: string }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    /** What the lead said of raw egg or fruit: it was in from the first, only entered later. */
    'already-in': Bodies['already-in']
  }
}

/** The lead says of raw egg, fruit or a part that was entered after the deciding reading: it was in the pot from the first. */
export const alreadyIn: KindOf<'already-in'> = {
  kind: 'already-in',
  v: 1,
  about: 'batch',
  ...BY_THE_LEAD,
  parse(body) {
    const { target, reason } = object(body, ['target', 'reason'])
    return { target: id(target), reason: text(reason, 300) }
  },
  writes: ({ about }) => [about],
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  refuse(claim, read) {
    const refusal = needsOpenBatch(claim, read)
    if (refusal) return refusal
    const {
      facts: { 'eggs-taken': eggs, added: additions, 'part-used': parts },
    } = read('batch', claim.about.id)!
    const known = [...eggs, ...additions, ...parts].some(
      ({ entry, void: gone }) => entry === claim.body.target && !gone,
    )
    return known ? null : { code: 'not there', field: 'body.target', what: 'entry' }
  },
  fact: asEntered,
}
