import type { ItemUse } from '../../ledger/storeEntries'
import { servingShut } from '../../judgement/lineage/part'
import { openedBy, withItemFact } from '../../state/itemChanges'
import { itemWalls } from '../../judgement/dates/walls'
import { FieldError, nameOf, object, oneOf, type Field } from '../../ground/field'
import { addDays, dayOf, type Day } from '../../ground/zone'
import type { Measure } from '../../ground/measure'
import { limitsAt } from '../../rules/limitSet'
import { isFrozen, itemLeft, type ItemState } from '../../state/item'
import type { Refusal } from '../guard/refusal'
import { sampleRule } from '../../rules/samples'
import { parseDayField } from '../../rules/parseVariance'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { isRefusal, madeItem, openItem } from '../guard/openItem'
import { parseMeasure } from '../guard/parseStore'
import { aroundItem, needsUsable } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'item-used': ItemUse
  }
}

/** Some of an item went to people, or is kept as a sample of it. */
export const itemUsed: KindOf<'item-used'> = {
  kind: 'item-used',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { measure, then, happened, sample } = object(body, ['measure', 'then', 'happened', 'sample'])
    if ((then.value === 'sample') !== (sample.value !== undefined))
      throw new FieldError(sample.path, { code: 'missing' })
    return {
      measure: parseMeasure(measure),
      then: oneOf(then, ['sold', 'served', 'tasted', 'sample'] as const),
      ...(sample.value === undefined ? {} : { sample: parseSample(sample) }),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about, kitchen, body }) => [about, ...(body.sample ? [{ type: 'kitchen' as const, id: kitchen }] : [])],
  reads: () => [],
  readsThen: ({ about }, read, world) => aroundItem(read('item', about.id), read, world),
  refuse(claim, read, world) {
    // As a plan it is refused; what has happened can always be entered, and betters nothing.
    const item = claim.body.happened ? madeItem(claim, read) : openItem(claim, read)
    if (isRefusal(item)) return item
    const { measure, happened, sample } = claim.body
    // A sample is never eaten: what is held or doubted is kept all the more.
    if (sample) return needsLeft(item, measure)
    return happened ? null : needsUsable(item, measure, read, world, claim.at, servingShut)
  },
  derive({ about, at, body: { sample } }, read, { zone, limits }) {
    const item = sample && read('item', about.id)
    if (!item) return {}
    const set = limits === undefined ? null : limitsAt(read('limits', limits)?.versions ?? [], at)
    const rule = set && sampleRule(set.ruleSet.key)
    const [wall] = itemWalls(item, zone)
    const today = dayOf(at, zone)
    if (isFrozen(item))
      return { sample: { ...sample, name: `${item.name} ${item.code}`, until: addDays(today, FROZEN_DAYS) } }
    const served: Day = wall && wall.lastDay !== null && wall.lastDay > today ? wall.lastDay : today
    return { sample: { ...sample, name: `${item.name} ${item.code}`, until: addDays(served, rule?.days ?? 0) } }
  },
  folds: {
    item: (state, entry) => openedBy(withItemFact(state, 'uses', entry, entry.claim.body), entry),
    kitchen(state, { claim: { id: entry, about, at, by, body } }) {
      const { sample, measure } = body
      if (!sample) return state
      return {
        ...state,
        samples: [...state.samples, { entry, item: about.id, measure, ...sample, at, by, ended: null }],
      }
    },
  },
}

/** Frozen, nobody knows its last day yet: its sample is kept for a year. House figure. */
const FROZEN_DAYS = 365

function needsLeft(item: ItemState, { value, unit }: Measure): Refusal | null {
  const left = itemLeft(item)
  const enough = unit === left.unit && value <= left.value + 0.05
  const why = { code: 'more than is left' as const, left }
  return enough ? null : { code: 'item shut', field: 'body.measure', item: item.code, why }
}

function parseSample(field: Field): NonNullable<ItemUse['sample']> {
  const { name, place, until } = object(field, ['name', 'place', 'until'])
  return { name: nameOf(name, 160), place: nameOf(place, 80), until: parseDayField(until) }
}
