import type { Id } from '../../ledger/subject'
import { id, object } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { TAKEN_BACK_WITHIN } from '../item/takenBack'

declare module '../../ledger/entry' {
  interface Bodies {
    'air-taken-back': { target: Id }
  }
}

/** A mistyped look at a unit's air is taken back, within minutes. */
export const airTakenBack: KindOf<'air-taken-back'> = {
  kind: 'air-taken-back',
  v: 1,
  about: 'unit',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ target: id(object(body, ['target']).target) }),
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, by, madeAt, body: { target } }, read, { now = madeAt }) {
    const unit = read('unit', about.id)
    if (!unit) return { code: 'not there', field: 'about.id', what: 'unit' }
    const look = unit.airs.find(({ entry }) => entry === target)
    if (!look) return { code: 'not there', field: 'body.target', what: 'entry' }
    return look.by !== by || now - look.enteredAt > TAKEN_BACK_WITHIN
      ? { code: 'not taken back', field: 'body.target', why: 'late' }
      : null
  },
  folds: {
    unit: (state, { claim: { body } }) => ({ ...state, airs: state.airs.filter((air) => air.entry !== body.target) }),
  },
}
