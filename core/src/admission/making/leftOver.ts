import type { LeftOver, Bodies, Claim } from '../../ledger/entry'
import { BY_PRODUCT_DAYS } from '../../recipe/ingredient/byProduct'
import type { EggPart } from '../../recipe/ingredient/eggGrams'
import type { Known } from '../../ledger/late'
import type { HeatStatus } from '../../ledger/storeEntries'
import { factOf } from '../../state/fact'
import { NO_ITEM, putIn, type NewItem } from '../../state/newItem'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { canonical } from '../../ground/canonical'
import { eggLedger, leftOverOf } from '../../judgement/timeline/eggLedger'
import type { Day } from '../../ground/zone'
import { id, instant, list, number, object, oneOf, text, type Field } from '../../ground/field'
import { parseSpot } from '../guard/parseStore'
import { parseDayField } from '../../rules/parseVariance'

declare module '../../ledger/entry' {
  interface Bodies {
    'left-over': LeftOver
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'left-over': Bodies['left-over']
  }
}

/** What a batch's eggs left over is kept as an item of its own, or thrown away; its lineage is the batch's. */
export const leftOver: KindOf<'left-over'> = {
  kind: 'left-over',
  v: 2,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  upcast: (body) => ({ ...body, useBys: [], spot: null }),
  parse(body) {
    const names = ['batch', 'code', 'part', 'grams', 'then', 'made', 'lots', 'heat', 'useBys', 'spot'] as const
    const { batch, code, part, grams, then, made, lots, heat, useBys, spot } = object(body, names)
    return {
      batch: id(batch),
      code: text(code, 12),
      part: oneOf(part, ['whole', 'yolk', 'white'] as const),
      grams: number(grams, 0.1, 500_000),
      then: oneOf(then, ['kept', 'discarded'] as const),
      made: instant(made),
      lots: list(lots, id, 40),
      heat: oneOf(heat, ['shell', 'pasteurized'] as const),
      useBys: list(useBys, parseUseBy, 40),
      spot: spot.value === null ? null : parseSpot(object(spot, ['unit', 'shelf'])),
    }
  },
  writes: ({ about, body: { batch } }) => [about, { type: 'batch', id: batch }],
  reads: ({ body: { lots, spot } }) => [
    ...lots.map((lot) => ({ type: 'lot' as const, id: lot })),
    ...(spot?.unit ? [{ type: 'unit' as const, id: spot.unit }] : []),
  ],
  refuse({ about, body }, read) {
    if (read('item', about.id)) return { code: 'already there', field: 'about.id', what: 'item' }
    const batch = read('batch', body.batch)
    if (!batch) return { code: 'not there', field: 'body.batch', what: 'batch' }
    const lots = body.lots.flatMap((lot) => read('lot', lot) ?? [])
    if (body.spot?.unit && !read('unit', body.spot.unit)) return { code: 'not there', field: 'body.spot', what: 'unit' }
    const lineage = leftOverOf(batch, body.part, body.grams, body.then, lots, body.spot)
    if (!lineage || canonical(lineage) !== canonical(body)) return { code: 'other lineage', field: 'body' }
    const left = eggLedger(batch).find(({ part }) => part === body.part)?.left ?? 0
    // A scale and a count never agree to the gram.
    const most = left * 1.25 + 30
    return body.grams > most ? { code: 'more than is left', field: 'body.grams', left: Math.round(left) } : null
  },
  fact: asEntered,
  begins: { item: (entry) => leftOverItem(entry, entry.claim) },
}

function parseUseBy(field: Field): { name: string; lastDay: Day } {
  const { name, lastDay } = object(field, ['name', 'lastDay'])
  return { name: text(name, 40), lastDay: parseDayField(lastDay) }
}

const PART_NAME: Record<EggPart, string> = { whole: 'Whole egg', yolk: 'Yolks', white: 'Whites' }
const HEAT_OF: Record<LeftOver['heat'], HeatStatus> = { shell: 'raw', pasteurized: 'pasteurized' }

function leftOverItem(entry: Known, { at, by, body }: Claim<'left-over'>): NewItem {
  const { batch, code, part, grams, made, lots, heat, then, spot, useBys } = body
  const measure = { value: grams, unit: 'g' as const }
  const days = {
    what: 'days' as const,
    count: BY_PRODUCT_DAYS[part],
    from: null,
    force: 'house' as const,
    source: {
      document: 'House default',
      section: `${PART_NAME[part].toLowerCase()} left over`,
      edition: '1',
      confidence: 'medium' as const,
    },
  }
  return {
    ...NO_ITEM,
    code: `${code}${part[0]}`,
    name: PART_NAME[part],
    what: 'by-product',
    from: [{ type: 'batch', id: batch, code }, ...lots.map((lot) => ({ type: 'lot' as const, id: lot, code: '' }))],
    made,
    madeBy: by,
    measure,
    dating: { prepared: made, keeps: [days], useBy: null, parts: useBys },
    facts: {
      allergens: ['egg'],
      claims: ['vegetarian', 'without gluten', 'without nuts', 'without alcohol'],
      advisory: false,
      heat: HEAT_OF[heat],
      needsCold: true,
      unknown: [],
    },
    coldAt: at,
    ingredient: part === 'whole' ? 'egg' : part,
    moves: putIn(entry, spot),
    discarded:
      then === 'discarded'
        ? factOf(entry, at, { reason: 'not kept' as const, note: null, measure, grams, cost: null })
        : null,
  }
}
