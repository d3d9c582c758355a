import type { Condition, PartUsed, Part } from '../../ledger/storeEntries'
import type { Bodies } from '../../ledger/entry'
import { openedBy, withItemFact } from '../../state/itemChanges'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { flag, id, object, oneOf, text, typedTemperature, type Field } from '../../ground/field'
import { itemStanding } from '../../judgement/keeping/itemStanding'
import { partOf, partShut } from '../../judgement/lineage/part'
import { isRefusal, madeItem, openItem } from '../guard/openItem'
import { atKnownStep } from '../guard/knownStep'
import { parseMeasure } from '../guard/parseStore'
import { probeRefusal } from '../guard/probeRefusal'
import { aroundItem, storeOf } from '../guard/storeOf'

const NO_TIME = { least: 0, likely: 0, most: 0 }

declare module '../../ledger/entry' {
  interface Bodies {
    'part-used': PartUsed
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'part-used': Bodies['part-used']
  }
}

/** Some of an item goes into a batch: proven, in date, cold enough by a reading, and what the step may take. */
export const partUsed: KindOf<'part-used'> = {
  kind: 'part-used',
  v: 3,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  // At first no part of the egg came from the store, and nothing was said of the time that a part had been warm.
  upcast: (body) => ({ ...body, part: { egg: null, carried: NO_TIME, ...(body.part as Partial<Part>) } }),
  parse(body) {
    const names = ['batch', 'step', 'measure', 'typed', 'instrument', 'warm', 'condition', 'part', 'happened'] as const
    const { batch, step, measure, typed, instrument, warm, condition, part, happened } = object(body, names)
    return {
      batch: id(batch),
      step: text(step, 40),
      measure: parseMeasure(measure),
      typed: typedTemperature(typed),
      instrument: id(instrument),
      warm: flag(warm),
      condition: parseCondition(condition),
      // What it was needs no parsing: admit takes only the very one that core finds.
      part: part.value as Part,
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about, body: { batch } }) => [about, { type: 'batch', id: batch }],
  reads: ({ body: { instrument } }) => [{ type: 'instrument', id: instrument }],
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    const { body, at } = claim
    // As a plan it is refused; what is in already can always be entered, and betters nothing.
    const item = body.happened ? madeItem(claim, read) : openItem(claim, read)
    if (isRefusal(item)) return item
    const into = atKnownStep({ about: { type: 'batch', id: body.batch } }, body.step, read)
    if ('field' in into) return into
    const unread = probeRefusal(body, read, at, body.happened === true)
    if (unread) return unread
    const around = storeOf(item, read, world, at)
    if (!around) return { code: 'not there', field: 'kitchen', what: 'limits' }
    const why = body.happened ? null : partShut(item, into, body, around.ancestry, around.store, at)
    if (why) return { code: 'item shut', field: 'about.id', item: item.code, why }
    return null
  },
  derive({ about, at }, read, world) {
    const item = read('item', about.id)!
    const { exposure } = itemStanding(item, storeOf(item, read, world, at)!.store, at)
    return { part: partOf(item, exposure.time, world.zone, at) }
  },
  lateAfter: 30 * MINUTE,
  fact: asEntered,
  folds: {
    item: (state, entry) => openedBy(withItemFact(state, 'parts', entry, entry.claim.body), entry),
  },
}

/** How something looked: good, or why not. */
export function parseCondition(field: Field): Condition | null {
  if (field.value === null) return null
  const { good, why } = object(field, ['good', 'why'])
  return { good: flag(good), why: why.value === null ? null : text(why, 200) }
}
