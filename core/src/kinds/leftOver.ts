import { canonical } from '../json/canonical'
import { eggLedger, leftOverOf } from '../egg/ledger'
import { id, instant, list, number, object, oneOf, text } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'

/** What a batch's eggs left over is kept as an item of its own, or thrown away; its lineage is the batch's. */
export const leftOver: KindOf<'left-over'> = {
  kind: 'left-over',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const names = ['batch', 'code', 'part', 'grams', 'then', 'made', 'lots', 'heat'] as const
    const { batch, code, part, grams, then, made, lots, heat } = object(body, names)
    return {
      batch: id(batch),
      code: text(code, 12),
      part: oneOf(part, ['whole', 'yolk', 'white'] as const),
      grams: number(grams, 0.1, 500_000),
      then: oneOf(then, ['kept', 'discarded'] as const),
      made: instant(made),
      lots: list(lots, id, 40),
      heat: oneOf(heat, ['shell', 'pasteurized'] as const),
    }
  },
  touches: ({ about, body: { batch } }) => [about, { type: 'batch', id: batch }],
  reads: () => [],
  admit({ about, body }, read) {
    if (read('item', about.id)) return { code: 'already there', field: 'about.id', what: 'item' }
    const batch = read('batch', body.batch)
    if (!batch) return { code: 'not there', field: 'body.batch', what: 'batch' }
    const lineage = leftOverOf(batch, body.part, body.grams, body.then)
    if (!lineage || canonical(lineage) !== canonical(body)) return { code: 'other lineage', field: 'body' }
    const left = eggLedger(batch).find(({ part }) => part === body.part)?.left ?? 0
    // A scale and a count never agree to the gram.
    const most = left * 1.25 + 30
    return body.grams > most ? { code: 'more than is left', field: 'body.grams', left: Math.round(left) } : null
  },
}
