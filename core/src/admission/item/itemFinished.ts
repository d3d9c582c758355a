import { flag, id, nameOf, number, object, oneOf, typedTemperature, type Field } from '../../ground/field'
import { MINUTE, type Instant } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import { isEntryLate, knownAt } from '../../ledger/late'
import type { Subject } from '../../ledger/subject'
import type { Inherited, ItemFinished, Part, Topping } from '../../ledger/storeEntries'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { parseIngredient } from '../../recipe/method/parseMethod'
import { itemLevel, itemStanding } from '../../judgement/keeping/itemStanding'
import { isPastUseBy } from '../../judgement/dates/useBy'
import { finishedOf, measureWith } from '../../judgement/lineage/finished'
import { ancestorsOfItem } from '../../judgement/lineage/lineageBars'
import { partOf } from '../../judgement/lineage/part'
import { finishShut, isUntreated, toppingShut } from '../../judgement/lineage/topping'
import { itemLeft, type ItemState } from '../../state/item'
import { openedBy, withItemFact } from '../../state/itemChanges'
import { mayGoIn } from '../../state/lot'
import { splitOff } from '../../state/newItem'
import type { Read } from '../../state/state'
import type { World } from '../../judgement/world'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, madeItem, openItem } from '../guard/openItem'
import { parseMeasure } from '../guard/parseStore'
import { probeRefusal } from '../guard/probeRefusal'
import type { Refusal } from '../guard/refusal'
import { aroundItem, storeOf } from '../guard/storeOf'
import { parseCondition } from '../making/partUsed'
import { asKnown, type OwnKept } from '../../recipe/ingredient/ours'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-finished': ItemFinished
  }
}

/**
 * A topping, a sauce, a glaze on something that is in the store already. What gets it becomes an item of its own, so that
 * one portion can have what another has not; all of it keeps its code.
 */
export const itemFinished: KindOf<'item-finished'> = {
  kind: 'item-finished',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const names = ['into', 'code', 'measure', 'topping', 'as', 'happened'] as const
    const { into, code, measure, topping, as, happened } = object(body, names)
    return {
      into: id(into),
      code: nameOf(code, 24),
      measure: parseMeasure(measure),
      topping: parseTopping(topping),
      // What it is then needs no parsing: admit takes only the very one that core finds.
      as: as.value as Inherited,
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about, body: { into, topping } }) => [
    about,
    { type: 'item', id: into },
    ...(topping.of === 'item' ? [{ type: 'item' as const, id: topping.item }] : []),
  ],
  reads: ({ kitchen, body: { topping } }): Subject[] => {
    if (topping.of === 'food')
      return [
        { type: 'kitchen', id: kitchen },
        ...(topping.lot === null ? [] : [{ type: 'lot' as const, id: topping.lot }]),
      ]
    return topping.instrument === null ? [] : [{ type: 'instrument', id: topping.instrument }]
  },
  readsThen: ({ about, body: { topping } }, read, world) => [
    ...aroundItem(read('item', about.id), read, world),
    ...(topping.of === 'item' ? aroundItem(read('item', topping.item), read, world) : []),
  ],
  refuse(claim, read, world) {
    const { body, at } = claim
    // As a plan it is refused; what is on already can always be entered, and betters nothing.
    const base = body.happened ? madeItem(claim, read) : openItem(claim, read)
    return isRefusal(base) ? base : (codeRefusal(base, body, read) ?? toppingRefusal(base, body, read, world, at))
  },
  derive({ about, at, kitchen, body }, read, world) {
    const base = read('item', about.id)!
    const ours = read('kitchen', kitchen)?.ingredients ?? []
    const topping = withPart(body.topping, ours, read, world, at)
    const item = topping.of === 'item' ? read('item', topping.item) : null
    const around = storeOf(base, read, world, at)!
    const untreated = item !== null && isUntreated(item, storeOf(item, read, world, at)!.ancestry)
    const lot = topping.of === 'food' && topping.lot !== null ? read('lot', topping.lot) : null
    return { topping, as: finishedOf(base, body.measure, { topping, untreated, lot }, around.store, at) }
  },
  lateAfter: 30 * MINUTE,
  begins: {
    item: (entry) => {
      const { body, at } = entry.claim
      const as = isEntryLate(entry, at) ? seenFrom(body.as, at, knownAt(entry)) : body.as
      return splitOff(entry, { ...body, as, measure: measureWith(body.measure, body.topping) })
    },
  },
  folds: {
    item: (state, entry, of) => {
      const { topping, into, code, measure, happened } = entry.claim.body
      if (topping.of === 'food' || of !== topping.item)
        return openedBy(withItemFact(state, 'splits', entry, { into, code, measure }), entry)
      const use = {
        measure: topping.measure,
        then: 'onto an item' as const,
        onto: into,
        ...(happened ? { happened } : {}),
      }
      return openedBy(withItemFact(state, 'uses', entry, use), entry)
    },
  },
}

