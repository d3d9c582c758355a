import { HOUR, type Instant } from '../calendar/instant'
import type { Entry, Id, Kind } from '../ledger/entry'
import type { EggsOut, ItemDiscarded, ItemFacts, ItemUse, Moved, Ancestor, PartUsed } from '../ledger/storeEntries'
import { catalogue } from '../ingredient/catalogue'
import type { EggPart } from '../egg/eggGrams'
import { celsiusOf, type Typed } from '../quantity/temperature'
import type { Dating } from '../store/dating'
import { outOfPackage } from '../store/eggPackage'
import { less, type Measure } from '../store/measure'
import type { Bounded } from '../trace/reading'
import { acceptedIn, factOf, inOrder, standing, type Fact } from './fact'
import { newItem } from './newItem'

/** Something that is held: some of a batch, a package, a by-product, a find. What was entered about it, no more. */
export interface ItemState {
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
  /** Key of the catalogue; null for what was made here, or is not known. */
  ingredient: string | null
  moves: Fact<Moved>[]
  opened: Fact<Record<string, never>>[]
  splits: Fact<{ into: Id; code: string; measure: Measure }>[]
  parts: Fact<PartUsed>[]
  uses: Fact<ItemUse | EggsOut>[]
  readings: Fact<{ typed: Typed; instrument: Id | null }>[]
  /** Held and released in turn: of the kitchen's own, and of the recall of each lot, the last one stands. */
  holds: Fact<Hold>[]
  /** What the lead did about what went out against what stood. */
  answers: Fact<{ reason: string }>[]
  discarded: Fact<ItemDiscarded> | null
  /** Labels printed, of all printings. */
  labels: number
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
export function wentOutOf({ uses, parts, answers }: ItemState): Fact<{ measure: Measure; happened?: true }>[] {
  const answered = Math.max(-Infinity, ...standing(answers).map(({ knownAt }) => knownAt))
  const out: Fact<{ measure: Measure; happened?: true }>[] = [...uses, ...parts]
  return standing(out).filter(({ value, knownAt }) => value.happened && knownAt >= answered)
}

/** How much of it is left. */
export function itemLeft({ measure, splits, parts, uses, discarded, undone }: ItemState): Measure {
  if (undone || (discarded && !discarded.void)) return { ...measure, value: 0 }
  const gone: Fact<{ measure: Measure }>[] = [...splits, ...parts, ...uses]
  return less(
    measure,
    standing(gone).map(({ value }) => value.measure),
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
const FREEZES_WITHIN = 12 * HOUR

/**
 * The spans it was frozen, oldest first; the last without an end while it is. Read above 0 °C it is not: on its way it
 * begins to be from there, later it has thawed, whatever it stands in.
 */
export function frozenOf({
  moves,
  readings,
}: Pick<ItemState, 'moves' | 'readings'>): { from: Instant; to?: Instant }[] {
  const spans: { from: Instant; to?: Instant }[] = []
  for (const { at, how, soft } of [
    ...standing(moves).map(({ at, value }) => ({ at, how: value.how, soft: false })),
    ...standing(readings).map(({ at, value }) => ({ at, how: null, soft: celsiusOf(value.typed) > 0 })),
  ].sort((a, b) => a.at - b.at)) {
    const last = spans.at(-1)
    const frozen = last !== undefined && last.to === undefined
    if (how === 'freeze' && !frozen) spans.push({ from: at })
    else if (frozen && how !== null && how !== 'freeze' && how !== 'move') last.to = at
    else if (frozen && soft && at - last.from <= FREEZES_WITHIN) last.from = at
    else if (frozen && soft) last.to = at
  }
  return spans
}

/** When its package was opened; null while it is closed. */
export function openedAt({ opened }: Pick<ItemState, 'opened'>): Instant | null {
  const at = standing(opened).map((fact) => fact.at)
  return at.length ? Math.min(...at) : null
}

/** The hold that stands, a recall before the kitchen's own; null where none does. */
export function holdOf({ holds }: Pick<ItemState, 'holds'>): Fact<Hold> | null {
  const last = new Map(standing(holds).map((hold) => [hold.value.recall, hold]))
  const held = [...last.values()].filter(({ value }) => value.held)
  return held.find(({ value }) => value.recall !== null) ?? held[0] ?? null
}

/** Whether the recall of a lot holds it. */
export function isRecalledBy({ holds }: Pick<ItemState, 'holds'>, lot: Id): boolean {
  return standing(holds).findLast(({ value }) => value.recall === lot)?.value.held ?? false
}

/** When the lead last looked at it and let it go on, whatever was the matter; null: never. The end of a recall is none. */
export function releasedAt({ holds }: Pick<ItemState, 'holds'>): Instant | null {
  return standing(holds).findLast(({ value }) => !value.held && value.recall === null)?.at ?? null
}

export function applyToItem(id: Id, state: ItemState | null, entry: Entry): ItemState | null {
  return state ? changed(state, entry) : newItem(id, entry)
}

function changed(state: ItemState, entry: Entry): ItemState {
  const { claim } = entry
  switch (claim.kind) {
    case 'item-moved':
      return { ...state, moves: [...state.moves, factOf(entry, claim.at, claim.body)] }
    case 'item-opened':
      return { ...state, opened: [...state.opened, factOf(entry, claim.at, claim.body)] }
    case 'item-split':
      return { ...state, splits: [...state.splits, factOf(entry, claim.at, claim.body)] }
    case 'part-used':
      return begun({ ...state, parts: [...state.parts, factOf(entry, claim.at, claim.body)] }, entry)
    case 'item-used':
      return begun({ ...state, uses: [...state.uses, factOf(entry, claim.at, claim.body)] }, entry)
    case 'eggs-taken': {
      const measure = outOfPackage(claim.body, state.measure.unit)
      const happened = claim.body.happened ? { happened: claim.body.happened } : {}
      const out = measure && factOf<EggsOut>(entry, claim.at, { measure, then: 'into a batch', ...happened })
      return out ? begun({ ...state, uses: [...state.uses, out] }, entry) : state
    }
    case 'item-read':
      return { ...state, readings: [...state.readings, factOf(entry, claim.at, claim.body)] }
    case 'item-held':
      return held(state, entry, { held: true, reason: claim.body.reason, recall: null })
    case 'item-released':
      return held(state, entry, {
        held: false,
        reason: claim.body.reason,
        recall: null,
        ...(entry.seal?.resolved?.answers ? { answers: entry.seal.resolved.answers } : {}),
      })
    case 'went-out-answered':
      return { ...state, answers: [...state.answers, factOf(entry, claim.at, claim.body)] }
    case 'lot-decided':
      return held(state, entry, { held: claim.body.verdict === 'refuse', reason: claim.body.reason, recall: null })
    case 'recalled':
      // A drill marks nothing real.
      if (claim.body.drill) return state
      return held(state, entry, { held: true, reason: claim.body.reason, recall: claim.about.id })
    case 'recall-ended':
      return held(state, entry, { held: false, reason: claim.body.reason, recall: claim.about.id })
    case 'item-discarded':
      return { ...state, discarded: factOf(entry, claim.at, claim.body) }
    case 'label-printed':
      return { ...state, labels: state.labels + claim.body.copies }
    case 'entries-accepted':
      return accepted(
        state,
        claim.body.entries.filter(({ id: of }) => of === state.id).map((each) => each.entry),
        entry,
        claim.body.reason,
      )
    case 'corrected':
    case 'taken-back':
      return takenBack(state, claim.body.target)
    default:
      return state
  }
}

/** Taken from while it was closed, a package is opened by that; eggs in their shells are not. */
function begun(state: ItemState, entry: Entry): ItemState {
  const closed = state.what === 'package' && openedAt(state) === null && !isInShell(state)
  return closed ? { ...state, opened: [...state.opened, factOf(entry, entry.claim.at, {})] } : state
}

/** Eggs in their shells: they have a cold of their own, and nothing is opened by taking some. */
export function isInShell(item: Pick<ItemState, 'what' | 'ingredient' | 'facts'>): boolean {
  return item.what === 'package' && eggOf(item) === 'whole' && item.facts.heat === 'raw'
}

function accepted(state: ItemState, targets: readonly Id[], { claim }: Entry, reason: string): ItemState {
  const acceptance = { entry: claim.id, by: claim.by, at: claim.at, reason }
  const letCount = <T>(facts: Fact<T>[]) =>
    facts.map((fact) => targets.reduce((one, target) => acceptedIn(one, target, acceptance), fact))
  return { ...state, moves: letCount(state.moves), opened: letCount(state.opened), readings: letCount(state.readings) }
}

function held(state: ItemState, entry: Entry, value: Hold): ItemState {
  return { ...state, holds: [...state.holds, factOf(entry, entry.claim.at, value)] }
}

/** Every fact of an item that a mistaken tap may have made. */
export function tapsOf(item: ItemState): Fact<unknown>[] {
  const { moves, opened, splits, parts, uses, readings, holds, discarded } = item
  return [...moves, ...opened, ...splits, ...parts, ...uses, ...readings, ...holds, ...(discarded ? [discarded] : [])]
}

function takenBack(state: ItemState, target: Id): ItemState {
  const strike = <T>(facts: Fact<T>[]) => facts.map((fact) => (fact.entry === target ? { ...fact, void: true } : fact))
  return {
    ...state,
    undone: state.undone || target === state.born,
    moves: strike(state.moves),
    opened: strike(state.opened),
    splits: strike(state.splits),
    parts: strike(state.parts),
    uses: strike(state.uses),
    readings: strike(state.readings),
    holds: strike(state.holds),
    discarded: state.discarded?.entry === target ? { ...state.discarded, void: true } : state.discarded,
  }
}
