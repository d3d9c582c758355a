import { FieldError, hash, id, instant, list, object, oneOf, text, whole, type Field } from '../../ground/field'
import { INCIDENTS, type Complaint, type Incident } from '../../ledger/matter'
import { factOf } from '../../state/fact'
import { withItemFact } from '../../state/itemChanges'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { heldBy, unknownOf } from '../lot/recalled'

declare module '../../ledger/entry' {
  interface Bodies {
    'incident-told': Incident
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'incident-told': Incident
  }
}

/** The last instant that a date can be. */
const END_OF_TIME = 8.64e15

/** As many things are in question at once. */
const MOST = 200

/**
 * Something happened that no reading tells: anybody says so. What it happened to is kept apart until the lead has decided.
 */
export const incidentTold: KindOf<'incident-told'> = {
  kind: 'incident-told',
  v: 1,
  about: 'matter',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { what, note, items, batches, complaint, photo } = object(body, [
      'what',
      'note',
      'items',
      'batches',
      'complaint',
      'photo',
    ])
    if ((what.value === 'complaint') !== (complaint.value !== undefined))
      throw new FieldError(complaint.path, { code: 'missing' })
    return {
      what: oneOf(what, INCIDENTS),
      note: text(note, 500),
      items: list(items, id, MOST),
      batches: list(batches, id, MOST),
      ...(photo.value === undefined ? {} : { photo: hash(photo) }),
      ...(complaint.value === undefined ? {} : { complaint: parseComplaint(complaint) }),
    }
  },
  writes: ({ about, body }) => [about, ...heldBy(body)],
  reads: () => [],
  refuse({ about, at, body }, read) {
    const { eaten, onset } = body.complaint ?? { eaten: at, onset: null }
    if (Math.max(eaten, onset ?? eaten) > at)
      return {
        code: 'bad field',
        field: onset !== null && onset > at ? 'body.complaint.onset' : 'body.complaint.eaten',
        problem: { code: 'out of range', least: 0, most: at },
      }
    if (read('matter', about.id)) return { code: 'already there', field: 'about.id', what: 'matter' }
    return unknownOf(body, read)
  },
  fact: asEntered,
  begins: {
    matter: (entry, id) => ({ id, incident: factOf(entry, entry.claim.at, entry.claim.body), closings: [] }),
  },
  folds: {
    item: (state, entry) =>
      withItemFact(state, 'holds', entry, { held: true, reason: entry.claim.body.note, recall: null }),
  },
}

function parseComplaint(field: Field): Complaint {
  const { eaten, onset, people } = object(field, ['eaten', 'onset', 'people'])
  const told = { eaten: instant(eaten), onset: onset.value === null ? null : instant(onset) }
  if (told.onset !== null && told.onset < told.eaten)
    throw new FieldError(onset.path, { code: 'out of range', least: told.eaten, most: END_OF_TIME })
  return { ...told, people: whole(people, 1, 10_000) }
}
