import type { Instant } from '../../ground/instant'
import type { Id, Subject } from '../../ledger/subject'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { isOfItsBatch, type ItemState } from '../../state/item'
import { mayGoIn, type LotState } from '../../state/lot'
import type { Read } from '../../state/state'
import type { CourseStanding, ItemAsks } from '../keeping/itemStanding'
import { ownBarOfBatch, ownBarOfItem, ownBarOfLot } from './ownBar'
import { isCleared, releaseBar } from './cleared'
import { lotsIn } from './lineage'

/** Everything that something was made of, through every generation, as far as it was read. */
export interface Ancestors {
  batches: BatchState[]
  items: ItemState[]
  lots: LotState[]
  /** Named, and not read: absent, or not looked for yet. */
  unread: Subject[]
}

/** What stands in the way of something because of what it was made of. */
export interface LineageBar {
  type: 'batch' | 'item' | 'lot'
  id: Id
  code: string
  why: 'held' | 'discarded' | 'recalled' | 'law missed' | 'not proven' | 'lot not accepted'
}

/** Walks up from an item: its batch, the eggs and parts that went into that, what those were made of, and so on. */
export function ancestorsOfItem(item: ItemState, read: Read): Ancestors {
  const found: Ancestors = { batches: [], items: [], lots: [], unread: [] }
  const seen = new Set<Id>([item.id])
  const open: Subject[] = item.from.map(({ type, id }) => ({ type, id }))
  for (let next = open.pop(); next; next = open.pop()) {
    if (seen.has(next.id)) continue
    seen.add(next.id)
    const { type, id } = next
    if (type === 'batch') {
      const batch = read('batch', id)
      if (batch) {
        found.batches.push(batch)
        open.push(...partsOfBatch(batch))
        continue
      }
    } else if (type === 'item') {
      const parent = read('item', id)
      if (parent) {
        found.items.push(parent)
        open.push(...parent.from.map((each): Subject => ({ type: each.type, id: each.id })))
        continue
      }
    } else if (type === 'lot') {
      const lot = read('lot', id)
      if (lot) {
        found.lots.push(lot)
        continue
      }
    }
    found.unread.push(next)
  }
  return found
}

function partsOfBatch(batch: BatchState): Subject[] {
  const { 'eggs-taken': eggs, 'part-used': parts } = batch.facts
  return [
    ...lotsIn(batch).map((id): Subject => ({ type: 'lot', id })),
    ...valid(eggs).flatMap(({ value }): Subject[] => (value.item ? [{ type: 'item', id: value.item }] : [])),
    ...valid(parts).map(({ value }): Subject => ({ type: 'item', id: value.part.item })),
  ]
}

/**
 * What its whole lineage holds against an item: a hold, a discard, a recall or a miss walks down at once, and so does a
 * batch that is not proven, unless it was raw and went through the heat of what it is in.
 */
export function lineageBars(
  item: ItemState,
  { batches, items, lots }: Ancestors,
  zone: string,
  now: Instant,
): LineageBar[] {
  const bars: LineageBar[] = []
  const own = isOfItsBatch(item) ? item.from.find(({ type }) => type === 'batch')?.id : undefined
  const cooked = cookedAfter(batches)
  for (const batch of batches) {
    const bar = (why: LineageBar['why']) => bars.push({ type: 'batch', id: batch.id, code: batch.code, why })
    const barred = ownBarOfBatch(batch)
    // Whites left over were never in the pot: what was made of it is proven with it.
    const isMadeOf =
      batch.id === own || items.some((part) => isOfItsBatch(part) && part.from.some(({ id }) => id === batch.id))
    if (barred !== null && (barred !== 'discarded' || isMadeOf)) bar(barred)
    else if (isMadeOf && !isCleared(batch, zone, now)) {
      const missed = releaseBar(batch, zone, now)?.code === 'law missed'
      if (missed) bar('law missed')
      else if (!cooked.has(batch.id)) bar('not proven')
    }
  }
  for (const part of items) {
    const why = ownBarOfItem(part)
    if (why !== null) bars.push({ type: 'item', id: part.id, code: part.code, why })
  }
  for (const lot of lots) {
    const why = ownBarOfLot(lot) ?? (mayGoIn(lot) ? null : 'lot not accepted')
    if (why !== null) bars.push({ type: 'lot', id: lot.id, code: lot.code, why })
  }
  return bars
}

/** Batches whose portions only went in raw, before a heat of what they went into: that heat is asked for its own proof. */
function cookedAfter(batches: readonly BatchState[]): Set<Id> {
  const cooked = new Set<Id>()
  const uncooked = new Set<Id>()
  for (const {
    method,
    facts: { 'part-used': parts },
  } of batches) {
    const { killed } = heatPlan(method)
    const at = (key: string) => method.steps.findIndex((step) => step.key === key)
    for (const { value } of valid(parts)) {
      const raw = value.part.facts.heat === 'raw' && killed !== null && at(value.step) <= at(killed.step)
      const of = value.part.from ?? []
      for (const id of of) (raw ? cooked : uncooked).add(id)
    }
  }
  return new Set([...cooked].filter((id) => !uncooked.has(id)))
}

/** No release of an item goes past these: what it was made of is held, thrown away, called back, or missed its law. */
const FAST: readonly LineageBar['why'][] = ['held', 'discarded', 'recalled', 'law missed']

/** What holds an item fast because of what it was made of; null: nothing does. */
export function fastBar<B extends Pick<LineageBar, 'why'>>(bars: readonly B[]): B | null {
  return bars.find(({ why }) => FAST.includes(why)) ?? null
}

/** How an item stands with its lineage: held by what it was made of, as by a hold of its own. */
export function withLineage<S extends Pick<CourseStanding, 'asks' | 'why'>>(standing: S, bar: unknown): S {
  const goesFirst = BEFORE_A_HOLD.includes(standing.asks) || standing.why === 'went out'
  return bar && !goesFirst ? { ...standing, asks: 'held', why: 'lineage' } : standing
}

const BEFORE_A_HOLD: readonly ItemAsks[] = ['discard', 'chill again', 'held', 'gone']
