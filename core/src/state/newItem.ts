import type { EggPart } from '../recipe/ingredient/eggGrams'
import type { Id } from '../ledger/subject'
import type { Claim, Entry, LeftOver } from '../ledger/entry'
import type { HeatStatus, Inherited, Moved, Spot } from '../ledger/storeEntries'
import type { Instant } from '../ground/instant'
import { BY_PRODUCT_DAYS } from '../recipe/ingredient/byProduct'
import type { Bounded } from '../physics/trace/reading'
import { factOf, isWaiting, standing, type Fact } from './fact'
import type { ItemState } from './item'

/** An item as it comes to be: portioned, received in its package, left over, found, or split off another. */
export function newItem(id: Id, entry: Entry): ItemState | null {
  const made = madeBy(id, entry)
  return made && { ...made, born: entry.claim.id, bornAs: entry.claim.kind, undone: false }
}

/** What it was from the first, but for the entry that made it. */
type Unborn = Omit<ItemState, 'born' | 'bornAs' | 'undone'>

function madeBy(id: Id, entry: Entry): Unborn | null {
  const { claim } = entry
  switch (claim.kind) {
    case 'portioned':
      return portioned(id, entry, claim)
    case 'lot-received':
      return received(id, entry, claim)
    case 'left-over':
      return leftOver(id, entry, claim)
    case 'item-found':
      return found(id, entry, claim)
    case 'item-split':
      return splitOff(id, entry, claim)
    default:
      return null
  }
}

const NO_TIME: Bounded = { least: 0, likely: 0, most: 0 }

function blank(): Omit<Unborn, 'id' | 'code' | 'name' | 'what' | 'made' | 'madeBy' | 'measure' | 'dating' | 'facts'> {
  return {
    from: [],
    cost: null,
    ready: null,
    coldAt: null,
    carried: NO_TIME,
    ingredient: null,
    moves: [],
    opened: [],
    splits: [],
    parts: [],
    uses: [],
    readings: [],
    holds: [],
    answers: [],
    discarded: null,
    labels: 0,
  }
}

function putIn(entry: Entry, spot: Spot | null): ItemState['moves'] {
  if (!spot) return []
  const { unit, shelf } = spot
  const { at } = entry.claim
  const put = factOf<Moved>(entry, at, { how: unit === null ? 'out' : 'move', unit, shelf })
  // Told too late: until the kitchen knew of it, nobody knew that it stood in the cold.
  return put.late ? [factOf<Moved>(entry, at, { how: 'out', unit: null, shelf: null }, false), put] : [put]
}

function portioned(id: Id, entry: Entry, { by, body }: Claim<'portioned'>): Unborn {
  const { batch, batchCode, code, name, as, measure, dating, facts, ready, coldAt, carried } = body
  return {
    ...blank(),
    id,
    code,
    name,
    what: as === 'portion' ? 'portion' : 'by-product',
    from: [{ type: 'batch', id: batch, code: batchCode }],
    made: dating.prepared,
    madeBy: by,
    measure,
    dating,
    facts,
    ready,
    coldAt,
    carried,
    moves: putIn(entry, body),
  }
}

function received(id: Id, entry: Entry, { at, by, about, body }: Claim<'lot-received'>): Unborn | null {
  const { held, code, name, ingredient, verdict, why } = body
  if (!held) return null
  const { measure, cost, dating, facts } = held
  const atTheDoor = { held: true, reason: why ?? 'held at the door', recall: null }
  return {
    ...blank(),
    id,
    code: held.code,
    name,
    what: 'package',
    from: [{ type: 'lot', id: about.id, code }],
    made: at,
    madeBy: by,
    measure,
    cost,
    dating,
    facts,
    coldAt: at,
    ingredient,
    moves: putIn(entry, held),
    holds: verdict === 'hold' ? [factOf(entry, at, atTheDoor)] : [],
  }
}

/** Nothing is known of it: it has no date, counts as raw, and goes to discard. */
function found(id: Id, entry: Entry, { at, by, body }: Claim<'item-found'>): Unborn {
  const { code, name, measure } = body
  return {
    ...blank(),
    id,
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
}

function splitOff(id: Id, entry: Entry, { body }: Claim<'item-split'>): Unborn {
  const { code, measure, as } = body
  // Told again with the split, they are as late as they were.
  const facts = <T extends { at: Instant; late?: true; knownAt?: Instant }, V>(
    all: readonly T[],
    value: (one: T) => V,
  ): Fact<V>[] =>
    all.map((one) => ({ ...factOf(entry, one.at, value(one), one.late ?? false), knownAt: one.knownAt ?? one.at }))
  const { moves, opened, readings, holds, ...same } = as
  return {
    ...blank(),
    ...same,
    id,
    code,
    measure,
    moves: facts(moves, ({ how, unit, shelf }) => ({ how, unit, shelf })),
    opened: opened.map((at) => factOf(entry, at, {}, false)),
    readings: facts(readings, ({ typed, instrument }) => ({ typed, instrument })),
    holds: facts(holds, ({ held, reason, recall, answers }) => ({
      held,
      reason,
      recall,
      ...(answers ? { answers } : {}),
    })),
  }
}

/** What a split takes over of its parent: all that it is, and its share of the cost. */
export function inheritedOf(parent: ItemState, share: number): Inherited {
  const { id, code, name, what, from, made, madeBy, cost, dating, facts, ready, coldAt, carried, ingredient } = parent
  return {
    name,
    what,
    from: [...from.filter(({ type }) => type !== 'item'), { type: 'item', id, code }],
    made,
    madeBy,
    cost: cost === null ? null : Math.round(cost * share),
    dating,
    facts,
    ready,
    coldAt,
    carried,
    ingredient,
    moves: standing(parent.moves).map((move) => ({ at: move.at, ...move.value, ...lateness(move) })),
    opened: standing(parent.opened).map(({ at }) => at),
    readings: standing(parent.readings).map((read) => ({ at: read.at, ...read.value, ...lateness(read) })),
    holds: standing(parent.holds).map(({ at, value }) => ({ at, ...value })),
  }
}

/** What was known too late stays so in what is split off. */
function lateness(fact: Fact<unknown>): { late?: true; knownAt?: Instant } {
  return isWaiting(fact) ? { late: true, knownAt: fact.knownAt } : {}
}

const PART_NAME: Record<EggPart, string> = { whole: 'Whole egg', yolk: 'Yolks', white: 'Whites' }
const HEAT_OF: Record<LeftOver['heat'], HeatStatus> = { shell: 'raw', pasteurized: 'pasteurized' }

function leftOver(id: Id, entry: Entry, { at, by, body }: Claim<'left-over'>): Unborn {
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
    ...blank(),
    id,
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
