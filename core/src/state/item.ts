import { HOUR, type Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Kind } from '../ledger/entry'
import type {
  Ancestor,
  Arrived,
  Brought,
  Dispatched,
  EggsOut,
  ItemDiscarded,
  ItemFacts,
  ItemUse,
  Moved,
  PartUsed,
  PutOn,
} from '../ledger/storeEntries'
import type { Contested } from '../ledger/contested'
import { catalogue } from '../recipe/ingredient/catalogue'
import type { Lacking } from '../ledger/tool'
import type { EggPart } from '../recipe/ingredient/eggGrams'
import { type Typed } from '../ground/temperature'
import type { Dating } from '../ledger/dating'
import { less, type Measure } from '../ground/measure'
import type { Bounded } from '../physics/trace/reading'
import type { ReadBy } from '../ledger/instrumentEntries'
import type { FailedProbe } from './backing'
import { inOrder, isWaiting, valid, type Fact } from './fact'
import { celsiusRead } from './reading'

/** Something that is held: some of a batch, a package, a by-product, a find. What was entered about it, no more. */
export interface ItemState extends ItemLists {
  id: Id
  /** The entry that made it, and of what kind. */
  born: Id
  bornAs: Kind
  /** Made by a mistaken tap that was taken back: there never was one. */
  undone: boolean
  code: string
  name: string
  what: 'portion' | 'package' | 'by-product' | 'find'
  /** What it was made of: a batch, a lot, another item. */
  from: Ancestor[]
  made: Instant
  madeBy: Id
  /** As much as there was. */
  measure: Measure
  /** Of all of it, in the smallest coin; null: not known. */
  cost: number | null
  dating: Dating
  facts: ItemFacts
  ready: Instant | null
  coldAt: Instant | null
  carried: Bounded
  /** What was put on it since brought its own time along. */
  brought: Brought[]
  /** Key of the catalogue; null for what was made here, or is not known. */
  ingredient: string | null
  discarded: Fact<ItemDiscarded> | null
  /** Labels printed, of all printings. */
  labels: number
  /** Told only after it was put away: what its labels of before lack, and how many of those there are. */
  reached: Fact<Lacking & { labels: number }>[]
  /** Entries that contradict each other, each made without knowing of the other. */
  contested: Fact<Contested>[]
}

/** What was entered about an item, in lists by what it is; several kinds of entry may add to one list. */
export interface ItemFact {
  moves: Moved
  opened: Record<string, never>
  splits: { into: Id; code: string; measure: Measure }
  parts: PartUsed
  uses: ItemUse | EggsOut | PutOn | Dispatched
  /** Of what left the kitchen. */
  arrivals: Arrived
  readings: { typed: Typed; instrument: Id | null; readBy?: ReadBy }
  /** Instruments that it was read with and that failed a check after. */
  fails: FailedProbe
  /** Held and released in turn: of the kitchen's own, and of the recall of each lot, the last one stands. */
  holds: Hold
  /** What the lead did about what went out against what stood. */
  answers: { reason: string }
}

export type ItemLists = { [L in keyof ItemFact]: Fact<ItemFact[L]>[] }

/** The lists of an item about which nothing was entered; every list is here. */
export const NO_FACTS: ItemLists = {
  moves: [],
  opened: [],
  splits: [],
  parts: [],
  uses: [],
  arrivals: [],
  readings: [],
  fails: [],
  holds: [],
  answers: [],
}

const LISTS = Object.keys(NO_FACTS) as (keyof ItemFact)[]

/** The item with each of its facts put through a change. */
export function eachFact(item: ItemState, change: <T>(fact: Fact<T>) => Fact<T>): ItemState {
  const lists = Object.fromEntries(LISTS.map((list) => [list, item[list].map(change<unknown>)])) as unknown as ItemLists
  return { ...item, ...lists, discarded: item.discarded && change(item.discarded) }
}

