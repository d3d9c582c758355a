import { id, list, object, oneOf, text } from '../../ground/field'
import { INCIDENTS, type Incident } from '../../ledger/matter'
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
    const { what, note, items, batches } = object(body, ['what', 'note', 'items', 'batches'])
    return {
      what: oneOf(what, INCIDENTS),
      note: text(note, 500),
      items: list(items, id, MOST),
      batches: list(batches, id, MOST),
    }
  },
  writes: ({ about, body }) => [about, ...heldBy(body)],
  reads: () => [],
  refuse({ about, body }, read) {
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
