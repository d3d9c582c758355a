import type { BatchState } from '../../state/batch'
import type { Read } from '../../state/state'
import type { LeftOver, Bodies, Claim } from '../../ledger/entry'
import type { EggPart } from '../../recipe/ingredient/eggGrams'
import type { Known } from '../../ledger/late'
import type { HeatStatus } from '../../ledger/storeEntries'
import { factOf } from '../../state/fact'
import { NO_ITEM, putIn, type NewItem } from '../../state/newItem'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { eggLedger, leftOverOf } from '../../judgement/eggs/eggLedger'
import type { Day } from '../../ground/zone'
import { id, instant, list, number, object, oneOf, whole, type Field, nameOf } from '../../ground/field'
import { parseSpot } from '../guard/parseStore'
import { parseDayField } from '../../rules/parseVariance'
import { datingOfLeftOver } from '../../judgement/dates/ofLeftOver'

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
  v: 3,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  upcast: (body, v) => ({
    ...body,
    ...(v === 1 ? { useBys: [], spot: null } : {}),
    keepDays: FORMER_DAYS[body.part as EggPart],
  }),
  parse(body) {
    const names = [
      'batch',
      'code',
      'part',
      'grams',
      'then',
      'made',
      'lots',
      'heat',
      'useBys',
      'spot',
      'keepDays',
    ] as const
    const { batch, code, part, grams, then, made, lots, heat, useBys, spot, keepDays } = object(body, names)
    return {
      batch: id(batch),
      code: nameOf(code, 12),
      part: oneOf(part, ['whole', 'yolk', 'white'] as const),
      grams: number(grams, 0.1, 500_000),
      then: oneOf(then, ['kept', 'discarded'] as const),
      made: instant(made),
      lots: list(lots, id, 40),
      heat: oneOf(heat, ['shell', 'pasteurized'] as const),
      useBys: list(useBys, parseUseBy, 40),
      spot: spot.value === null ? null : parseSpot(object(spot, ['unit', 'shelf'])),
      keepDays: whole(keepDays, 1, 30),
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
    if (body.spot?.unit && !read('unit', body.spot.unit)) return { code: 'not there', field: 'body.spot', what: 'unit' }
    if (!lineageOf(batch, body, read)) return { code: 'other lineage', field: 'body' }
    const left = eggLedger(batch).find(({ part }) => part === body.part)?.left ?? 0
    // A scale and a count never agree to the gram.
    const most = left * 1.25 + 30
    return body.grams > most ? { code: 'more than is left', field: 'body.grams', left: Math.round(left) } : null
  },
  derive: ({ body }, read) => lineageOf(read('batch', body.batch)!, body, read)!,
  fact: asEntered,
  begins: { item: (entry) => leftOverItem(entry, entry.claim) },
}

function parseUseBy(field: Field): { name: string; lastDay: Day } {
  const { name, lastDay } = object(field, ['name', 'lastDay'])
  return { name: nameOf(name, 40), lastDay: parseDayField(lastDay) }
}

/** As long as each was kept before the entry said so; it never changes. */
const FORMER_DAYS: Record<EggPart, number> = { whole: 2, yolk: 2, white: 4 }

const PART_NAME: Record<EggPart, string> = { whole: 'Whole egg', yolk: 'Yolks', white: 'Whites' }
const HEAT_OF: Record<LeftOver['heat'], HeatStatus> = { shell: 'raw', pasteurized: 'pasteurized' }

function leftOverItem(entry: Known, { at, by, body }: Claim<'left-over'>): NewItem {
  const { batch, code, part, grams, made, lots, heat, then, spot } = body
  const measure = { value: grams, unit: 'g' as const }
  return {
    ...NO_ITEM,
    code: `${code}${part[0]}`,
    name: PART_NAME[part],
    what: 'by-product',
    from: [{ type: 'batch', id: batch, code }, ...lots.map((lot) => ({ type: 'lot' as const, id: lot, code: '' }))],
    made,
    madeBy: by,
    measure,
    dating: datingOfLeftOver(body),
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

/** What it is of, from which lots and until when, as the batch's own entries say; null: no such egg went in. */
function lineageOf(batch: BatchState, { part, grams, then, lots, spot }: LeftOver, read: Read): LeftOver | null {
  const known = lots.flatMap((lot) => read('lot', lot) ?? [])
  return leftOverOf(batch, part, grams, then, known, spot)
}
