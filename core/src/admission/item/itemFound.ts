import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { parseMeasure, parseSpot } from '../guard/parseStore'

/** Something without a label or a date was found: it is entered to be thrown away. */
export const itemFound: KindOf<'item-found'> = {
  kind: 'item-found',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { code, name, measure, unit, shelf } = object(body, ['code', 'name', 'measure', 'unit', 'shelf'])
    return { code: text(code, 24), name: text(name, 80), measure: parseMeasure(measure), ...parseSpot({ unit, shelf }) }
  },
  touches: ({ about }) => [about],
  reads: ({ body: { unit } }) => (unit === null ? [] : [{ type: 'unit', id: unit }]),
  admit({ about, body: { unit } }, read) {
    if (read('item', about.id)) return { code: 'already there', field: 'about.id', what: 'item' }
    return unit !== null && !read('unit', unit) ? { code: 'not there', field: 'body.unit', what: 'unit' } : null
  },
}
