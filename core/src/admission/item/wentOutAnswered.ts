import { withItemFact } from '../../state/itemChanges'
import { object, text } from '../../ground/field'
import { isToAnswer } from '../../state/item'
import { ASSESSMENT_LENGTH } from '../../judgement/batch/disposition'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** What the lead did about what went out of it against what stood. */
    'went-out-answered': { reason: string }
  }
}

/**
 * The lead answers in writing for what went out of an item although something stood against it, or says which of what
 * contradicts each other is so: what was done about it.
 * It lets nothing go on; what is left of the item is decided apart.
 */
export const wentOutAnswered: KindOf<'went-out-answered'> = {
  kind: 'went-out-answered',
  v: 1,
  about: 'item',
  ...BY_THE_LEAD,
  parse: (body) => ({ reason: text(object(body, ['reason']).reason, 300) }),
  writes: ({ about }) => [about],
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  refuse({ about, body: { reason } }, read) {
    const item = read('item', about.id)
    if (!item) return { code: 'not there', field: 'about.id', what: 'item' }
    if (!isToAnswer(item)) return { code: 'nothing went out', field: 'about.id', item: item.code }
    return reason.trim().length < ASSESSMENT_LENGTH ? { code: 'reason short', field: 'body.reason' } : null
  },
  folds: {
    item: (state, entry) => withItemFact(state, 'answers', entry, entry.claim.body),
  },
}
