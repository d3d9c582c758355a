import { MINUTE } from '../calendar/instant'
import type { SubjectType } from '../ledger/entry'
import { id, object, oneOf, type Field } from '../ledger/parse'
import type { Subject } from '../ledger/entry'
import { tapsOf } from '../state/item'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'

/** A mistaken tap on an item is taken back within this; after it the lead corrects what is left to correct, ms. */
export const TAKEN_BACK_WITHIN = 15 * MINUTE

/** A mistaken tap on an item is taken back: it stays in the logbook, struck through. */
export const takenBack: KindOf<'taken-back'> = {
  kind: 'taken-back',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { target, also } = object(body, ['target', 'also'])
    return { target: id(target), also: also.value === null ? null : parseAlso(also) }
  },
  touches: ({ about, body: { also } }) => (also ? [about, also] : [about]),
  reads: () => [],
  admit({ about, madeAt, body }, read) {
    const item = read('item', about.id)
    if (!item) return { code: 'not there', field: 'about.id', what: 'item' }
    const tap = tapsOf(item).find(({ entry, void: gone }) => entry === body.target && !gone)
    if (!tap) return { code: 'not there', field: 'body.target', what: 'entry' }
    const part = item.parts.find(({ entry }) => entry === body.target)
    if ((part?.value.batch ?? null) !== (body.also?.id ?? null)) return { code: 'other lineage', field: 'body' }
    // How it came to be, and what was split off, is put back by no tap.
    const came = item.born === body.target
    if (
      came ||
      item.splits.some(({ entry }) => entry === body.target) ||
      item.holds.some(({ entry }) => entry === body.target)
    )
      return { code: 'not taken back', field: 'body.target', why: 'stands' }
    return madeAt - tap.madeAt > TAKEN_BACK_WITHIN
      ? { code: 'not taken back', field: 'body.target', why: 'late' }
      : null
  },
}

function parseAlso(field: Field): Subject {
  const { type, id: of } = object(field, ['type', 'id'])
  return { type: oneOf<SubjectType>(type, ['batch']), id: id(of) }
}