/** Held or let go on; by the recall of a lot, or null: by the kitchen itself. */
export interface Hold {
  held: boolean
  reason: string
  recall: Id | null
  /** Of a release: what in its lineage it saw and answers for, as 'batch …' and 'lot …'; older ones do not say. */
  answers?: string[]
}

/** Which part of an egg it is; null: none. */
export function eggOf({ ingredient }: Pick<ItemState, 'ingredient'>): EggPart | null {
  return (ingredient !== null && catalogue[ingredient]?.egg) || null
}

/** Made in its batch, as portions and trimmings are: proven with it. Whites left over from it never were in it. */
export function isOfItsBatch({ what, ingredient }: Pick<ItemState, 'what' | 'ingredient'>): boolean {
  return what === 'portion' || (what === 'by-product' && ingredient === null)
}

/** What went out of it, or into something, although something stood against that, and the lead has not answered for. */
export function wentOutOf({
  uses,
  parts,
  answers,
  arrivals,
}: ItemState): Fact<{ measure: Measure; happened?: true }>[] {
  const answered = Math.max(-Infinity, ...valid(answers).map(({ knownAt }) => knownAt))
  const out: Fact<{ measure: Measure; happened?: true }>[] = [...uses, ...parts]
  const warm = valid(arrivals).filter(({ value, knownAt }) => value.warm && knownAt >= answered)
  return valid(out).filter(
    ({ value, knownAt, entry }) =>
      (value.happened && knownAt >= answered) || warm.some((arrival) => arrival.value.target === entry),
  )
}

/** What contradicts what else was entered about it, and the lead has not answered for. */
export function contestedAbout({
  contested,
  answers,
}: Pick<ItemState, 'contested' | 'answers'>): ItemState['contested'] {
  const answered = Math.max(-Infinity, ...valid(answers).map(({ knownAt }) => knownAt))
  return contested.filter(({ knownAt }) => knownAt >= answered)
}

/** Whether the lead has to answer for what went out of it, or to say which of what contradicts each other is so. */
export function isToAnswer(item: ItemState): boolean {
  return wentOutOf(item).length > 0 || contestedAbout(item).length > 0
}

/** What of it left the kitchen, with how it arrived, a warm arrival before any other; null: nobody told yet. */
export function dispatchesOf({
  uses,
  arrivals,
}: Pick<ItemState, 'uses' | 'arrivals'>): { out: Fact<Dispatched>; arrived: Fact<Arrived> | null }[] {
  return valid(uses).flatMap(({ value, ...fact }) => {
    if (value.then !== 'dispatched') return []
    const told = valid(arrivals).filter((arrival) => arrival.value.target === fact.entry)
    const arrived = told.find((arrival) => arrival.value.warm) ?? told.at(-1) ?? null
    return [{ out: { ...fact, value, amends: [], waiting: [] }, arrived }]
  })
}

/** How much of it is left. */
export function itemLeft({ measure, splits, parts, uses, discarded, undone }: ItemState): Measure {
  if (undone || (discarded && !discarded.void)) return { ...measure, value: 0 }
  const gone: Fact<{ measure: Measure }>[] = [...splits, ...parts, ...uses]
  return less(
    measure,
    valid(gone).map(({ value }) => value.measure),
  )
}

/** All used, split off or thrown away. */
export function isGone(item: ItemState): boolean {
  return itemLeft(item).value === 0
}

/** Where it is: the last move that stands; null before the first. */
export function placeOf({ moves }: Pick<ItemState, 'moves'>): Fact<Moved> | null {
  return inOrder(moves).at(-1) ?? null
}

/** In a freezer it is hard within this, ms. House rule: until then it may still be on its way. */
export const FREEZES_WITHIN = 12 * HOUR

/**
 * The spans it was frozen, oldest first; the last without an end while it is. Read above 0 °C it is not: on its way it
 * begins to be from there, later it has thawed, whatever it stands in. Told too late, it is frozen from when the kitchen
 * knew of it: until then its date goes on.
 */
