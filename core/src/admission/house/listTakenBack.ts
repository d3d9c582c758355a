import type { Id } from '../../ledger/subject'
import { id, object } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { TAKEN_BACK_WITHIN } from '../item/takenBack'

declare module '../../ledger/entry' {
  interface Bodies {
    'list-taken-back': { target: Id }
  }
}

/** The wrong list was tapped, or the right one too soon: taken back within minutes, by who tapped it. */
export const listTakenBack: KindOf<'list-taken-back'> = {
  kind: 'list-taken-back',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ target: id(object(body, ['target']).target) }),
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, by, madeAt, body: { target } }, read, { now = madeAt }) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const done = read('kitchen', kitchen)?.listsDone.find(({ entry }) => entry === target)
    if (!done) return { code: 'not there', field: 'body.target', what: 'entry' }
    return done.by !== by || now - done.known > TAKEN_BACK_WITHIN
      ? { code: 'not taken back', field: 'body.target', why: 'late' }
      : null
  },
  folds: {
    kitchen: (state, { claim: { body } }) => ({
      ...state,
      listsDone: state.listsDone.filter(({ entry }) => entry !== body.target),
    }),
  },
}