/** Told too late, no frost before the kitchen knew of it lengthens the dates of what was put on. */
function seenFrom(as: Inherited, at: Instant, known: Instant): Inherited {
  const parts = as.dating.parts.map((part) => (part.since === at ? { ...part, since: known } : part))
  return { ...as, dating: { ...as.dating, parts } }
}

function parseTopping(field: Field): Topping {
  const names = ['of', 'item', 'measure', 'typed', 'instrument', 'warm', 'asItIs', 'condition', 'part'] as const
  const all = object(field, [...names, 'ingredient', 'own', 'lot', 'grams'] as const)
  const condition = parseCondition(all.condition)
  if (oneOf(all.of, ['item', 'food'] as const) === 'item')
    return {
      of: 'item',
      item: id(all.item),
      measure: parseMeasure(all.measure),
      typed: all.typed.value === null ? null : typedTemperature(all.typed),
      instrument: all.instrument.value === null ? null : id(all.instrument),
      warm: flag(all.warm),
      asItIs: flag(all.asItIs),
      condition,
      // What it was needs no parsing: admit takes only the very one that core finds.
      part: all.part.value as Part,
    }
  const own = all.own.value === undefined ? null : parseIngredient(all.own)
  return {
    of: 'food',
    // What the catalogue has is taken from there: nobody sends along what a nut is.
    ingredient: oneOf(all.ingredient, own && !(own.key in catalogue) ? [own.key] : Object.keys(catalogue)),
    ...(own ? { own } : {}),
    lot: all.lot.value === null ? null : id(all.lot),
    grams: all.grams.value === null ? null : number(all.grams, 0.1, 500_000),
    condition,
  }
}

function codeRefusal(base: ItemState, { into, code, measure, happened }: ItemFinished, read: Read): Refusal | null {
  if (read('item', into)) return { code: 'already there', field: 'body.into', what: 'item' }
  const left = itemLeft(base)
  const tooMuch = measure.value > left.value + 0.05 && !happened
  if (measure.unit !== left.unit || tooMuch)
    return { code: 'item shut', field: 'body.measure', item: base.code, why: { code: 'more than is left', left } }
  const isAll = measure.value >= left.value
  const taken = base.splits.some(({ value }) => value.code === code) || (code === base.code && !isAll)
  return taken ? { code: 'code taken', field: 'body.code', taken: code } : null
}

function toppingRefusal(
  base: ItemState,
  { topping, happened }: ItemFinished,
  read: Read,
  world: World,
  at: Instant,
): Refusal | null {
  const around = storeOf(base, read, world, at)
  if (!around) return { code: 'not there', field: 'kitchen', what: 'limits' }
  const item = topping.of === 'item' ? read('item', topping.item) : null
  const shut = (of: ItemState, why: Extract<Refusal, { code: 'item shut' }>['why']): Refusal => ({
    code: 'item shut',
    field: of === base ? 'about.id' : 'body.topping',
    item: of.code,
    why,
  })
  if (topping.of === 'item') {
    if (!item || item.undone) return { code: 'not there', field: 'body.topping', what: 'item' }
    const isMadeOfIt = ancestorsOfItem(item, read).items.some(({ id: of }) => of === base.id)
    if (item.id === base.id || isMadeOfIt) return shut(item, { code: 'made of it' })
    const probe = probeRefusal(topping, read, at, happened === true)
    if (probe) return probe
    // Also what is on already is told with how cold it was: of nothing nobody would ask again.
    if (topping.typed === null && itemLevel(item, around.store.limits, dayOf(at, world.zone)))
      return shut(item, { code: 'asks first', asks: 'read it' })
    if (topping.measure.unit !== item.measure.unit)
      return shut(item, { code: 'more than is left', left: itemLeft(item) })
  }
  if (topping.of === 'food' && topping.lot !== null) {
    const lot = read('lot', topping.lot)
    if (!lot) return { code: 'not there', field: 'body.topping', what: 'lot' }
    if ((lot.own?.key ?? lot.ingredient) !== topping.ingredient)
      return { code: 'other lot', field: 'body.topping', lot: lot.code }
    if (!happened && (!mayGoIn(lot) || isPastUseBy(lot, dayOf(at, world.zone))))
      return { code: 'lot not accepted', field: 'body.lot', lot: lot.code }
  }
  if (happened) return null
  const against = finishShut(base, null, around.ancestry, around.store, at)
  if (against) return shut(base, against)
  const of = item && storeOf(item, read, world, at)
  const why = toppingShut(
    topping,
    item,
    of?.ancestry ?? around.ancestry,
    base,
    around.ancestry,
    of?.store ?? around.store,
    at,
  )
  return why && shut(item ?? base, why)
}

function withPart(topping: Topping, ours: readonly OwnKept[], read: Read, world: World, at: Instant): Topping {
  if (topping.of === 'food') return topping.own ? { ...topping, own: asKnown(topping.own, ours) } : topping
  const item = read('item', topping.item)!
  const { exposure } = itemStanding(item, storeOf(item, read, world, at)!.store, at)
  return { ...topping, part: partOf(item, exposure.time, world.zone, at) }
}
