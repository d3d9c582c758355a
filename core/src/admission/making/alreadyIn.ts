import { id, object, text } from '../../ground/field'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'

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
  touches: ({ about }) => [about],
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  admit(claim, read) {
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
}
