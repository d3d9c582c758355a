import { id, object, text } from '../../ground/field'
import { DAY } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import type { Id } from '../../ledger/subject'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** `note`: where it went; asked for before its day is over. */
    'sample-ended': { sample: Id; note: string }
  }
}

/** A sample is thrown away once its day is over, or went to whoever looks into it. */
export const sampleEnded: KindOf<'sample-ended'> = {
  kind: 'sample-ended',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { sample, note } = object(body, ['sample', 'note'])
    return { sample: id(sample), note: note.value === '' ? '' : text(note, 300) }
  },
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, at, body }, read, { zone }) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const kept = read('kitchen', kitchen)?.samples.find(({ entry, ended }) => entry === body.sample && !ended)
    if (!kept) return { code: 'not there', field: 'body.sample', what: 'sample' }
    const early = dayOf(at, zone) <= kept.until && body.note.trim() === ''
    return early ? { code: 'still kept', field: 'body.note', until: kept.until } : null
  },
  folds: {
    kitchen(state, { claim: { at, by, body } }) {
      const samples = state.samples.map((each) =>
        each.entry === body.sample ? { ...each, ended: { at, by, note: body.note } } : each,
      )
      return { ...state, samples: samples.filter(({ ended }) => !ended || at - ended.at < KEPT) }
    },
  },
}

/** So long a kitchen knows by heart what became of a sample, ms. */
const KEPT = 40 * DAY
