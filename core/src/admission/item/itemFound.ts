import type { Measure } from '../../ground/measure'
import type { Spot } from '../../ledger/storeEntries'
import { NO_ITEM, putIn } from '../../state/newItem'
import { object, nameOf } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { parseMeasure, parseSpot } from '../guard/parseStore'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-found': { code: string; name: string; measure: Measure } & Spot
  }
}

/** Something without a label or a date was found: it is entered to be thrown away. */
export const itemFound: KindOf<'item-found'> = {
  kind: 'item-found',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { code, name, measure, unit, shelf } = object(body, ['code', 'name', 'measure', 'unit', 'shelf'])
    return {
      code: nameOf(code, 24),
      name: nameOf(name, 80),
      measure: parseMeasure(measure),
      ...parseSpot({ unit, shelf }),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { unit } }) => (unit === null ? [] : [{ type: 'unit', id: unit }]),
  refuse({ about, body: { unit } }, read) {
    if (read('item', about.id)) return { code: 'already there', field: 'about.id', what: 'item' }
    return unit !== null && !read('unit', unit) ? { code: 'not there', field: 'body.unit', what: 'unit' } : null
  },
  begins: {
    // Nothing is known of it: it has no date, counts as raw, and goes to discard.
    item: (entry) => {
      const { at, by, body } = entry.claim
      const { code, name, measure } = body
      return {
        ...NO_ITEM,
        code,
        name,
        what: 'find',
        made: at,
        madeBy: by,
        measure,
        dating: { prepared: at, keeps: [], useBy: null, parts: [] },
        facts: { allergens: [], claims: [], advisory: false, heat: 'raw', needsCold: true, unknown: [name] },
        moves: putIn(entry, body),
      }
    },
  },
}