export function frozenOf({
  moves,
  readings,
}: Pick<ItemState, 'moves' | 'readings'>): { from: Instant; to?: Instant }[] {
  const spans: { from: Instant; to?: Instant }[] = []
  for (const { at, how, soft, counts } of [
    ...valid(moves).map((move) => ({ at: move.at, how: move.value.how, soft: false, counts: countsFrom(move) })),
    ...valid(readings).map(({ at, value }) => ({ at, how: null, soft: celsiusRead(value) > 0, counts: at })),
  ].sort((a, b) => a.at - b.at)) {
    const last = spans.at(-1)
    const frozen = last !== undefined && last.to === undefined
    if (how === 'freeze' && !frozen) spans.push({ from: counts })
    else if (frozen && how !== null && how !== 'freeze' && how !== 'move') thaw(last, at)
    else if (frozen && soft && at - last.from <= FREEZES_WITHIN) last.from = Math.max(last.from, at)
    else if (frozen && soft) thaw(last, at)
  }
  return spans
}

/** Frozen now: its last freeze has no end yet. */
export function isFrozen(item: Pick<ItemState, 'moves' | 'readings'>): boolean {
  const last = frozenOf(item).at(-1)
  return last !== undefined && last.to === undefined
}

function thaw(span: { from: Instant; to?: Instant }, at: Instant): void {
  span.from = Math.min(span.from, at)
  span.to = at
}

function countsFrom(fact: Fact<unknown>): Instant {
  return isWaiting(fact) ? Math.max(fact.at, fact.knownAt) : fact.at
}

/** When its package was opened; null while it is closed. */
export function openedAt({ opened }: Pick<ItemState, 'opened'>): Instant | null {
  const at = valid(opened).map((fact) => fact.at)
  return at.length ? Math.min(...at) : null
}

/** The hold that stands, a recall before the kitchen's own; null where none does. */
export function holdOf({ holds }: Pick<ItemState, 'holds'>): Fact<Hold> | null {
  const last = new Map(valid(holds).map((hold) => [hold.value.recall, hold]))
  const held = [...last.values()].filter(({ value }) => value.held)
  return held.find(({ value }) => value.recall !== null) ?? held[0] ?? null
}

/** Whether the recall of a lot holds it. */
export function isRecalledBy({ holds }: Pick<ItemState, 'holds'>, lot: Id): boolean {
  return valid(holds).findLast(({ value }) => value.recall === lot)?.value.held ?? false
}

/** When the lead last looked at it and let it go on, whatever was the matter; null: never. The end of a recall is none. */
export function releasedAt({ holds }: Pick<ItemState, 'holds'>): Instant | null {
  return valid(holds).findLast(({ value }) => !value.held && value.recall === null)?.at ?? null
}

/** What its label lacked by all that came to be known, and the lead has not answered for since. */
export function lackedOf({ reached, holds }: Pick<ItemState, 'reached' | 'holds'>): ItemState['reached'] {
  const release = valid(holds).findLast(({ value }) => !value.held && value.recall === null)
  return reached.filter(({ knownAt }) => !release || knownAt >= release.knownAt)
}

/** Its labels were printed before something came to be known that belongs on them. */
export function isLabelOutdated({ reached, labels }: Pick<ItemState, 'reached' | 'labels'>): boolean {
  const last = reached.at(-1)
  return last !== undefined && labels > 0 && last.value.labels === labels
}

/** Eggs in their shells: they have a cold of their own, and nothing is opened by taking some. */
export function isInShell(item: Pick<ItemState, 'what' | 'ingredient' | 'facts'>): boolean {
  return item.what === 'package' && eggOf(item) === 'whole' && item.facts.heat === 'raw'
}

/** Every fact of an item that a mistaken tap may have made; what the lead answered is none. */
export function tapsOf(item: ItemState): Fact<unknown>[] {
  const taps = LISTS.filter((list) => list !== 'answers' && list !== 'fails').flatMap(
    (list): Fact<unknown>[] => item[list],
  )
  return [...taps, ...(item.discarded ? [item.discarded] : [])]
}
