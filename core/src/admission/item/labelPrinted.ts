import { object, whole } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'label-printed': { copies: number }
  }
}

/** Labels of an item were printed: a label too many is a label on something else. */
export const labelPrinted: KindOf<'label-printed'> = {
  kind: 'label-printed',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ copies: whole(object(body, ['copies']).copies, 1, 500) }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) => (read('item', about.id) ? null : { code: 'not there', field: 'about.id', what: 'item' }),
  folds: { item: (state, { claim: { body } }) => ({ ...state, labels: state.labels + body.copies }) },
}
