import type { Id } from '../../ledger/subject'
import { type Instant, HOUR } from '../../ground/instant'
import { FieldError, id, instant, object } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** asked null: nobody is there. */
    'handed-over': { asked: Id | null; from: Instant; until: Instant }
  }
}

/** Who is asked for readings from an instant until another; nobody, where the kitchen is closed. */
export const handedOver: KindOf<'handed-over'> = {
  kind: 'handed-over',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { asked, from, until } = object(body, ['asked', 'from', 'until'])
    const handover = {
      asked: asked.value === null ? null : id(asked),
      from: instant(from),
      until: instant(until),
    }
    if (handover.until <= handover.from || handover.until - handover.from > 72 * HOUR)
      throw new FieldError(until.path, { code: 'out of range', least: handover.from, most: handover.from + 72 * HOUR })
    return handover
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about, kitchen }) =>
    about.id === kitchen ? null : { code: 'not there', field: 'about.id', what: 'kitchen' },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, handover: body }) },
}
