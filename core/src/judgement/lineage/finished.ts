import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import { addDays, dayOf, startOfDay } from '../../ground/zone'
import type { Instant } from '../../ground/instant'
import type { Measure } from '../../ground/measure'
import type { Dating, Keep, PassedDate } from '../../ledger/dating'
import type { Ancestor, Inherited, ItemFacts, Part, Topping } from '../../ledger/storeEntries'
import { limitsOf } from '../../recipe/checks/checksFor'
import { fruitDaysOf, rawHoursOf } from '../../recipe/checks/methodLimits'
import { listed, unread, type ListedIngredient } from '../../recipe/ingredient/listed'
import { foodIn } from '../../recipe/ingredient/own'
import { claimsOf } from '../../recipe/method/facts'
import type { Limit } from '../../rules/limit'
import { openedAt, type ItemState } from '../../state/item'
import type { LotState } from '../../state/lot'
import { inheritedOf } from '../../state/newItem'
import { datesOfPart } from '../dates/ofPortion'
import { useByOf } from '../dates/useBy'
import { itemLevel, type Store } from '../keeping/itemStanding'
import { claimsBeside, tracesBeside, NO_TRACES } from './carryOver'
import { together } from './toolTrail'
import { listedPart, withTopping } from './ingredients'
import { worstHeat } from './portionFacts'

/** What goes on, with what the store knows of it. */
export interface Put {
  topping: Topping
  /** Of an item: untreated frozen fruit. */
  untreated: boolean
  /** Of a dry thing: its lot, where it has one. */
  lot: LotState | null
}

/**
 * What an item is once something was put on it: all that it was, the earlier date, the allergens of both, what may be
 * claimed of both, the worse heat. Its own cooling stays what it was; what was poured on warm is asked about anew.
 * @param measure how much of it gets the topping
 */
export function finishedOf(base: ItemState, measure: Measure, put: Put, store: Store, at: Instant): Inherited {
  const { topping } = put
  const as = inheritedOf(base, measure.value / base.measure.value)
  const facts = { ...factsWith(base.facts, put), ...ingredientsWith(base, measure, topping) }
  const wasDry = !base.facts.needsCold && facts.needsCold
  const on = nameOf(topping)
  const name = `${base.name} + ${on}`
  return {
    ...as,
    name: name.length > LONGEST_NAME ? base.name : name,
    from: [...as.from, ...originOf(put)],
    dating: datedWith(base.dating, put, store, at),
    facts,
    // What needed no cold begins to: how warm it had been before says nothing.
    ...(wasDry ? { moves: as.moves.slice(-1).map((move) => ({ ...move, at })), readings: [] } : {}),
    ...(topping.of === 'item' ? { brought: [...(as.brought ?? []), { at, time: topping.part.carried }] } : {}),
    ...(base.what === 'package' && openedAt(base) === null ? { opened: [at] } : {}),
    ...(isWarm(topping, base, facts, store, at)
      ? { readings: [...(wasDry ? [] : as.readings), { at, typed: topping.typed, instrument: null }] }
      : {}),
  }
}

/** How much there is of it then: grams add up, portions stay portions. */
export function measureWith(measure: Measure, topping: Topping): Measure {
  const on = topping.of === 'item' ? topping.measure : { value: topping.grams ?? 0, unit: 'g' as const }
  return measure.unit === 'g' && on.unit === 'g' ? { ...measure, value: measure.value + on.value } : measure
}

const LONGEST_NAME = 120

function nameOf(topping: Topping): string {
  return topping.of === 'item' ? topping.part.name : (foodIn(topping)?.name ?? topping.ingredient)
}

function originOf({ topping, lot }: Put): Ancestor[] {
  if (topping.of === 'item') return [{ type: 'item', id: topping.item, code: topping.part.code }]
  return lot ? [{ type: 'lot', id: lot.id, code: lot.code }] : []
}

/** Warm on it, knowingly or not: until a probe finds it cold, it is as warm as what was poured on. */
function isWarm(
  topping: Topping,
  base: ItemState,
  facts: ItemFacts,
  { limits, zone }: Store,
  at: Instant,
): topping is Extract<Topping, { of: 'item' }> & { typed: NonNullable<unknown> } {
  if (topping.of === 'food' || topping.typed === null) return false
  const level = itemLevel({ ...base, facts }, limits, dayOf(at, zone))
  return level !== null && celsiusOf(topping.typed) > level.celsius + SAME_DEGREE
}

function factsWith(base: ItemFacts, { topping, untreated }: Put): ItemFacts {
  const on = topping.of === 'item' ? topping.part.facts : factsOfFood(topping)
  const isRawEgg = topping.of === 'item' && topping.part.egg !== null && on.heat === 'raw'
  const raw = [base, ...(topping.of === 'item' ? [on] : [])].filter(({ heat }) => heat === 'raw')
  const isMeantRaw = raw.length > 0 && raw.every(({ meantRaw }) => meantRaw === true)
  const unknown = [...new Set([...base.unknown, ...on.unknown])]
  const allergens = [...new Set([...base.allergens, ...on.allergens])].sort()
  const mayContain = tracesBeside(together([base.mayContain ?? NO_TRACES, on.mayContain ?? NO_TRACES]), {
    allergens,
    unknown,
  })
  const alcohol = base.alcohol || on.alcohol ? { byVolume: on.alcohol ? null : (base.alcohol?.byVolume ?? null) } : null
  return {
    allergens,
    claims:
      unknown.length > 0
        ? []
        : claimsBeside(
            base.claims.filter((claim) => on.claims.includes(claim)),
            mayContain,
          ),
    advisory: base.advisory || on.advisory || isRawEgg,
    ...(base.untreatedFruit || on.untreatedFruit || untreated ? { untreatedFruit: true as const } : {}),
    heat: topping.of === 'food' ? base.heat : worstHeat([base.heat, on.heat]),
    ...(isMeantRaw && !isRawEgg ? { meantRaw: true as const } : {}),
    ...(alcohol ? { alcohol } : {}),
    needsCold: base.needsCold || on.needsCold,
    unknown,
    ...(mayContain ? { mayContain } : {}),
  }
}

/** Every ingredient, where those of what it goes onto are known. */
function ingredientsWith({ facts }: ItemState, measure: Measure, topping: Topping): Pick<ItemFacts, 'ingredients'> {
  const { ingredients } = facts
  if (!ingredients) return {}
  const weights = ingredients.map(({ grams }) => grams)
  const all = weights.reduce<number | null>((sum, each) => (sum === null || each === null ? null : sum + each), 0)
  const share = measure.unit === 'g' && all ? measure.value / all : null
  return { ingredients: withTopping(ingredients, share, listedTopping(topping)) }
}

function listedTopping(topping: Topping): ListedIngredient {
  if (topping.of === 'item') return listedPart(topping.part, topping.measure)
  const food = foodIn(topping)
  return food ? listed(food, topping.grams) : unread(topping.ingredient, topping.grams)
}

function factsOfFood(
  topping: Extract<Topping, { of: 'food' }>,
): Omit<Part['facts'], 'heat'> & { heat: 'no heat asked' } {
  const food = foodIn(topping)
  return {
    allergens: food?.allergens ?? [],
    claims: food ? claimsOf([food]) : [],
    advisory: false,
    ...((food?.alcohol ?? 0) > 0 ? { alcohol: { byVolume: null } } : {}),
    heat: 'no heat asked',
    needsCold: food?.needsCold ?? true,
    unknown: !food || food.unchecked ? [food?.name ?? topping.ingredient] : [],
  }
}

/** The dates of both: what was put on passes all of its own on, and no frost before lengthens them. */
function datedWith(base: Dating, { topping, untreated, lot }: Put, { limits, zone }: Store, at: Instant): Dating {
  const keep = ({ rule, force, source }: Limit): Keep[] =>
    rule.kind === 'days'
      ? [{ what: 'days', count: rule.days, from: at, force, source }]
      : rule.kind === 'hours'
        ? [{ what: 'hours', count: rule.hours, from: at, force, source }]
        : []
  const rawEgg = topping.of === 'item' && topping.part.egg !== null && topping.part.facts.heat === 'raw'
  const keeps = [
    ...base.keeps,
    ...(untreated ? keep(fruitDaysOf(limits)) : []),
    ...(rawEgg ? rawHoursOf(limitsOf(limits, 'raw-class', dayOf(at, zone))).flatMap(keep) : []),
  ]
  return {
    ...base,
    keeps,
    parts: [...base.parts, ...passedOn(topping, lot, zone).map((each) => ({ ...each, since: at }))],
  }
}

function passedOn(topping: Topping, lot: LotState | null, zone: string): PassedDate[] {
  if (topping.of === 'item') return datesOfPart(topping.part)
  const day = lot && useByOf(lot)
  if (!lot || !day) return []
  return [{ name: `${lot.name} ${lot.code}`, lastDay: day, until: startOfDay(addDays(day, 1), zone), kind: 'use-by' }]
}
